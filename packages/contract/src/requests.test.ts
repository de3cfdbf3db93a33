import { fullBuild } from '@snug/core/testing/fullBuild'
import { describe, expect, it } from 'vitest'
import { problemsOf } from './checked'
import { ChangeRequest, LogRequest, NewBuildRequest, checkedBundle, RevisionRequest } from './requests'
import { checkedItem, CsvRequest, JsonStockRequest, StockManyRequest, StockRequest } from './stock'

const bundleProblems = (plain: unknown) => {
  const result = checkedBundle(plain)
  return result.ok ? [] : result.problems
}
const why = (found: { path: string; why: string }[]) => found.map((p) => `${p.path}: ${p.why}`).join(' | ')

describe('requests', () => {
  const wanted = { name: 'Heron', handedness: 'right', strings: 6, scale: 647.7 }
  it('a new build', () => {
    expect(problemsOf(NewBuildRequest, wanted)).toEqual([])
    expect(why(problemsOf(NewBuildRequest, { ...wanted, name: '' }))).toMatch(/1 to 80 letters/)
    expect(why(problemsOf(NewBuildRequest, { ...wanted, scale: 25.5 }))).toMatch(/500 to 900 mm \(about 20 to 35 in\)/)
    expect(why(problemsOf(NewBuildRequest, { ...wanted, id: 'mine' }))).toMatch(/no field called "id"/)
  })
  it('a change: at least one edit, each with a path of names', () => {
    const edit = { path: ['finish', 'coats'], from: 5, to: 6 }
    const change = { revision: 3, label: 'Coats', edits: [edit] }
    expect(problemsOf(ChangeRequest, change)).toEqual([])
    expect(why(problemsOf(ChangeRequest, { ...change, edits: [] }))).toMatch(/1 to 500 edits; this one has 0/)
    expect(why(problemsOf(ChangeRequest, { ...change, edits: [{ ...edit, path: [] }] }))).toMatch(/needs a path/)
    expect(why(problemsOf(ChangeRequest, { ...change, edits: [{ ...edit, path: [1, 2] }] }))).toMatch(/list of names/)
    expect(why(problemsOf(ChangeRequest, { ...change, edits: [{ ...edit, path: Array(9).fill('a') }] }))).toMatch(/at most 8 names/)
    expect(why(problemsOf(ChangeRequest, { ...change, revision: -1 }))).toMatch(/revision/)
    expect(why(problemsOf(ChangeRequest, { ...change, label: '' }))).toMatch(/label of 1 to 300/)
    expect(problemsOf(RevisionRequest, { revision: 0 })).toEqual([])
    expect(problemsOf(RevisionRequest, {})).not.toEqual([])
  })
  it('a log entry', () => {
    expect(problemsOf(LogRequest, { kind: 'note', text: 'Pocket eased' })).toEqual([])
    expect(why(problemsOf(LogRequest, { kind: 'shout', text: 'x' }))).toMatch(/one of/)
    expect(why(problemsOf(LogRequest, { kind: 'note', text: '' }))).toMatch(/1 to 4000 letters/)
    expect(why(problemsOf(LogRequest, { kind: 'note', text: 'x', station: 'attic' }))).toMatch(/belongs to a station/)
  })
})

describe('bundles', () => {
  const bundle = { format: 'snug-bolt-build', version: 1, exported: '2026-11-24T20:00:00Z', build: fullBuild(), log: [] as unknown[] }
  it('a whole one passes; what is inside keeps its path', () => {
    expect(bundleProblems(bundle)).toEqual([])
    const bad = structuredClone(bundle)
    bad.build.parts.nut!.sizes.width!.value = 99
    expect(bundleProblems(bad)[0]!.path).toBe('build.parts.nut.sizes.width')
  })
  it('entries of the log are looked at too', () => {
    const entry = { id: 'a', at: '2026-11-24T20:00:00Z', kind: 'note', text: 'x' }
    expect(bundleProblems({ ...bundle, log: [entry] })).toEqual([])
    expect(bundleProblems({ ...bundle, log: [{ ...entry, at: 'noon' }] })[0]!.path).toBe('log.0.at')
    expect(bundleProblems({ ...bundle, log: 'none' })[0]!.why).toMatch(/log is a list of entries/)
  })
  it('without a build or a time', () => {
    const { build: _, ...empty } = bundle
    expect(why(bundleProblems(empty))).toMatch(/holds no build/)
    expect(why(bundleProblems({ ...bundle, exported: 'today' }))).toMatch(/exported: A time is written/)
  })
})

describe('stock', () => {
  const item = { part: fullBuild().parts.nut, holding: 'stash', quantity: 3, reserved: {} }
  it('a part to hand or on offer', () => {
    expect(problemsOf(StockRequest, item)).toEqual([])
    expect(problemsOf(StockRequest, { ...item, holding: 'offer', shipping: 4.5, lead: { promised: 14, seen: 56 } })).toEqual([])
    expect(why(problemsOf(StockRequest, { ...item, holding: 'lent' }))).toMatch(/stash or on offer/)
    expect(why(problemsOf(StockRequest, { ...item, quantity: -1 }))).toMatch(/whole number from 0/)
    expect(why(problemsOf(StockRequest, { ...item, reserved: { heron: 1.5 } }))).toMatch(/reserved\.heron: A reserved count/)
    expect(why(problemsOf(StockRequest, { ...item, lead: { promised: 2000 } }))).toMatch(/lead\.promised: Days promised/)
  })
  it('many at once say which', () => {
    expect([item, { ...item, quantity: 0.5 }].flatMap((each, i) => checkedItem(each, i).problems)[0]!.path).toBe('items.1.quantity')
    expect(problemsOf(StockManyRequest, { items: [] })[0]!.why).toMatch(/empty/)
    expect(problemsOf(StockManyRequest, { items: Array(501).fill(item) })[0]!.why).toMatch(/At most 500/)
    expect(problemsOf(JsonStockRequest, { items: 'all' }).length).toBeGreaterThan(0)
    expect(problemsOf(CsvRequest, { csv: '' })[0]!.why).toMatch(/1 letter to 10 MB/)
  })
})
