import { KIND_NAMES, type StockItem } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { printPartsCsv } from '@snug/formats'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp, type TestApp } from '../testing/app'

let app: TestApp
const parts = Object.values(fullBuild().parts).flatMap((p) => (p ? [p] : []))
const items = parts.map((part, i) => ({
  // What is on offer is not in hand; a table says so by its holding alone.
  part: {
    ...part,
    state: i % 3 ? ('in hand' as const) : ('planned' as const),
    name: `${part.kind} number ${i}`,
    seller: i % 2 ? 'Old Ropewalk Parts' : 'Capstan Hardware',
  },
  holding: i % 3 ? 'stash' : 'offer',
  quantity: i,
  reserved: {},
  ...(i % 3 ? { place: `drawer ${i}` } : { lead: { promised: 7 } }),
}))
beforeAll(async () => {
  app = await startApp()
  await app.post('/stock/many', { items }).expect(201)
})
afterAll(() => app.close())

interface Page {
  total: number
  items: StockItem[]
}
const page = async (query: string) => (await app.get(`/stock?${query}`).expect(200)).body as Page

describe('searching the stash', () => {
  it('every kind finds its own and no other', async () => {
    for (const kind of KIND_NAMES) {
      const found = await page(`kind=${kind}`)
      expect(found.total).toBe(items.filter((i) => i.part.kind === kind).length)
      expect(found.items.every((i) => i.part.kind === kind)).toBe(true)
    }
  })
  it('words in any order, of name, seller and place together', async () => {
    expect(
      (await page('q=drawer%201%20old')).items.every((i) => /drawer 1/.test(i.place ?? '') && i.part.seller === 'Old Ropewalk Parts'),
    ).toBe(true)
    expect((await page('q=ropewalk%20number')).total).toBe(items.filter((i) => i.part.seller === 'Old Ropewalk Parts').length)
    expect((await page('q=number%20ropewalk')).total).toBe((await page('q=ropewalk%20number')).total)
  })
  it('what a search language would read as its own is only text', async () => {
    for (const q of ['%', '_', "'; drop table stock; --", '\\', '"', '*', '('])
      expect((await page(`q=${encodeURIComponent(q)}`)).total).toBe(0)
    expect((await page('')).total).toBe(items.length)
  })
  it('pages join without a gap and without a twin', async () => {
    const seen: string[] = []
    for (let offset = 0; offset < items.length; offset += 7) seen.push(...(await page(`offset=${offset}&limit=7`)).items.map((i) => i.id))
    expect(new Set(seen).size).toBe(items.length)
    expect(seen).toHaveLength(items.length)
  })
  it('stash and offers part exactly', async () => {
    const [stash, offers] = [await page('holding=stash'), await page('holding=offer')]
    expect(stash.total + offers.total).toBe(items.length)
    expect(stash.items.every((i) => i.holding === 'stash')).toBe(true)
  })
})

describe('tables out and in', () => {
  it('every kind of part goes through a table and comes back as it was', async () => {
    const before = (await page('limit=500')).items
    const csv = (await app.get('/stock.csv').expect(200)).text
    const rows = (text: string) => text.split('\r\n').toSorted()
    expect(rows(csv)).toEqual(rows(printPartsCsv(before)))
    const taken = (await app.post('/stock/import', { csv }).expect(201)).body as { taken: number }
    expect(taken.taken).toBe(items.length)
    const after = (await page('limit=500')).items.filter((i) => !before.some((b) => b.id === i.id))
    const plain = (list: StockItem[]) =>
      list
        .map(({ id: _, ...i }) => ({ ...i, part: { ...i.part, outline: undefined } }))
        .map((i) => JSON.stringify(round(i)))
        .toSorted()
    expect(plain(after)).toEqual(plain(before))
  })
  it('a list with one bad part takes none in', async () => {
    const before = (await page('')).total
    await app.post('/stock/import-json', { items: [...items, { ...items[0], quantity: -1 }] }).expect(422)
    expect((await page('')).total).toBe(before)
  })
})

/** Numbers to twelve figures, keys in order: what went through inches or text is the same to a bench. */
const round = (value: unknown): unknown =>
  typeof value === 'number'
    ? Number(value.toPrecision(12))
    : Array.isArray(value)
      ? value.map(round)
      : typeof value === 'object' && value !== null
        ? Object.fromEntries(
            Object.entries(value)
              .filter(([, v]) => v !== undefined)
              .toSorted(([a], [b]) => (a < b ? -1 : 1))
              .map(([k, v]) => [k, round(v)]),
          )
        : value
