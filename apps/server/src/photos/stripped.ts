/** JPEG markers that are looked at by name. */
const SOI = 0xd8
const EOI = 0xd9
const SOS = 0xda
const COMMENT = 0xfe
const APP0 = 0xe0
const APP2 = 0xe2
const APP14 = 0xee
const APP15 = 0xef

/** Chunks of a PNG that say how it looks; what says where, when and with what it was made is none of them. */
const LOOKS = new Set(['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'cHRM', 'sRGB', 'iCCP', 'sBIT', 'pHYs'])

/**
 * The picture without what a camera writes about the place, the time and itself, and without anything behind its end; how it is turned and
 * its colours stay. Segments and chunks are those of ITU T.81 B.1 and of the PNG specification, 5.3.
 * @param orientation 1 to 8 as a camera notes it
 * @returns undefined where the bytes do not hold together
 */
export function stripped(type: 'image/jpeg' | 'image/png', bytes: Uint8Array, orientation = 1): Uint8Array | undefined {
  return type === 'image/jpeg' ? jpeg(bytes, orientation) : png(bytes)
}

function jpeg(bytes: Uint8Array, orientation: number): Uint8Array | undefined {
  const kept: Uint8Array[] = [bytes.subarray(0, 2)]
  if (bytes[0] !== 0xff || bytes[1] !== SOI) return undefined
  let noted = orientation <= 1
  let at = 2
  while (at + 1 < bytes.length) {
    if (bytes[at] !== 0xff) return undefined
    const marker = bytes[at + 1]!
    if (marker === 0xff) {
      at++
      continue
    }
    if (marker === EOI) return Buffer.concat([...kept, bytes.subarray(at, at + 2)])
    if (at + 4 > bytes.length) return undefined
    const end = at + 2 + (bytes[at + 2]! << 8) + bytes[at + 3]!
    if (end < at + 4 || end > bytes.length) return undefined
    const application = marker >= APP0 && marker <= APP15
    // What says how it is turned follows the file's own first segment.
    if (!noted && marker !== APP0) {
      kept.push(turned(orientation))
      noted = true
    }
    if (!(marker === COMMENT || (application && !looks(marker, bytes.subarray(at + 4, end))))) kept.push(bytes.subarray(at, end))
    at = end
    if (marker === SOS) {
      const over = endOfScan(bytes, at)
      kept.push(bytes.subarray(at, over))
      at = over
    }
  }
  return undefined
}

/** A scan runs to the first marker that is not a restart and not a stuffed byte. */
function endOfScan(bytes: Uint8Array, from: number): number {
  let at = from
  while (at + 1 < bytes.length && !(bytes[at] === 0xff && bytes[at + 1] !== 0 && !(bytes[at + 1]! >= 0xd0 && bytes[at + 1]! <= 0xd7))) at++
  return at + 1 < bytes.length ? at : bytes.length
}

/** Application data without which the colours would be others. */
const looks = (marker: number, data: Uint8Array): boolean =>
  marker === APP0 || marker === APP14 || (marker === APP2 && Buffer.from(data.subarray(0, 11)).toString('latin1') === 'ICC_PROFILE')

/** A segment that holds one thing: how the picture is turned. Layout as in TIFF 6.0, section 2, big-endian. */
function turned(orientation: number): Uint8Array {
  const data = Buffer.from('457869660000' + '4d4d002a00000008' + '0001' + '0112000300000001' + '00000000' + '00000000', 'hex')
  data.writeUInt16BE(orientation, 24)
  const head = Buffer.from([0xff, 0xe1, 0, 0])
  head.writeUInt16BE(data.length + 2, 2)
  return Buffer.concat([head, data])
}

function png(bytes: Uint8Array): Uint8Array | undefined {
  const view = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length)
  const kept: Uint8Array[] = [view.subarray(0, 8)]
  let at = 8
  while (at + 12 <= view.length) {
    const end = at + 12 + view.readUInt32BE(at)
    if (end > view.length) return undefined
    const name = view.toString('latin1', at + 4, at + 8)
    if (LOOKS.has(name)) kept.push(view.subarray(at, end))
    if (name === 'IEND') return Buffer.concat(kept)
    at = end
  }
  return undefined
}
