import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { measuredBuild } from '../testing/setup'
import { pitchNotes } from './pitchNotes'
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

describe('a bridge that goes as a whole, by a screw at each end', () => {
  const bar = (cents: Record<number, number>, lengths: string | null = 'ends', mount = 'bar') =>
    measuredBuild(changed(bridge('one'), {}, { 'bridge/mount': mount, 'bridge/lengths': lengths ?? undefined }), { cents })
  const work = (b: Build, number: number) => setupResult(b).intonation.find((i) => i.number === number)!
  it('goes at each end as that outer string wants, where only those were read', () => {
    const b = bar({ 1: 6, 6: 2 })
    // A cent is 647.7 ln 2 / 1200 = 0.37412 mm.
    expect(work(b, 1)).toMatchObject({ whole: 'end', off: 6, back: expect.closeTo(2.2447, 3) as number })
    expect(work(b, 6)).toMatchObject({ whole: 'end', off: expect.closeTo(2, 9) as number, back: expect.closeTo(0.7482, 3) as number })
    expect(work(b, 1).turns ?? work(b, 6).turns).toBeUndefined()
    expect(pitchSays(setupResult(b))).toEqual({ state: 'out', says: 'treble end: 2.2 mm back · bass end: 0.7 mm back' })
  })
  it('lies as near to all strings read as one line comes: least squares by hand', () => {
    // Strings 1, 3, 6 read +6, +10, +2: means 10/3 and 6; slope -12 / (114/9) = -0.9474 cents a string.
    const b = bar({ 1: 6, 3: 10, 6: 2 })
    expect(work(b, 1).off).toBeCloseTo(6 + (0.947368 * 7) / 3, 4)
    expect(work(b, 6).off).toBeCloseTo(6 - (0.947368 * 8) / 3, 4)
    expect(work(b, 3)).toMatchObject({ whole: 'between', cents: 10 })
    expect(work(b, 3).back).toBeUndefined()
  })
  it('goes nowhere before both outer strings were read, and says what is left when it can do no more', () => {
    expect(work(bar({ 1: 6, 3: 10 }), 1).back).toBeUndefined()
    expect(pitchSays(setupResult(bar({ 1: 6, 3: 10 })))).toEqual({ state: 'again', says: '6: read too, the bridge goes as a whole' })
    // Fit of +2 0 -2 ... is level: nothing to turn.
    expect(pitchSays(setupResult(bar({ 1: -2, 3: 4, 4: 4, 6: -2, 2: -2, 5: -2 })))).toEqual({
      state: 'done',
      says: 'As near as the bridge’s two ends bring all strings: 1 −2, 2 −2, 3 +4, 4 +4, 5 −2, 6 −2 cents',
    })
  })
  it('moves every string by one screw: all are read again', () => {
    const at = (minute: number) => new Date(Date.UTC(2026, 10, 30, 9, minute)).toISOString()
    const b = bar({})
    const then = {
      ...b,
      setup: {
        ...b.setup,
        readings: {
          a: { what: 'cents' as const, string: 6, value: 5, at: at(0) },
          b: { what: 'cents' as const, string: 1, value: 5, at: at(0) },
        },
        turns: { t: { screw: 'length' as const, string: 1, turns: 1, at: at(5) } },
      },
    }
    expect(work(then, 6).stale).toBe(true)
    expect(work(changed(then, {}, { 'bridge/lengths': 'each' }), 6).stale).toBeUndefined()
  })
  it('a bar of which nobody said it is given no turns, and asked; other bridges have their screws', () => {
    const untold = bar({ 1: 6 }, null)
    expect(work(untold, 1)).toMatchObject({ back: expect.closeTo(2.2447, 3) as number })
    expect(work(untold, 1).turns).toBeUndefined()
    expect(pitchNotes(untold, setupResult(untold).intonation).join(' ')).toMatch(/say under Parts/)
    expect(work(bar({ 1: 6 }, null, 'string-through'), 1).turns).toBeCloseTo(2.2447 / 0.7, 3)
    expect(work(bar({ 1: 6 }, 'each'), 1).turns).toBeCloseTo(2.2447 / 0.7, 3)
  })
})
