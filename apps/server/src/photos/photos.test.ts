import { deflateSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp, WANTED, type TestApp } from '../testing/app'

let app: TestApp
let build: string
beforeAll(async () => {
  app = await startApp()
  build = ((await app.post('/builds', WANTED)).body as { id: string }).id
})
afterAll(() => app.close())

/** A grey PNG of that many pixels; its checksums are right, so that any reader takes it. */
function png(width: number, height: number): Buffer {
  const table = Array.from(
    { length: 256 },
    (_, n) => Array.from({ length: 8 }).reduce<number>((c) => (c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1), n) >>> 0,
  )
  const crc = (b: Buffer) => ~b.reduce((c, byte) => table[(c ^ byte) & 255]! ^ (c >>> 8), ~0) >>> 0
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data])
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)]
    length.writeUInt32BE(data.length)
    sum.writeUInt32BE(crc(body))
    return Buffer.concat([length, body, sum])
  }
  const head = Buffer.alloc(13)
  head.writeUInt32BE(width, 0)
  head.writeUInt32BE(height, 4)
  head.set([8, 0, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.alloc(Math.min(height, 300) * (width + 1)))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
const send = (bytes: Buffer | string, type = 'image/png', name = 'body.png') =>
  app.raw('post', `/builds/${build}/photos?name=${name}`).set('Host', 'localhost').set('Content-Type', type).send(bytes)

describe('pictures of a build', () => {
  it('are taken in, listed without their bytes, given back as they were, and taken out', async () => {
    const bytes = png(200, 150)
    const { body } = await send(bytes).expect(201)
    const photo = body as { id: string }
    expect(body).toMatchObject({ name: 'body.png', type: 'image/png', width: 200, height: 150 })
    expect((await app.get(`/builds/${build}/photos`)).body).toEqual([body])
    const back = await app.get(`/photos/${photo.id}`).expect(200)
    expect(back.headers['content-type']).toMatch(/image\/png/)
    expect(back.headers['x-content-type-options']).toBe('nosniff')
    expect(Buffer.compare(back.body as Buffer, bytes)).toBe(0)
    await app.remove(`/photos/${photo.id}`).expect(204)
    await app.get(`/photos/${photo.id}`).expect(404)
  })
  it.each([
    ['a page called a picture', Buffer.from('<html><script>alert(1)</script></html>'), /no picture this can read/],
    [
      'a drawing that could carry a script',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="300" height="300"><script/></svg>'),
      /svg is not taken in/,
    ],
    ['half a picture', png(200, 150).subarray(0, 12), /no picture this can read/],
    ['one of 60 million pixels', png(10_000, 6000), /60 million, is too large: at most 40/],
    ['a speck', png(20, 20), /too little to measure/],
    ['nothing', Buffer.alloc(0), /No picture came along/],
  ])('%s is refused with a sentence, by its bytes and not by its name', async (_, bytes, why) => {
    const { body } = await send(bytes, 'image/jpeg', 'holiday.jpg').expect(422)
    expect((body as { detail: string }).detail).toMatch(why)
    expect((await app.get(`/builds/${build}/photos`)).body).toEqual([])
  })
  it('a page of another site cannot send one, nor anything but a picture', async () => {
    await send(png(200, 150)).set('Origin', 'http://elsewhere.example').expect(403)
    await send('x', 'text/plain').expect(415)
    await send(Buffer.alloc(11_000_000), 'image/png').expect(413)
  })
  it('a build nobody has keeps none', async () => {
    await app.get('/builds/nobody/photos').expect(404)
  })
})
