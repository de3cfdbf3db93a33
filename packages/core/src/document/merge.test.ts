import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import { applyChange, sameJson, type Change, type Json } from './change'
import { removePart, setField, setSize } from './changes'
import { mergeOnto, putOnTop } from './merge'

const base = fullBuild()
const size = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })
const mouth = { slot: 'body' as const, size: 'pocket.widthMouth' }
const heel = { slot: 'neck' as const, size: 'heel.widthMouth' }
const same = (a: object, b: object) => sameJson(a as Json, b as Json)

describe('two windows on one build', () => {
  it('different sizes: both are kept, whoever comes first', () => {
    const [mine, theirs] = [setSize(base, mouth, size(56.3)), setSize(base, heel, size(55.8))]
    const merged = mergeOnto(applyChange(base, theirs), [mine])
    expect(merged.clashing).toEqual([])
    expect(merged.build.parts.body!.sizes['pocket.widthMouth']!.value).toBe(56.3)
    expect(merged.build.parts.neck!.sizes['heel.widthMouth']!.value).toBe(55.8)
    expect(same(merged.build, mergeOnto(applyChange(base, mine), [theirs]).build)).toBe(true)
  })
  it('the same size: one clash, with both values', () => {
    const merged = mergeOnto(applyChange(base, setSize(base, mouth, size(56.1))), [setSize(base, mouth, size(56.3))])
    expect(merged.kept).toEqual([])
    expect(merged.clashing[0]!.clashes).toMatchObject([{ gone: false, mine: { value: 56.3 }, theirs: { value: 56.1 } }])
  })
  it('the same value on both sides is no clash, and nothing to send', () => {
    const mine = setSize(base, mouth, size(56.3))
    expect(mergeOnto(applyChange(base, mine), [mine])).toMatchObject({ kept: [], clashing: [] })
  })
  it('a part taken out elsewhere: the size on it is said to have lost its place, and cannot be put on top', () => {
    const theirs = applyChange(base, removePart(base, 'neck'))
    const mine = setSize(base, heel, size(55.8))
    expect(mergeOnto(theirs, [mine]).clashing[0]!.clashes[0]!.gone).toBe(true)
    expect(putOnTop(theirs, mine).edits).toEqual([])
  })
  it('a later change of mine goes with the earlier one it stands on', () => {
    const once = setField(base, ['name'], 'One', 'One')
    const twice = setField(applyChange(base, once), ['name'], 'Two', 'Two')
    const other = setField(base, ['budget'], 7, 'Budget')
    const merged = mergeOnto(applyChange(base, setField(base, ['name'], 'Theirs', 'Theirs')), [once, twice, other])
    expect(merged.clashing.map((c) => c.change.label)).toEqual(['One', 'Two'])
    expect(merged.build).toMatchObject({ name: 'Theirs', budget: 7 })
  })
  it('put on top, mine stands whatever was there', () => {
    const theirs = applyChange(base, setSize(base, mouth, size(56.1)))
    expect(applyChange(theirs, putOnTop(theirs, setSize(base, mouth, size(56.3)))).parts.body!.sizes['pocket.widthMouth']!.value).toBe(56.3)
  })
  it('on a build nobody else touched, merging is applying; and what is kept always applies', () => {
    const keys = ['name', 'budget', 'currency', 'due'] as const
    const act = fc.tuple(fc.constantFrom(...keys), fc.integer({ min: 0, max: 3 }))
    const run = (acts: [string, number][], from = base) => {
      let doc = from
      const changes: Change[] = []
      for (const [key, v] of acts) {
        changes.push(setField(doc, [key], v, key))
        doc = applyChange(doc, changes.at(-1)!)
      }
      return { doc, changes }
    }
    fc.assert(
      fc.property(fc.array(act, { maxLength: 6 }), fc.array(act, { maxLength: 6 }), (mine, theirs) => {
        const [m, t] = [run(mine), run(theirs)]
        expect(same(mergeOnto(base, m.changes).build, m.doc)).toBe(true)
        const merged = mergeOnto(t.doc, m.changes)
        expect(same(merged.kept.reduce(applyChange, t.doc), merged.build)).toBe(true)
        // Places only one side touched read what that side left there.
        for (const key of keys)
          if (!theirs.some(([k]) => k === key)) expect(merged.build[key]).toBe(m.doc[key])
          else if (!mine.some(([k]) => k === key)) expect(merged.build[key]).toBe(t.doc[key])
      }),
    )
  })
})
