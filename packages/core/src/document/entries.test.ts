import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import type { Build } from './build'
import { applyChange, editEntries, inverse, sameJson, type Change, type Json } from './change'
import { setCircuit, setFinish, setSetup } from './changes'
import { mergeOnto } from './merge'

/** One entry of a record that may not be there yet, set or taken away, as a station does it: with the others as it sees them. */
const ACTS: Record<string, (b: Build, key: string, to: number | undefined) => Change> = {
  soldered: (b, key, to) => {
    const { [key]: _, ...others } = b.circuit.soldered ?? {}
    return setCircuit(b, 'soldered', to === undefined ? others : { ...others, [key]: `2026-12-0${to}` }, key)
  },
  grits: (b, key, to) => {
    const { [key]: _, ...others } = b.finish.grits ?? {}
    return setFinish(b, 'grits', to === undefined ? others : { ...others, [key]: `2026-12-0${to}` }, key)
  },
  rocks: (b, key, to) => {
    const { [key]: _, ...others } = b.setup.rocks ?? {}
    return setSetup(b, 'rocks', to === undefined ? others : { ...others, [key]: to / 10 }, key)
  },
}
const KEYS = ['a', 'b', 'c', 'd']
const value = fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined })
/** What one window did: entries of one record, one after the other. */
const acts = (keys: readonly string[]) => fc.array(fc.tuple(fc.constantFrom(...keys), value), { minLength: 1, maxLength: 4 })

function done(build: Build, record: string, list: readonly (readonly [string, number | undefined])[]): { build: Build; changes: Change[] } {
  return list.reduce(
    ({ build: b, changes }, [key, to]) => {
      const change = ACTS[record]!(b, key, to)
      return { build: applyChange(b, change), changes: [...changes, change] }
    },
    { build, changes: [] as Change[] },
  )
}
const same = (a: object, b: object) => sameJson(a as Json, b as Json)

describe('a record two windows write into', () => {
  it('different entries: both are kept and nobody is asked, whether or not the record was there', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(ACTS)),
        acts(KEYS),
        acts(['a', 'b']),
        acts(['c', 'd']),
        fc.boolean(),
        (record, before, left, right, bare) => {
          const base = bare ? fullBuild() : done(fullBuild(), record, before).build
          const [mine, theirs] = [done(base, record, left), done(base, record, right)]
          const one = mergeOnto(theirs.build, mine.changes)
          const other = mergeOnto(mine.build, theirs.changes)
          expect([one.clashing, other.clashing]).toEqual([[], []])
          expect(same(one.build, other.build)).toBe(true)
          // Each entry is what the window said that wrote it last.
          const alone = done(done(base, record, left).build, record, right).build
          expect(same(one.build, alone)).toBe(true)
        },
      ),
    ))
  it('the same entry, said otherwise: asked for once', () => {
    const base = done(fullBuild(), 'rocks', [['a', 1]]).build
    const merged = mergeOnto(
      done(base, 'rocks', [['a', 2]]).build,
      done(base, 'rocks', [
        ['a', 3],
        ['b', 4],
      ]).changes,
    )
    expect(merged.clashing.map((c) => c.clashes)).toEqual([[{ path: ['setup', 'rocks', 'a'], gone: false, mine: 0.3, theirs: 0.2 }]])
    expect(merged.build.setup.rocks).toEqual({ a: 0.2, b: 0.4 })
    // Begun by both with the same entry: one of the two records.
    const begun = mergeOnto(done(fullBuild(), 'rocks', [['a', 2]]).build, done(fullBuild(), 'rocks', [['a', 3]]).changes)
    expect(begun.clashing).toHaveLength(1)
  })
  it('taken back, an entry goes and the others stay', () => {
    const base = done(fullBuild(), 'soldered', [
      ['a', 1],
      ['b', 2],
    ]).build
    const mine = ACTS.soldered!(base, 'b', 5)
    const theirs = done(base, 'soldered', [['c', 3]]).build
    const undone = applyChange(applyChange(theirs, mine), inverse(mine))
    expect(undone.circuit.soldered).toEqual({ a: '2026-12-01', b: '2026-12-02', c: '2026-12-03' })
  })
  it('what is no record is set as a whole, and nothing is set that stays as it is', () => {
    const doc = { list: [1, 2], name: 'x', made: { a: 1 } }
    expect(editEntries(doc, ['list'], [1, 3])).toEqual([{ path: ['list'], from: [1, 2], to: [1, 3] }])
    expect(editEntries(doc, ['name'], 'y')).toEqual([{ path: ['name'], from: 'x', to: 'y' }])
    expect(editEntries(doc, ['made'], undefined)).toEqual([{ path: ['made'], from: { a: 1 } }])
    expect(editEntries(doc, ['made'], { a: 1 })).toEqual([])
    expect(editEntries(doc, ['new'], { a: 1 })).toEqual([{ path: ['new'], to: { a: 1 } }])
  })
})
