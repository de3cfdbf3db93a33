import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp, WANTED, type TestApp } from '../testing/app'
import { png } from './testing'

let app: TestApp
let build: string
beforeAll(async () => {
  app = await startApp()
  build = ((await app.post('/builds', WANTED)).body as { id: string }).id
})
afterAll(() => app.close())

const send = (bytes: Buffer | string, type = 'image/png', name = 'body.png') =>
  app.raw('post', `/builds/${build}/photos?name=${name}`).set('Host', 'localhost').set('Content-Type', type).send(bytes)

describe('pictures of a build', () => {
  it('are taken in, listed without their bytes, given back as they were, and taken out', async () => {
    const bytes = png(200, 150)
    const { body } = await send(bytes).expect(201)
    const photo = body as { id: string }
    expect(body).toMatchObject({ name: 'body.png', type: 'image/png', width: 200, height: 150 })
    expect((await app.get(`/builds/${build}/photos`)).body).toEqual([body])
    const back = await app.get(`/builds/${build}/photos/${photo.id}`).expect(200)
    expect(back.headers['content-type']).toMatch(/image\/png/)
    expect(back.headers['x-content-type-options']).toBe('nosniff')
    expect(Buffer.compare(back.body as Buffer, bytes)).toBe(0)
    await app.remove(`/builds/${build}/photos/${photo.id}`).expect(204)
    await app.get(`/builds/${build}/photos/${photo.id}`).expect(404)
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
  it('of a sender that says where it was, only the picture is kept', async () => {
    const { id } = (await send(png(200, 150, ['tEXt', 'GPS 51.5 N 2.25 E']))).body as { id: string }
    expect(Buffer.compare((await app.get(`/builds/${build}/photos/${id}`)).body as Buffer, png(200, 150))).toBe(0)
    await app.remove(`/builds/${build}/photos/${id}`).expect(204)
  })
  it('one that belongs to the log stays with its entry, and no entry takes the picture of another build', async () => {
    const { id } = (await send(png(200, 150))).body as { id: string }
    const other = ((await app.post('/builds', WANTED)).body as { id: string }).id
    const entry = { kind: 'photo', text: 'Before the strip-down', photo: id }
    expect((await app.post(`/builds/${other}/log`, entry).expect(404)).body.detail).toMatch(/This build has no such picture/)
    await app.get(`/builds/${other}/photos/${id}`).expect(404)
    await app.remove(`/builds/${other}/photos/${id}`).expect(404)
    await app.post(`/builds/${build}/log`, { ...entry, photo: 'none' }).expect(404)
    expect((await app.post(`/builds/${build}/log`, entry).expect(201)).body).toMatchObject(entry)
    expect((await app.remove(`/builds/${build}/photos/${id}`).expect(409)).body.detail).toMatch(/struck, never deleted/)
    expect((await app.get(`/builds/${build}/photos`)).body).toMatchObject([{ id, logged: true }])
  })
  it('one sent twice under an id of its own is one; the id of another build’s picture is refused, and so is no id at all', async () => {
    const under = (id: string, at = build) =>
      app
        .raw('post', `/builds/${at}/photos?name=a.png&id=${id}`)
        .set('Host', 'localhost')
        .set('Content-Type', 'image/png')
        .send(png(200, 150))
    const before = ((await app.get(`/builds/${build}/photos`)).body as object[]).length
    const { body } = await under('taken-at-the-bench').expect(201)
    expect(body).toMatchObject({ id: 'taken-at-the-bench', name: 'a.png' })
    expect((await under('taken-at-the-bench').expect(201)).body).toEqual(body)
    expect((await app.get(`/builds/${build}/photos`)).body).toHaveLength(before + 1)
    const other = ((await app.post('/builds', WANTED)).body as { id: string }).id
    expect((await under('taken-at-the-bench', other).expect(409)).body.detail).toMatch(/Another picture has that id/)
    expect((await under(encodeURIComponent('../x')).expect(422)).body.detail).toMatch(/1 to 60 letters, digits and dashes/)
    await under('').expect(422)
  })
  it('a build nobody has keeps none', async () => {
    await app.get('/builds/nobody/photos').expect(404)
  })
})
