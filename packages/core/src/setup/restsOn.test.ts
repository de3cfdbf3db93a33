import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { fullBuild } from '../testing/fullBuild'
import { setupResult } from './setupResult'
import { freshReading, staleSays } from './staleness'

type Read = SetupReading & { at: string }
const on = (day: number, minute = 0) => `2026-12-0${day}T19:0${minute}:00Z`
const after = (...readings: readonly Read[]): Build => ({
  ...fullBuild(),
  setup: { school: 'ordinary', readings: Object.fromEntries(readings.map((r) => [setupReadingId(r), r])) },
})
const relief = (value: number, at: string): Read => ({ what: 'relief', value, at })
const action = (string: number, value: number, at: string, fret?: number): Read => ({
  what: 'action',
  string,
  value,
  at,
  ...(fret ? { fret } : {}),
})
const cents = (string: number, at: string): Read => ({ what: 'cents', string, value: 2, at })

describe('a reading rests on what was read beside it', () => {
  it('it holds while that is read alike, and no longer once it is read otherwise, turned or not', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.5, noNaN: true }), fc.double({ min: -0.05, max: 0.5, noNaN: true }), (r1, r2) => {
        const b = after(relief(r1, on(1)), action(1, 1.6, on(1, 1)), relief(r2, on(2)))
        const says = staleSays(b, { what: 'action', string: 1 })
        if (Math.abs(r2 - r1) <= 0.05) expect(says).toBeUndefined()
        else expect(says).toMatch(/^The relief was .* mm when it was read and is .* mm now\. Read it again/)
        // Read again, it holds whatever was before.
        const again = after(relief(r1, on(1)), action(1, 1.6, on(1, 1)), relief(r2, on(2)), action(1, 1.5, on(2, 1)))
        expect(freshReading(again, { what: 'action', string: 1 })).toBe(1.5)
      }),
    ))
  it('the pitch at fret 12 goes by its own string’s height, or by the outer ones where nobody read that', () => {
    const own = after(action(1, 1.6, on(1)), action(6, 2, on(1)), action(3, 1.7, on(1)), cents(3, on(1, 1)))
    const with3 = (mm: number) =>
      staleSays({ ...own, setup: { ...own.setup, readings: { ...own.setup.readings, x: action(3, mm, on(2)) } } }, cents(3, ''))
    expect(with3(1.75)).toBeUndefined()
    expect(with3(1.4)).toBe(
      'The action of string 3 was 1.7 mm when it was read and is 1.4 mm now. Read it again before anything else is turned.',
    )
    const outer = after(action(1, 1.6, on(1)), action(6, 2, on(1)), cents(3, on(1, 1)), action(6, 1.6, on(2)))
    expect(staleSays(outer, cents(3, ''))).toMatch(/^The action of string 6 was 2 mm/)
    // Another string's height is not its own.
    const other = after(action(1, 1.6, on(1)), action(3, 1.7, on(1)), cents(3, on(1, 1)), action(1, 1.2, on(2)))
    expect(staleSays(other, cents(3, ''))).toBeUndefined()
  })
  it('heights read at other frets are not the same number; what was read before any of it rests on the first', () => {
    const elsewhere = after(action(3, 1.7, on(1)), cents(3, on(1, 1)), action(3, 2.3, on(2), 17))
    expect(staleSays(elsewhere, cents(3, ''))).toBeUndefined()
    expect(staleSays(after(cents(3, on(1)), action(3, 1.7, on(2))), cents(3, ''))).toBeUndefined()
  })
  it('the move asks for it again, and turns nothing by it', () => {
    const read = (...more: readonly Read[]) => after(relief(0.2, on(1)), action(1, 2.4, on(1, 1)), action(6, 2.6, on(1, 2)), ...more)
    const move = (b: Build) => setupResult(b).moves.find((m) => m.id === 'action')!
    expect(move(read()).stale).toBeUndefined()
    expect(move(read(relief(0.35, on(2))))).toMatchObject({ stale: true, done: false })
    expect(move(read(relief(0.35, on(2)))).says).toMatch(/^The relief was 0\.2 mm when it was read and is 0\.35 mm now/)
  })
})
