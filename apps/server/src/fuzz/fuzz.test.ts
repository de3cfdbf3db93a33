import { evaluate, type Build } from '@snug/core'
import { demoStock, dunlin, heron, plover } from '@snug/demo'
import { printPartsCsv, toBundle } from '@snug/formats'
import type { Response } from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { fillDemo } from '../demoFill'
import { startApp, WANTED, type TestApp } from '../testing/app'
import { Draw, mutated, mutatedText } from './mutate'

/** More of it: FUZZ=20 npm run fuzz does twenty times as much, FUZZ_FILES=40 of files, SEED=7 draws others. */
const TIMES = Number(process.env.FUZZ ?? 1)
const FILES = Number(process.env.FUZZ_FILES ?? TIMES)
const draw = new Draw(Number(process.env.SEED ?? 20261125))
const TODAY = new Date().toISOString().slice(0, 10)
const HANG = 2000

let app: TestApp
beforeAll(async () => {
  app = await startApp()
  await fillDemo(app.db)
})
afterAll(() => app.close())

/** An answer in time, never our fault, and in words when it is a no. */
async function sound(request: PromiseLike<Response>, what: unknown): Promise<Response> {
  const before = performance.now()
  const answer = await request
  const told = () => `${answer.status} ${JSON.stringify(answer.body).slice(0, 300)} to ${JSON.stringify(what).slice(0, 600)}`
  expect(performance.now() - before, `${told()} hung`).toBeLessThan(HANG * (process.env.CI ? 5 : 1))
  expect(answer.status, told()).toBeLessThan(500)
  if (answer.status >= 400) {
    expect(answer.type, told()).toBe('application/problem+json')
    expect((answer.body as { detail: string }).detail, told()).toMatch(/\S{2,} \S+/)
  }
  return answer
}

/** All eight stations work it out, without a number that is none. */
function worksOut(build: Build) {
  const evaluation = evaluate(build, TODAY)
  expect(evaluation.failed).toEqual({})
  const odd: string[] = []
  const walk = (value: unknown, at: string) => {
    if (typeof value === 'number' && Number.isNaN(value)) odd.push(at)
    else if (typeof value === 'string' && /\bNaN\b|\bundefined\b/.test(value)) odd.push(`${at}: ${value}`)
    else if (typeof value === 'object' && value !== null) for (const [k, v] of Object.entries(value)) walk(v, `${at}.${k}`)
  }
  walk(evaluation, '')
  expect(odd.slice(0, 5)).toEqual([])
}

const DEMOS = [heron(TODAY, TODAY, TODAY), plover(TODAY, TODAY), dunlin(TODAY, TODAY, TODAY)]

describe('nothing that comes in brings it down', () => {
  it('requests', { timeout: 600_000 * TIMES }, async () => {
    const item = demoStock()[0]!
    for (let n = 0; n < 1000 * TIMES; n++) {
      const id = draw.of(['heron', 'plover', 'dunlin', 'nobody', '%00', '__proto__'])
      const path = draw.of([
        ['name'],
        ['tools', '0'],
        ['parts', 'neck', 'sizes', 'scale', 'value'],
        ['jobs', 'x'],
        ['finish', 'start'],
        ['toString'],
        ['evenings', '7'],
      ])
      const change = { revision: draw.below(3), label: 'x', edits: [{ path, from: 1, to: 'x' }] }
      const [way, address, body] = draw.of<[string, string, object?]>([
        ['get', `/builds/${id}`],
        [
          'get',
          `/stock?q=${encodeURIComponent(draw.of(['nut', '%', '\u0007', 'x'.repeat(500)]))}&offset=${draw.of(['0', '-1', '1e9', 'x'])}`,
        ],
        ['get', `/builds/${id}/${draw.of(['events', 'log', 'bundle'])}`],
        ['post', '/builds', mutated(WANTED, draw)],
        ['post', `/builds/${id}/changes`, mutated(change, draw)],
        ['post', `/builds/${id}/changes`, mutated(change, draw)],
        ['post', `/builds/${id}/${draw.of(['undo', 'redo', 'back'])}`, mutated({ revision: draw.below(4) }, draw)],
        ['post', `/builds/${id}/log`, mutated({ kind: 'note', text: 'x', station: 'fit', thing: 'neck' }, draw)],
        ['post', '/stock', mutated(item, draw)],
        ['post', '/stock/many', mutated({ items: [item, item] }, draw)],
        ['post', '/stock/import-json', mutated({ items: [item] }, draw)],
        ['put', `/stock/${id}`, mutated(item, draw)],
      ])
      const request = way === 'get' ? app.get(address) : way === 'put' ? app.put(address, body) : app.post(address, body)
      await sound(request, [way, address, body])
    }
  })
  it('bundles; and what is taken in works out at every station', { timeout: 600_000 * FILES }, async () => {
    let taken = 0
    for (let n = 0; n < 60 * FILES; n++) {
      const bundle = mutated(toBundle(draw.of(DEMOS), [], `${TODAY}T10:00:00Z`), draw)
      const answer = await sound(app.post('/import', bundle), 'a bundle')
      if (answer.status !== 201) continue
      taken++
      worksOut((answer.body as { build: Build }).build)
    }
    expect(taken).toBeGreaterThan(0)
  })
  it('tables of parts', { timeout: 600_000 * FILES }, async () => {
    const csv = printPartsCsv(demoStock())
    for (let n = 0; n < 40 * FILES; n++) await sound(app.post('/stock/import', { csv: mutatedText(csv, draw) }), 'a table')
  })
})
