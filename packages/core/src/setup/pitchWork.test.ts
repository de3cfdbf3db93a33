import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { measuredBuild } from '../testing/setup'
import { pitchSays } from './pitchSays'
import { IN_TUNE, type PitchWork } from './pitchWork'
import { outOfTune, setupResult } from './setupResult'

const bridge = (carries: 'one' | 'two'): Build => changed(fullBuild(), { 'bridge/length.pitch': 0.7 }, { 'bridge/carries': carries })
const read = (carries: 'one' | 'two', cents: Record<number, number>) => setupResult(measuredBuild(bridge(carries), { cents }))
const of = (carries: 'one' | 'two', cents: Record<number, number>) => {
  const all = read(carries, cents).intonation
  return (number: number): PitchWork => all.find((i) => i.number === number)!
}

describe('a saddle that carries two strings', () => {
  it('goes to the middle of what both want, and is told of once', () => {
    const shared = of('two', { 1: 6, 2: 2 })
    // 4 cents of 647.7 mm times ln 2 / 1200 are 1.4965 mm; at 0.7 mm a turn 2.138 turns.
    for (const [number, beside] of [
      [1, 2],
      [2, 1],
    ] as const)
      expect(shared(number)).toMatchObject({
        beside,
        off: 4,
        back: expect.closeTo(1.4965, 3) as number,
        turns: expect.closeTo(2.138, 3) as number,
      })
    expect(pitchSays(read('two', { 1: 6, 2: 2 }))).toEqual({ state: 'out', says: '1 and 2: 2 1/8 back' })
    expect(pitchSays(read('one', { 1: 6, 2: 2 })).says).toBe('1: 3 1/4 back · 2: 1 1/8 back')
  })
  it('goes nowhere before both were read', () => {
    const half = read('two', { 3: -7 })
    expect(half.intonation.find((i) => i.number === 3)).toMatchObject({ cents: -7, beside: 4 })
    expect(half.intonation.some((i) => i.back !== undefined || i.turns !== undefined)).toBe(false)
    expect(pitchSays(half)).toEqual({ state: 'again', says: '4: read too, on the same saddle' })
    expect(outOfTune(half)).toBe(0)
  })
  it('stays where one string is as sharp as the other is flat, and says what is left', () => {
    expect(pitchSays(read('two', { 5: 5, 6: -5 }))).toEqual({
      state: 'done',
      says: 'As near as a saddle for two strings comes: 5 +5, 6 −5 cents',
    })
    expect(outOfTune(read('two', { 5: 5, 6: -5 }))).toBe(0)
    expect(outOfTune(read('one', { 5: 5, 6: -5 }))).toBe(2)
  })
  it('of an odd number the last has its own', () => {
    const five = { ...bridge('two'), strings: 5 }
    const { intonation } = setupResult(measuredBuild(five, { cents: { 5: 8 } }))
    expect(intonation.map((i) => i.beside)).toEqual([2, 1, 4, 3, undefined])
    expect(intonation[4]).toMatchObject({ off: 8 })
  })
  it('no other place leaves the worse of the two nearer', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: -40, max: 40, noNaN: true }),
        (a, b, elsewhere) => {
          const { off } = of('two', { 1: a, 2: b })(1)
          const worse = (moved: number) => Math.max(Math.abs(a - moved), Math.abs(b - moved))
          expect(worse(off!)).toBeLessThanOrEqual(worse(elsewhere) + 1e-9)
        },
      ),
      { numRuns: 30 },
    ))
  it('as long as each has its own, what is told is what it was', () => {
    const alone = of('one', { 1: 6, 2: 0.5 })
    expect(alone(1)).toMatchObject({ off: 6, turns: expect.closeTo((6 * 0.37412) / 0.7, 3) as number })
    expect(alone(1).beside).toBeUndefined()
    expect(Math.abs(alone(2).off!)).toBeLessThan(IN_TUNE)
  })
})
