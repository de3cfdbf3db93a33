import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import type { Build } from './build'
import { applyChange, EditRefused, inverse, jsonAt, type Json } from './change'

/** A build with a list in it; which list does not matter. */
const withList = (...list: Json[]): Build => ({ ...fullBuild(), marks: list }) as unknown as Build
const marksOf = (build: Build) => jsonAt(build as never, ['marks'])
const edited = (list: Json[], place: string, from: Json | undefined, to: Json | undefined) => {
  const one = { path: ['marks', place], ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) }
  return { build: withList(...list), change: { label: 'x', edits: [one] } }
}
const after = (...args: Parameters<typeof edited>) => {
  const { build, change } = edited(...args)
  return marksOf(applyChange(build, change))
}

describe('an edit in a list', () => {
  it('sets an entry where it stands, the first, a middle one and the last', () => {
    expect(after([1, 2, 3], '0', 1, 9)).toEqual([9, 2, 3])
    expect(after([1, 2, 3], '1', 2, 9)).toEqual([1, 9, 3])
    expect(after([1, 2, 3], '2', 3, 9)).toEqual([1, 2, 9])
  })
  it('puts one behind the last, and the first into an empty one', () => {
    expect(after([1, 2], '2', undefined, 9)).toEqual([1, 2, 9])
    expect(after([], '0', undefined, 9)).toEqual([9])
  })
  it('takes the last away and no other: a list has no hole', () => {
    expect(after([1, 2, 3], '2', 3, undefined)).toEqual([1, 2])
    expect(() => after([1, 2, 3], '1', 2, undefined)).toThrow('Only the last entry of marks can be taken away, number 2.')
    expect(() => after([1, 2, 3], '0', 1, undefined)).toThrow(EditRefused)
  })
  it('is refused beyond the next place, and at what is no place', () => {
    expect(() => after([1, 2], '3', undefined, 9)).toThrow('marks has 2 entries: an edit sets one of them, or the next, number 2.')
    for (const place of ['-1', '01', '1.0', 'x', '']) expect(() => after([1, 2], place, undefined, 9), place).toThrow(EditRefused)
  })
  it('is taken back exactly, and leaves the list it was made on alone', () => {
    for (const args of [
      [[1, 2, 3], '1', 2, 9],
      [[1, 2], '2', undefined, 9],
      [[1, 2, 3], '2', 3, undefined],
    ] as Parameters<typeof edited>[]) {
      const { build, change } = edited(...args)
      const then = applyChange(build, change)
      expect(marksOf(build)).toEqual(args[0])
      expect(marksOf(applyChange(then, inverse(change)))).toEqual(args[0])
    }
  })
  it('reaches into what an entry holds, without touching its neighbours', () => {
    const build = withList({ a: 1 }, { a: 2 })
    const then = applyChange(build, { label: 'x', edits: [{ path: ['marks', '1', 'a'], from: 2, to: 5 }] })
    expect(marksOf(then)).toEqual([{ a: 1 }, { a: 5 }])
    expect((marksOf(then) as Json[])[0]).toBe((marksOf(build) as Json[])[0])
  })
})
