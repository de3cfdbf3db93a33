import { fullBuild } from '@snug/core/testing/fullBuild'
import { LIMITS } from '@snug/core'
import { toBundle } from '@snug/formats'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { eq } from 'drizzle-orm'
import { latest } from '../builds/latest'
import { insertBuild } from '../builds/store'
import { builds } from '../db/schema'
import { OWN } from '../db/schema'
import { startApp, WANTED, type TestApp } from '../testing/app'

let app: TestApp
beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())
const fresh = async () => ((await app.post('/builds', WANTED)).body as { id: string }).id
const change = (id: string, edits: object[], revision = 0) => app.post(`/builds/${id}/changes`, { revision, label: 'x', edits })
const bundle = () =>
  structuredClone(toBundle(fullBuild(), [], '2026-11-24T10:00:00Z')) as unknown as Record<string, unknown> & {
    build: Record<string, unknown>
  }
const entry = { id: 'a', at: '2026-11-24T20:00:00Z', kind: 'note', text: 'x' }

describe('one request never stops the server', () => {
  it.each(['4000000000', '30000000', '100000', '1', '-1', '1.5', 'length', '01'])('a list has no place %s', async (place) => {
    const id = await fresh()
    const answer = await change(id, [
      { path: ['tools'], to: [] },
      { path: ['tools', place], to: 'rule' },
    ]).expect(422)
    expect(answer.body.detail).toMatch(/tools has 0 entries: an edit sets one of them, or the next, number 0/)
    expect((await app.get(`/builds/${id}`)).body).toMatchObject({ revision: 0 })
  })
  it('the next place of a list, and the last one taken away, are edits like any other, undone exactly', async () => {
    const id = await fresh()
    await change(id, [
      { path: ['tools'], to: [] },
      { path: ['tools', '0'], to: 'rule' },
      { path: ['tools', '1'], to: 'tape' },
    ]).expect(200)
    const cut = await change(id, [{ path: ['tools', '1'], from: 'tape' }], 1).expect(200)
    expect(cut.body.build.tools).toEqual(['rule'])
    expect((await app.post(`/builds/${id}/undo`, { revision: 2 }).expect(200)).body.build.tools).toEqual(['rule', 'tape'])
    const answer = await change(id, [{ path: ['tools', '0'], from: 'rule' }], 3).expect(422)
    expect(answer.body.detail).toMatch(/Only the last entry of tools can be taken away, number 1/)
  })
  it.each([
    [
      '100 000 keys',
      () => ({ ...bundle(), ...Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`k${i}`, 1])) }),
      /at most 2000 are allowed/,
    ],
    ['60 000 log entries', () => ({ ...bundle(), log: Array(60_000).fill(entry) }), /There are 60000 entries; at most 20000/],
    [
      'a steps map of 60 000',
      () => ({
        ...bundle(),
        build: { ...bundle().build, steps: Object.fromEntries(Array.from({ length: 60_000 }, (_, i) => [`s${i}`, { done: entry.at }])) },
      }),
      /at most 2000 are allowed/,
    ],
    [
      'a million values and more',
      () => ({ ...bundle(), log: Array.from({ length: 600 }, () => Array(2000).fill(1)) }),
      /at most 1000000 values/,
    ],
    [
      'nesting of 5 000',
      () => JSON.stringify(bundle()).replace('"log":[]', `"log":${'['.repeat(5000)}${']'.repeat(5000)}`),
      /nested too deeply; at most 12 levels/,
    ],
  ])('an import with %s is refused at once', { timeout: 30_000 }, async (_, body, sentence) => {
    const answer = await app.post('/import', body()).expect(422)
    expect(answer.body.detail).toMatch(sentence)
  })
  it('a bundle with more log entries than one statement takes comes in, and goes out as it came', { timeout: 30_000 }, async () => {
    const log = Array.from({ length: 9000 }, (_, i) => ({ ...entry, id: String(i), text: `note ${i}` }))
    const { id } = (await app.post('/import', { ...bundle(), log }).expect(201)).body
    expect((await app.get(`/builds/${id}/log`)).body).toHaveLength(9000)
  })
})

describe('what is kept is what was checked', () => {
  it.each(['toString', 'valueOf', 'hasOwnProperty', '__proto__', 'constructor'])('nothing can be called %s', async (name) => {
    const text = JSON.stringify(bundle()).replace('"jobs":{', `"jobs":{"${name}":"anything",`).replace(',}', '}')
    const answer = await app.post('/import', text).expect(422)
    expect(answer.body.detail).toMatch(/cannot be the name of anything here/)
    const id = await fresh()
    expect((await change(id, [{ path: ['jobs', name], to: 1 }]).expect(422)).body.detail).toMatch(/cannot be the name of anything here/)
    await change(id, [{ path: ['jobs'], from: {}, to: JSON.parse(`{"${name}":1}`) as object }]).expect(422)
  })
  it('nothing (null) stands nowhere in a build', { timeout: 60_000 }, async () => {
    const places: string[][] = []
    const walk = (value: unknown, path: string[]) => {
      if (path.length) places.push(path)
      if (typeof value === 'object' && value !== null) for (const [k, v] of Object.entries(value)) walk(v, [...path, k])
    }
    walk(bundle().build, [])
    for (const key of ['due', 'budget', 'slots', 'tools', 'rescue', 'orders', 'mockup']) places.push([key])
    // Every place of the top two levels, and a spread of the deep ones.
    for (const path of places.filter((p, i) => p.length < 3 || i % 37 === 0)) {
      const doc = bundle()
      let at = doc.build
      for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>
      at[path.at(-1)!] = null
      await app.post('/import', doc).expect(422)
    }
  })
  it.each([
    ['NUL', 'He\u0000ron', /U\+0000/],
    ['half a character', 'He\ud83dron', /U\+D83D/],
    ['a bell', 'He\u0007ron', /U\+0007/],
  ])('text with %s is refused by every way in', async (_, name, sentence) => {
    const id = await fresh()
    const item = { part: { kind: 'nut', name, state: 'in hand', sizes: {}, traits: {} }, holding: 'stash', quantity: 1, reserved: {} }
    for (const answer of [
      await app.post('/builds', { ...WANTED, name }),
      await change(id, [{ path: ['name'], from: WANTED.name, to: name }]),
      await app.post('/import', { ...bundle(), build: { ...bundle().build, name } }),
      await app.post(`/builds/${id}/log`, { kind: 'note', text: name }),
      await app.post('/stock', item),
      await app.post('/stock/import-json', { items: [item] }),
      await app.post('/stock/import', { csv: `kind,name\nnut,${name}\n` }),
    ]) {
      expect(answer.status).toBe(422)
      expect(answer.body.detail).toMatch(sentence)
    }
  })
  it('addresses follow the rule for text too', async () => {
    for (const path of ['/builds/a%00b', '/stock?q=%00', '/stock?q=%07'])
      expect((await app.get(path).expect(400)).type).toBe('application/problem+json')
    await app.get('/builds/%E0%A4%A').expect(400)
  })
  it.each([
    ['a doubt of 5 000 mm', 'kind,name,width\nnut,Nut,3.5 ±5000\n', /doubt/],
    ['a name of a megabyte', `kind,name\nnut,${'x'.repeat(1e6)}\n`, /1 to 120 letters/],
    ['a seller of 121 letters', `kind,name,seller\nnut,Nut,${'x'.repeat(121)}\n`, /seller.* 120 letters/i],
    ['a place of 81 letters', `kind,name,place\nnut,Nut,${'x'.repeat(81)}\n`, /place.* 80 letters/i],
    ['a note of 2001 letters', `kind,name,note\nnut,Nut,${'x'.repeat(2001)}\n`, /note.* 2000 letters/i],
  ])('a table with %s is refused by the rule every way in has', async (_, csv, sentence) => {
    expect((await app.post('/stock/import', { csv }).expect(422)).body.detail).toMatch(sentence)
  })
})

describe('put away, undone, gone back', () => {
  it('a build that was put away takes no change, and says so', async () => {
    const id = await fresh()
    await app.remove(`/builds/${id}`).expect(204)
    expect((await change(id, [{ path: ['budget'], to: 1 }]).expect(410)).body.detail).toMatch(/was put away/)
    await app.post(`/builds/${id}/restore`).expect(200)
    await change(id, [{ path: ['budget'], to: 1 }]).expect(200)
  })
  it('an earlier state comes back as a change, and can itself be undone', async () => {
    const id = await fresh()
    for (let n = 0; n < 4; n++) await change(id, [{ path: ['budget'], ...(n ? { from: n } : {}), to: n + 1 }], n).expect(200)
    const back = (await app.post(`/builds/${id}/back`, { revision: 4, to: 1 }).expect(200)).body
    expect(back).toMatchObject({ revision: 5, build: { budget: 1 }, canUndo: true })
    expect((await app.post(`/builds/${id}/undo`, { revision: 5 }).expect(200)).body.build.budget).toBe(4)
    expect((await app.post(`/builds/${id}/back`, { revision: 6, to: 6 }).expect(422)).body.detail).toMatch(/not an earlier state/)
  })
  it(`${LIMITS.undo} changes are taken back, and where that ends is said`, async () => {
    await insertBuild(app.db, OWN, fullBuild(), [], 'long')
    const to = (n: number) => change('long', [{ path: ['budget'], ...(n > 1 ? { from: n - 1 } : {}), to: n }], n - 1).expect(200)
    const back = (revision: number) => app.post('/builds/long/undo', { revision })
    const long = eq(builds.id, 'long')
    const stacks = async (put?: { undo: number[]; redo?: number[] }) => {
      if (put) await app.db.update(builds).set(put).where(long)
      const row = (await app.db.select().from(builds).where(long))[0]!
      // Written past the server, which holds what it wrote last.
      latest(app.db).keep(row)
      return row
    }
    for (let n = 1; n <= 3; n++) await to(n)
    // As after many evenings, with room for five more; then seven are made.
    await stacks({ undo: [...Array.from({ length: LIMITS.undo - 8 }, () => 1), 1, 2, 3] })
    for (let n = 4; n <= 10; n++) await to(n)
    const kept = await stacks()
    expect(kept.undo).toHaveLength(LIMITS.undo)
    expect(kept.undo.slice(-10)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])
    // The last of them all is taken back, and then there is no more.
    await stacks({ undo: kept.undo.slice(-1), redo: kept.undo.slice(0, -1).toReversed() })
    expect((await back(10).expect(200)).body.build.budget).toBe(9)
    expect((await back(11).expect(422)).body.detail).toMatch(/Going back ends here: the last 1000 changes can be taken back/)
  })
})

describe('addresses outside the API', () => {
  it('a piece that is not there, another method, are problems in one sentence', async () => {
    for (const answer of [await app.get('/nothing'), await app.post('/assets/x.js')]) {
      expect(answer.status).toBe(404)
      expect(answer.type).toBe('application/problem+json')
    }
  })
})
