import { USUAL_BENCH } from '@snug/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp, type TestApp } from '../testing/app'

let app: TestApp
beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())

describe('what there is to drill with', () => {
  const mine = { ...USUAL_BENCH, bits: [2.7, 1.5, 2.7, 9.9], throats: [160] }
  it('is what people start with until somebody says', async () => {
    expect((await app.get('/bench').expect(200)).body).toEqual(USUAL_BENCH)
  })
  it('is kept in order and once each, and said again', async () => {
    const things = { router: { have: 'borrow' }, 'nut files': { have: 'buy', price: 24 } }
    expect((await app.put('/bench', { ...mine, things }).expect(200)).body.things).toEqual(things)
    await app.put('/bench', mine).expect(200)
    expect((await app.get('/bench').expect(200)).body).toEqual({ ...mine, bits: [1.5, 2.7, 9.9] })
  })
  it.each([
    [{ ...mine, bits: [0] }, /0\.3 to 60 mm/],
    [{ ...mine, throats: [5] }, /20 to 1000 mm/],
    [{ ...mine, bits: Array.from({ length: 200 }, (_, i) => 1 + i / 10) }, /0 to 120 bits; this one has 200/],
    [{ ...mine, stand: 'yes' }, /stand/],
    [{ ...mine, lathe: true }, /lathe/],
    [{ ...mine, things: { router: { have: 'stolen' } } }, /own, borrow, instead, buy/],
    [{ ...mine, things: { router: { have: 'buy', price: -1 } } }, /price/i],
  ])('refuses what cannot be, and keeps what it had', async (bad, why) => {
    const { body } = await app.put('/bench', bad).expect(422)
    expect(JSON.stringify(body)).toMatch(why)
    expect(((await app.get('/bench')).body as { bits: number[] }).bits).toEqual([1.5, 2.7, 9.9])
  })
})
