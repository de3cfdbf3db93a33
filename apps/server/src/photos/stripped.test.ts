import exifr from 'exifr'
import { imageSize } from 'image-size'
import { describe, expect, it } from 'vitest'
import { stripped } from './stripped'

const bytes = (...parts: (string | Buffer)[]) => Buffer.concat(parts.map((p) => (typeof p === 'string' ? Buffer.from(p, 'hex') : p)))
const segment = (marker: number, data: Buffer) => bytes(Buffer.from([0xff, marker, (data.length + 2) >> 8, (data.length + 2) & 255]), data)

/** What a telephone writes: how it is turned, with what it was taken, and where (51.5 north, 2.25 east). TIFF 6.0 layout, big-endian. */
function exif(orientation: number): Buffer {
  const entry = (tag: number, type: number, count: number, value: string) =>
    bytes(Buffer.from([tag >> 8, tag & 255, 0, type, 0, 0, 0, count]), value)
  const short = (n: number) => `${n.toString(16).padStart(4, '0')}0000`
  const long = (n: number) => n.toString(16).padStart(8, '0')
  const degrees = (d: number, m: number) => long(d) + long(1) + long(m) + long(1) + long(0) + long(1)
  // Three entries at 8, the GPS directory behind them at 50, its rationals behind that at 104.
  const tiff = bytes(
    '4d4d002a00000008',
    '0003',
    entry(0x010f, 2, 4, Buffer.from('Cam\0').toString('hex')),
    entry(0x0112, 3, 1, short(orientation)),
    entry(0x8825, 4, 1, long(50)),
    '00000000',
    '0004',
    entry(1, 2, 2, '4e000000'),
    entry(2, 5, 3, long(104)),
    entry(3, 2, 2, '45000000'),
    entry(4, 5, 3, long(128)),
    '00000000',
    degrees(51, 30),
    degrees(2, 15),
  )
  return segment(0xe1, bytes(Buffer.from('Exif\0\0'), tiff))
}

const SOF = segment(0xc0, bytes('08', '0096', '00c8', '01', '011100'))
const SCAN = bytes(segment(0xda, bytes('01', '0100', '003f00')), '1234ff00abffd3cd')
const jpeg = (...middle: Buffer[]) =>
  bytes('ffd8', segment(0xe0, bytes(Buffer.from('JFIF\0'), '010100000100010000')), ...middle, SOF, SCAN, 'ffd9')

describe('a picture without where it was taken', () => {
  it('a JPEG loses place, camera and remarks, and stays turned as it was', async () => {
    const sent = jpeg(exif(6), segment(0xfe, Buffer.from('at the kitchen table')), segment(0xed, Buffer.from('edited by hand')))
    expect(await exifr.gps(sent)).toEqual({ latitude: 51.5, longitude: 2.25 })
    const kept = stripped('image/jpeg', sent, imageSize(sent).orientation)!
    expect(await exifr.gps(kept)).toBeUndefined()
    expect(await exifr.parse(kept, { translateValues: false })).toEqual({ Orientation: 6 })
    expect(Buffer.from(kept).includes('kitchen')).toBe(false)
    expect(imageSize(kept)).toMatchObject({ width: 200, height: 150, orientation: 6 })
  })
  it('a picture that is not turned needs no word of it; its colours stay, another picture behind its end goes', () => {
    const profile = segment(0xe2, bytes(Buffer.from('ICC_PROFILE\0'), '0101'))
    const second = bytes(jpeg(exif(1)))
    expect(Buffer.from(stripped('image/jpeg', bytes(jpeg(exif(1), profile), second), 1)!)).toEqual(jpeg(profile))
  })
  it('what says nothing is given back byte for byte', () => {
    expect(Buffer.from(stripped('image/jpeg', jpeg())!)).toEqual(jpeg())
  })
  it.each([
    ['cut short in a segment', jpeg().subarray(0, 40)],
    ['cut short in its scan', jpeg().subarray(0, jpeg().length - 2)],
    ['a segment of no length', bytes('ffd8', 'ffe10001', 'ffd9')],
  ])('refuses one that is %s', (_, sent) => expect(stripped('image/jpeg', sent)).toBeUndefined())
  it('a PNG loses its texts and its EXIF', () => {
    const chunk = (name: string, data: string) => bytes(Buffer.from([0, 0, 0, data.length]), Buffer.from(name + data, 'latin1'), 'deadbeef')
    const head = '89504e470d0a1a0a'
    const bare = bytes(head, chunk('IHDR', 'x'), chunk('gAMA', 'y'), chunk('IDAT', 'z'), chunk('IEND', ''))
    const full = bytes(head, chunk('IHDR', 'x'), chunk('eXIf', 'MM*'), chunk('gAMA', 'y'), chunk('tEXt', 'at home'), chunk('IDAT', 'z'))
    expect(Buffer.from(stripped('image/png', bytes(full, chunk('tIME', 't'), chunk('IEND', ''), Buffer.from('rest')))!)).toEqual(bare)
    expect(stripped('image/png', full)).toBeUndefined()
  })
})
