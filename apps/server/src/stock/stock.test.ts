import { heron } from '@snug/demo'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp, type TestApp } from '../testing/app'

let app: TestApp
beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())

const build = heron('2026-11-24', '2027-02-15', '2026-12-05')
const pot = { part: build.parts['pot-tone'], holding: 'stash', quantity: 5, place: 'drawer 3', minimum: 2, reserved: { heron: 1 } }
const count = async () => ((await app.get('/stock').expect(200)).body as { total: number }).total

describe('stash and offers', () => {
  it('a part is put in, found, changed, reserved and taken out', async () => {
    const { id } = (await app.post('/stock', pot).expect(201)).body
    const found = (await app.get('/stock?q=500%20drawer&kind=pot&holding=stash').expect(200)).body
    expect(found).toMatchObject({ total: 1, items: [{ id, quantity: 5, place: 'drawer 3', reserved: { heron: 1 } }] })
    expect((await app.get('/stock?q=500%20shelf')).body.total).toBe(0)
    const changed = (await app.put(`/stock/${id}`, { ...pot, quantity: 4, reserved: { heron: 2 } }).expect(200)).body
    expect(changed).toMatchObject({ quantity: 4, reserved: { heron: 2 } })
    await app.remove(`/stock/${id}`).expect(204)
    await app.remove(`/stock/${id}`).expect(404)
    await app.put(`/stock/${id}`, pot).expect(404)
  })
  it.each([
    ['a part of no kind', { ...pot, part: { ...pot.part, kind: 'sandwich' } }, /kind/],
    [
      'an absurd size',
      { ...pot, part: { ...pot.part, sizes: { resistance: { value: -5, doubt: 1, known: 'meter' } } } },
      /cannot be right/,
    ],
    ['half a pot', { ...pot, quantity: 0.5 }, /whole number/],
    ['negative postage', { ...pot, shipping: -1 }, /Shipping must be a number from 0/],
    ['an unknown field', { ...pot, colour: 'red' }, /no field called "colour"/],
    ['no part at all', { holding: 'stash', quantity: 1, reserved: {} }, /object/],
  ])('refuses %s', async (_, body, why) => {
    const before = await count()
    expect((await app.post('/stock', body).expect(422)).body.detail).toMatch(why)
    expect(await count()).toBe(before)
  })
  it('a donor broken up comes in whole or not at all', async () => {
    const parts = Object.values(build.parts).map((part) => ({ part, holding: 'stash', quantity: 1, reserved: {} }))
    const before = await count()
    const answer = await app.post('/stock/many', { items: [...parts, { ...pot, quantity: -1 }] }).expect(422)
    expect(answer.body.detail).toMatch(/items\.\d+\.quantity\)\. Nothing was put in/)
    expect(await count()).toBe(before)
    await app.post('/stock/many', { items: parts }).expect(201)
    expect(await count()).toBe(before + parts.length)
  })
  it('a page out of range or an unknown filter is said', async () => {
    await app.get('/stock?offset=-1').expect(422)
    await app.get('/stock?kind=sandwich').expect(422)
    await app.get('/stock?holding=loan').expect(422)
  })
})

describe('tables of parts', () => {
  it('goes out and comes in again', async () => {
    const csv = (await app.get('/stock.csv').expect(200)).text
    const before = await count()
    expect((await app.post('/stock/import', { csv }).expect(201)).body.taken).toBe(before)
    expect(await count()).toBe(2 * before)
  })
  it('JSON goes out and comes in again, and a broken one is named', async () => {
    const items = (await app.get('/stock.json').expect(200)).body as { part: { name: string } }[]
    const before = await count()
    expect((await app.post('/stock/import-json', { items }).expect(201)).body.taken).toBe(before)
    const answer = await app.post('/stock/import-json', { items: [items[0], { ...items[1], quantity: 'many' }] }).expect(422)
    expect(answer.body.detail).toMatch(/items\.1\.quantity\)\. Nothing was taken in/)
    await app.post('/stock/import-json', { items: { a: 1 } }).expect(422)
    expect(await count()).toBe(2 * before)
  })
  it('with one bad cell nothing comes in, and the cell is named', async () => {
    const before = await count()
    const answer = await app.post('/stock/import', { csv: 'kind,name,pocket.depth\nbody,a,16\nbody,b,1600\n' }).expect(422)
    expect(answer.body.detail).toMatch(/Row 3, column pocket\.depth: .*1600 mm cannot be right.*Nothing was taken in/)
    expect(await count()).toBe(before)
  })
  it('ten thousand rows come in at one go', async () => {
    const before = await count()
    const csv = `kind,name,holding,seller,price,resistance\n${Array.from({ length: 10_000 }, (_, i) => `pot,Pot ${i},offer,Quayside Electrics,6,500k`).join('\n')}`
    await app.post('/stock/import', { csv }).expect(201)
    expect(await count()).toBe(before + 10_000)
    expect((await app.get('/stock?q=pot%209999')).body.total).toBe(1)
  })
  it('a file over the limit is refused in a sentence', async () => {
    expect((await app.post('/stock/import', { csv: 'x'.repeat(10.5e6) }).expect(413)).body.detail).toMatch(/at most 10 MB/)
  })
})
