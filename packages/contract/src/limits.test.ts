import { LIMITS, whyNotPlain } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { checkedBundle, ChangeRequest, LogRequest, NewBuildRequest } from './requests'
import { problemsOfBuild } from './build'
import { checked, problemsOf } from './checked'
import { problemsOfPart } from './part'
import { JsonStockRequest, StockManyRequest, StockRequest } from './stock'

const text = (n: number) => 'x'.repeat(n)
const many = <T>(n: number, entry: (i: number) => T) => Array.from({ length: n }, (_, i) => entry(i))
const map = <T>(n: number, entry: T) => Object.fromEntries(many(n, (i) => [`k${i}`, entry]))
const full = fullBuild()
const nut = full.parts.nut!
const edit = { path: ['name'], to: 'x' }
const change = { revision: 0, label: 'x', edits: [edit] }
const item = { part: nut, holding: 'stash', quantity: 1, reserved: {} }
const entry = { id: 'a', at: '2026-11-24T20:00:00Z', kind: 'note', text: 'x' }
const bundle = (log: object[]) => ({ format: 'snug-bolt-build', version: 1, exported: entry.at, build: full, log })
const pictures = (n: number, name = 'x') => ({
  ...bundle([]),
  photos: many(n, () => ({ id: 'p', name, createdAt: entry.at, data: 'eA==' })),
})
const found = (result: { ok: true } | { ok: false; problems: { why: string }[] }) => (result.ok ? [] : result.problems)
const nested = (depth: number): unknown => many(depth - 1, () => 0).reduce<unknown>((inner) => [inner], [])
const outline = (n: number) => many(n, (i) => ({ x: i, bass: 1, treble: 1 }))
const job = { slot: 'body', size: 'pocket.widthMouth', delta: 0, doubt: 0, text: 'x' }

/** No kind of part has as many sizes as the limit allows; that these are not its own is not what is asked here. */
const known = (problems: { why: string }[]) => problems.filter((p) => !/^Nut has no/.test(p.why))

/** For each limit, what is in question at a given amount. */
const AT: Partial<Record<keyof typeof LIMITS, (n: number) => { why: string }[]>> = {
  depth: (n) => [whyNotPlain(nested(n))].flatMap((f) => f ?? []),
  values: (n) => [whyNotPlain(many(10, (i) => many(i ? n / 10 - 1 : n / 10 - 1 + (n % 10), () => 1)))].flatMap((f) => f ?? []),
  list: (n) => [whyNotPlain(many(n, () => 1))].flatMap((f) => f ?? []),
  map: (n) => [whyNotPlain(map(n, 1))].flatMap((f) => f ?? []),
  key: (n) => [whyNotPlain({ [text(n)]: 1 })].flatMap((f) => f ?? []),
  entries: (n) => problemsOfBuild({ ...full, parcels: map(n, 1) }),
  edits: (n) => problemsOf(ChangeRequest, { ...change, edits: many(n, () => edit) }),
  path: (n) => problemsOf(ChangeRequest, { ...change, edits: [{ path: many(n, () => 'a'), to: 1 }] }),
  pathName: (n) => problemsOf(ChangeRequest, { ...change, edits: [{ path: [text(n)], to: 1 }] }),
  label: (n) => problemsOf(ChangeRequest, { ...change, label: text(n) }),
  buildName: (n) => problemsOf(NewBuildRequest, { name: text(n), handedness: 'right', strings: 6, scale: 648 }),
  partName: (n) => problemsOfPart({ ...nut, name: text(n) }),
  seller: (n) => problemsOfPart({ ...nut, seller: text(n) }),
  partNote: (n) => problemsOfPart({ ...nut, note: text(n) }),
  place: (n) => problemsOf(StockRequest, { ...item, place: text(n) }),
  sizes: (n) => known(problemsOfPart({ ...nut, sizes: map(n, Object.values(nut.sizes)[0]) })),
  traits: (n) => known(problemsOfPart({ ...nut, traits: map(n, 'x') })),
  outline: (n) => problemsOfPart({ ...full.parts.body!, outline: outline(n) }),
  jobs: (n) => problemsOfBuild({ ...full, jobs: map(n, job) }),
  jobText: (n) => problemsOfBuild({ ...full, jobs: { a: { ...job, text: text(n) } } }),
  steps: (n) => problemsOfBuild({ ...full, steps: map(n, { done: entry.at }) }),
  logEntries: (n) => found(checkedBundle(bundle(many(n, () => entry)))),
  logText: (n) => problemsOf(LogRequest, { kind: 'note', text: text(n) }),
  logThing: (n) => problemsOf(LogRequest, { kind: 'note', text: 'x', thing: text(n) }),
  photos: (n) => found(checkedBundle(pictures(n))),
  photoName: (n) => found(checkedBundle(pictures(1, text(n)))),
  defects: (n) => problemsOfBuild({ ...full, rescue: { defects: many(n, () => 'worn') } }),
  reserved: (n) => problemsOf(StockRequest, { ...item, reserved: map(n, 1) }),
  many: (n) => problemsOf(StockManyRequest, { items: many(n, () => 1) }),
  rows: (n) => problemsOf(JsonStockRequest, { items: many(n, () => 1) }),
}

describe('limits', () => {
  it('the page that lists them says what the code does', () => {
    const page = readFileSync(new URL('../../../docs/limits.md', import.meta.url), 'utf8')
    const rows = [...page.matchAll(/^\| (\w+) +\| (\d+) +\|/gm)].map(([, name, limit]) => [name, Number(limit)])
    expect(Object.fromEntries(rows)).toEqual(LIMITS)
  })
  it.each(Object.entries(AT))('%s: its limit is taken, one more is refused in a sentence', { timeout: 120_000 }, (name, at) => {
    const limit = LIMITS[name as keyof typeof LIMITS]
    expect(at(limit)).toEqual([])
    const over = at(limit + 1)
    expect(over.length).toBeGreaterThan(0)
    expect(over[0]!.why).toMatch(/^[^{]{15,}/)
  })
  it('an answer holds so many findings and no more, however much is wrong', () => {
    const wrong = (n: number) => problemsOfBuild({ ...full, jobs: map(n, { ...job, delta: 'x' }) })
    expect(wrong(3)).toHaveLength(3)
    expect(wrong(LIMITS.findings)).toHaveLength(LIMITS.findings)
    expect(wrong(LIMITS.findings + 50)).toHaveLength(LIMITS.findings)
  })
  it('a file may hold more values than a request', () => {
    const much = { items: many(6, () => many(19_000, () => 1)) }
    expect(found(checked(JsonStockRequest, much))[0]!.why).toMatch(/at most 100000 values/)
    expect(found(checked(JsonStockRequest, much, LIMITS.fileValues))).toEqual([])
  })
})
