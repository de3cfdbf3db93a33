import { createHash } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { heron } from '@snug/demo'
import type { Bundle } from '@snug/core'
import { insertBuild } from '../builds/store'
import { png } from '../photos/testing'
import { OWN } from '../db/schema'
import { startApp, type TestApp } from '../testing/app'

let app: TestApp
beforeAll(async () => {
  app = await startApp()
  await insertBuild(app.db, OWN, heron('2026-11-24', '2027-02-15', '2026-12-05'), [], 'heron-with-photos')
  for (const [n, text] of ['The pocket', 'The back'].entries()) {
    const sent = app
      .raw('post', '/builds/heron-with-photos/photos?name=bench.png')
      .set('Host', 'localhost')
      .set('Content-Type', 'image/png')
    const { id } = (await sent.send(png(200 + n, 150)).expect(201)).body as { id: string }
    await app.post('/builds/heron-with-photos/log', { kind: 'photo', text, photo: id }).expect(201)
  }
  await app.post('/builds/heron-with-photos/log', { kind: 'note', text: 'Line one\nline “two”', station: 'drill' }).expect(201)
})
afterAll(() => app.close())

const bundle = async (id: string) => (await app.get(`/builds/${id}/bundle`).expect(200)).body as Bundle

/** The file without what must differ: the moment it was written at, and ids, which are told by what they name. */
function normal({ exported: _, ...rest }: Bundle): string {
  const named = new Map((rest.photos ?? []).map((p) => [p.id, createHash('sha256').update(p.data).digest('hex')]))
  return JSON.stringify({
    ...rest,
    log: rest.log.map(({ id: _id, photo, ...e }) => ({ ...e, ...(photo ? { photo: named.get(photo) } : {}) })),
    photos: (rest.photos ?? []).map(({ id: _id, ...p }) => p),
  })
}

describe('a build with its log and pictures as one file', () => {
  it('comes back byte for byte once ids are told by what they name', async () => {
    const sent = await bundle('heron-with-photos')
    expect(sent.photos).toHaveLength(2)
    const { id } = (await app.post('/import', sent).expect(201)).body as { id: string }
    const back = await bundle(id)
    expect(normal(back)).toBe(normal(sent))
    const [photo] = back.photos!
    expect(back.log[0]!.photo).toBe(photo!.id)
    const shown = await app.get(`/builds/${id}/photos/${photo!.id}`).expect(200)
    expect(Buffer.compare(shown.body as Buffer, png(200, 150))).toBe(0)
  })
  it.each([
    ['no base64', (b: Bundle) => (b.photos![0]!.data = 'not base64!'), /bench\.png is not written in base64/],
    ['no picture', (b: Bundle) => (b.photos![0]!.data = Buffer.from('a page').toString('base64')), /no picture this can read/],
    ['an entry without its picture', (b: Bundle) => b.photos!.shift(), /names a picture that the bundle does not hold/],
    ['a picture without a name', (b: Bundle) => (b.photos![0]!.name = ''), /name has 1 to 120 letters/],
  ])('%s is refused, and nothing is put on the shelf', async (_, spoil, why) => {
    const spoilt = await bundle('heron-with-photos')
    spoil(spoilt)
    const shelf = ((await app.get('/builds')).body as unknown[]).length
    expect((await app.post('/import', spoilt).expect(422)).body.detail).toMatch(why)
    expect(((await app.get('/builds')).body as unknown[]).length).toBe(shelf)
  })
})
