import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { changed, fullBuild } from '../testing/fullBuild'
import { levelOf, levelWork } from './levels'
import { simulatedLevel } from './simulated'

const RATE = 48_000
const sine = (peak: number, seconds = 0.5, from = 0) =>
  Float64Array.from({ length: Math.round(seconds * RATE) }, (_, i) => (i < from ? 0 : peak * Math.sin((2 * Math.PI * 220 * i) / RATE)))

describe('level of a sound', () => {
  it('a sine of half of full is 0.5 / sqrt 2: -9.03 dB', () => {
    const l = levelOf(sine(0.5), RATE)
    expect(l.ok && l.dB).toBeCloseTo(-9.03, 2)
  })
  it('half the swing is 6.02 dB less; silence before it does not count', () => {
    const [a, b, late] = [levelOf(sine(0.5), RATE), levelOf(sine(0.25), RATE), levelOf(sine(0.5, 1, 24_000), RATE)]
    expect(a.ok && b.ok && a.dB - b.dB).toBeCloseTo(6.02, 2)
    expect(late.ok && late.dB).toBeCloseTo(-9.03, 1)
  })
  it('too short, cut off and silent are refused, each with what to do', () => {
    expect(levelOf(sine(0.5, 0.1), RATE)).toMatchObject({ ok: false, why: expect.stringMatching(/a third of a second/) })
    expect(
      levelOf(
        sine(1.5).map((x) => Math.max(-1, Math.min(1, x))),
        RATE,
      ),
    ).toMatchObject({ ok: false, why: expect.stringMatching(/input down/) })
    expect(levelOf(sine(1e-5), RATE)).toMatchObject({ ok: false, why: expect.stringMatching(/Nothing was heard/) })
  })
})

describe('the simulated instrument', () => {
  it('a pickup at twice the distance is heard 12 dB softer', () => {
    const base = changed({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } }, {}, {})
    const at = (mm: number) => {
      const readings = Object.fromEntries(
        ([1, 6] as const).map((string) => [`${string}`, { what: 'pickup', slot: 'pickup-neck', string, value: mm } as SetupReading]),
      )
      const l = levelOf(...simulatedLevel({ ...base, setup: { ...base.setup, readings } }, 'pickup-neck', 3))
      return l.ok ? l.dB : NaN
    }
    expect(at(2) - at(4)).toBeCloseTo(12.04, 1)
  })
})

describe('levels against each other', () => {
  const bare = (): Build => changed({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } }, {}, {})
  const level = (slot: 'pickup-neck' | 'pickup-bridge', dB: readonly number[]): SetupReading[] =>
    dB.map((value, i) => ({ what: 'level', slot, string: i + 1, value }))
  const read = (...readings: SetupReading[]): Build => {
    const b = bare()
    return { ...b, setup: { ...b.setup, readings: Object.fromEntries(readings.map((r) => [setupReadingId(r), r])) } }
  }
  const work = (b: Build, slot: string) => levelWork(b).find((w) => w.slot === slot)!
  it('a string that is louder has its pole turned down, clockwise; a softer one up', () => {
    const strings = work(read(...level('pickup-neck', [-20, -20, -14, -20, -20, -26])), 'pickup-neck').strings
    expect(strings[2]!.says).toMatch(/^louder by 6.0 dB: its pole [\d.]+ mm down, .* clockwise, seen from above/)
    expect(strings[5]!.says).toMatch(/^softer by 6.0 dB: its pole [\d.]+ mm up, .* counter-clockwise/)
    expect(strings[0]!.says).toBe('even')
  })
  it('6 dB are 2^(6/12) of the distance: from 2 mm 0.83 mm further', () => {
    const b = read(...level('pickup-neck', [-20, -20, -20, -20, -20, -12.8]), { what: 'pickup', slot: 'pickup-neck', string: 6, value: 2 })
    // Over the mean of -18.8 by 6.0 dB.
    expect(work(b, 'pickup-neck').strings[5]!.over).toBeCloseTo(6, 6)
    expect(work(b, 'pickup-neck').strings[5]!.says).toMatch(/0.8 mm down/)
  })
  it('the louder pickup goes down, the softer stays', () => {
    const b = read(...level('pickup-neck', [-12, -12, -12, -12, -12, -12]), ...level('pickup-bridge', [-18, -18, -18, -18, -18, -18]))
    expect(work(b, 'pickup-neck').says).toMatch(/Louder than the softest by 6.0 dB.*down/)
    expect(work(b, 'pickup-bridge').says).toMatch(/it stays/)
    expect(work(read(...level('pickup-neck', [-12])), 'pickup-neck').says).toMatch(/Read another pickup/)
    expect(work(bare(), 'pickup-neck').says).toBe('Not read yet.')
  })
  it('pickups are weighed by the strings that were read of all of them', () => {
    // The bridge pickup was heard by its loudest string alone: over that string both are as loud.
    const b = read(...level('pickup-neck', [-12, -18, -18, -18, -18, -18]), ...level('pickup-bridge', [-12]))
    expect(work(b, 'pickup-bridge').says).toBe('As loud as the softest: it stays.')
    expect(work(b, 'pickup-neck').says).toBe('As loud as the softest: it stays.')
    const other = read(...level('pickup-neck', [-12]), { what: 'level', slot: 'pickup-bridge', string: 6, value: -20 })
    expect(work(other, 'pickup-neck').says).toMatch(/^Read the same strings of each pickup/)
  })
  it('no pole is sent nearer than a pole may come', () => {
    const near = (mm: number) =>
      read(
        ...level('pickup-neck', [-20, -20, -20, -20, -20, -32]),
        ...[1, 6].map((string) => ({ what: 'pickup' as const, slot: 'pickup-neck' as const, string, value: mm })),
      )
    const says = (mm: number) => work(near(mm), 'pickup-neck').strings[5]!.says
    // Softer by 10 dB: 2.4 mm x (1 - 2^(-10/12)) are 1.05 mm, of which a millimetre at once; from 1.6 mm only 0.4 mm are left.
    expect(says(2.4)).toMatch(/its pole 1\.0 mm up/)
    expect(says(1.6)).toMatch(/its pole 0\.4 mm up/)
    expect(says(1.25)).toBe('softer by 10.0 dB: its pole is as near as it may be, the others go down instead')
    expect(says(1)).toBe(says(1.25))
  })
  it('what was played before the pickup was moved is played again, and turns nothing', () => {
    const at = (day: number) => `2026-12-0${day}T19:00:00Z`
    const ends = (mm: number, day: number) =>
      [1, 6].map((string) => ({ what: 'pickup' as const, slot: 'pickup-neck' as const, string, value: mm, at: at(day) }))
    const played = level('pickup-neck', [-20, -20, -14, -20, -20, -20]).map((r) => ({ ...r, at: at(2) }))
    expect(work(read(...ends(2, 1), ...played), 'pickup-neck').strings[2]!.says).toMatch(/^louder/)
    const moved = work(read(...ends(2, 1), ...played, ...ends(2.6, 3)), 'pickup-neck')
    for (const s of moved.strings)
      expect(s.says).toMatch(/^From string 1 to the neck pickup it was 2 mm when it was read and is 2\.6 mm now\. Read it again/)
    expect(moved.says).toBe('Play it again: what was read no longer holds.')
    // Another pickup is as it was.
    const bridge = level('pickup-bridge', [-20, -20, -14, -20, -20, -20]).map((r) => ({ ...r, at: at(2) }))
    expect(work(read(...ends(2, 1), ...bridge, ...ends(2.6, 3)), 'pickup-bridge').strings[2]!.says).toMatch(/^louder/)
  })
})
