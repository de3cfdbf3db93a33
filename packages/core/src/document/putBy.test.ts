import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Part } from '../parts/part'
import type { StockItem } from '../parts/stock'
import { fullBuild, without } from '../testing/fullBuild'
import type { Build } from './build'
import { applyChange, inverse, type Change } from './change'
import { choosePart, removePart, setPartField } from './changes'
import { putBy } from './putBy'

const pot: Part = { ...fullBuild().parts['pot-volume']!, name: 'Pot from the drawer', state: 'in hand' }
const drawer = (more: Partial<StockItem> = {}): StockItem => ({
  id: 'd',
  part: pot,
  holding: 'stash',
  quantity: 3,
  reserved: { other: 1 },
  ...more,
})
const bare = without(fullBuild(), 'pot-volume', 'pot-tone')

/** The bench and its drawer after some changes, one after the other. */
function after(build: Build, stash: StockItem[], ...changes: ((b: Build) => Change)[]) {
  for (const make of changes) {
    const change = make(build)
    build = applyChange(build, change)
    const touched = putBy(change, build, 'b', stash)
    stash = stash.map((i) => touched.find((t) => t.id === i.id) ?? i)
  }
  return { build, stash }
}
const reserved = (stash: StockItem[]) => stash[0]!.reserved

describe('put by', () => {
  it('what comes from the stash is put by, each piece of it; what leaves is free again', () => {
    const one = after(bare, [drawer()], (b) => choosePart(b, 'pot-volume', pot))
    expect(reserved(one.stash)).toEqual({ other: 1, b: 1 })
    const two = after(one.build, one.stash, (b) => choosePart(b, 'pot-tone', pot))
    expect(reserved(two.stash)).toEqual({ other: 1, b: 2 })
    const gone = after(
      two.build,
      two.stash,
      (b) => removePart(b, 'pot-volume'),
      (b) => removePart(b, 'pot-tone'),
    )
    expect(reserved(gone.stash)).toEqual({ other: 1 })
  })
  it('what was put by beforehand is used up first', () => {
    const { stash } = after(bare, [drawer({ reserved: { b: 2 } })], (b) => choosePart(b, 'pot-volume', pot))
    expect(reserved(stash)).toEqual({ b: 2 })
  })
  it('never more than there is, and never what another build has put by', () => {
    const { stash } = after(
      bare,
      [drawer({ quantity: 2 })],
      (b) => choosePart(b, 'pot-volume', pot),
      (b) => choosePart(b, 'pot-tone', pot),
    )
    expect(reserved(stash)).toEqual({ other: 1, b: 1 })
    const none = after(bare, [drawer({ quantity: 1 })], (b) => choosePart(b, 'pot-volume', pot))
    expect(reserved(none.stash)).toEqual({ other: 1 })
  })
  it('one part for another: one comes, one goes', () => {
    const better: Part = { ...pot, name: 'Better pot' }
    const stash = [drawer({ reserved: {} }), drawer({ id: 'e', part: better, reserved: {} })]
    const swapped = after(
      bare,
      stash,
      (b) => choosePart(b, 'pot-volume', pot),
      (b) => choosePart(b, 'pot-volume', better),
    )
    expect(swapped.stash.map((i) => i.reserved)).toEqual([{}, { b: 1 }])
  })
  it('what is only planned, an offer, or of another name leaves the drawer alone', () => {
    for (const part of [
      { ...pot, state: 'planned' as const },
      { ...pot, name: 'Pot of the same make' },
    ])
      expect(reserved(after(bare, [drawer()], (b) => choosePart(b, 'pot-volume', part)).stash)).toEqual({ other: 1 })
    expect(reserved(after(bare, [drawer({ holding: 'offer' })], (b) => choosePart(b, 'pot-volume', pot)).stash)).toEqual({ other: 1 })
  })
  it('a price or a size entered moves nothing', () => {
    const { build, stash } = after(bare, [drawer()], (b) => choosePart(b, 'pot-volume', pot))
    expect(putBy(setPartField(build, 'pot-volume', 'price', 4), build, 'b', stash)).toEqual([])
  })
  it('taken back, it is as it was; however it goes on, no more is put by than is used or there', () => {
    const acts: ((b: Build) => Change)[] = [
      (b) => choosePart(b, 'pot-volume', pot),
      (b) => choosePart(b, 'pot-tone', pot),
      (b) => removePart(b, 'pot-volume'),
      (b) => removePart(b, 'pot-tone'),
    ]
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 12 }), fc.integer({ min: 0, max: 3 }), (order, quantity) => {
        let build = bare
        let stash = [drawer({ quantity, reserved: {} })]
        const done: Change[] = []
        for (const n of order) {
          const change = acts[n]!(build)
          if (sameParts(build, applyChange(build, change))) continue
          ;({ build, stash } = after(build, stash, () => change))
          done.push(change)
          const inUse = [build.parts['pot-volume'], build.parts['pot-tone']].filter(Boolean).length
          expect(reserved(stash).b ?? 0).toBeLessThanOrEqual(Math.min(inUse, quantity))
        }
        for (const change of done.toReversed()) ({ build, stash } = after(build, stash, () => inverse(change)))
        expect(reserved(stash)).toEqual({})
      }),
    )
  })
})

const sameParts = (a: Build, b: Build) =>
  JSON.stringify(Object.keys(a.parts).toSorted()) === JSON.stringify(Object.keys(b.parts).toSorted())
