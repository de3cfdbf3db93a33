import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import { aPart } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

/** Rings, and the pickups that hang from them. */
const withRings = (parts: Partial<Record<Slot & `ring-${string}`, Part>>): Build => {
  const mounts = Object.keys(parts).map((slot) => [`${slot.replace('ring', 'pickup')}/mount`, 'ring'])
  const build = changed(fullBuild(), {}, Object.fromEntries(mounts) as Record<string, string>)
  return { ...build, parts: { ...build.parts, ...parts } }
}
const ring = (neckSide: number, bridgeSide: number): Part =>
  aPart('ring-bridge', { length: 37, width: 70, radius: 2, 'height.neckSide': neckSide, 'height.bridgeSide': bridgeSide }, { foot: 'flat' })

describe('what stands up under the strings', () => {
  // Body to crown at fret 22, 465.9 mm from the nut: 25.4 - 15.9 + 1.1 = 10.6; saddles at 10.6 + 2 x 1.59 - 0.5 = 13.28, 647.7 mm from it.
  // Under the neck ring's edges, 493 -+ 18.5 mm: 10.6 + 2.68 x 8.6/181.8 = 10.73 and 10.6 + 2.68 x 45.6/181.8 = 11.27.
  // Under the bridge ring's edges, 605 -+ 18.5 mm: 12.38 and 12.92. A ring wants 1 mm of air.
  const rows = (place: 'neck' | 'bridge', side: 'neck' | 'bridge', under: number) =>
    judgeRows(
      [
        { what: 'a millimetre and a tenth of air', height: under - 1.1, verdict: 'snug' as const },
        { what: '0.7 mm of air', height: under - 0.7, verdict: 'tight' as const },
        { what: '0.3 mm into them', height: under + 0.3, verdict: 'wont-go' as const },
      ].map(({ what, height, verdict }) => ({
        what,
        joint: 'bridge-height',
        check: `ring-${place}-${side}`,
        verdict,
        sizes: { [`ring-${place}/height.${side}Side`]: height, [`pickup-${place}/above`]: 0.5 },
      })),
      () => withRings({ [`ring-${place}`]: { ...ring(4, 4), name: `ring-${place}` } }),
    )
  rows('neck', 'neck', 10.73)
  rows('neck', 'bridge', 11.27)
  rows('bridge', 'neck', 12.38)
  rows('bridge', 'bridge', 12.92)
  it('a cover is measured from what it hangs on: guard, ring or body', () => {
    // At 605 mm the held string stands 12.65 over the body; the cover 3 mm over its mount.
    const air = (b: Build) => checkIn(changed(b, { 'pickup-bridge/above': 3 }), 'bridge-height', 'cover-bridge').shown![0]!.mean
    expect(air(fullBuild())).toBeCloseTo(12.65 - 3 - 2.5, 1)
    expect(air(withRings({ 'ring-bridge': ring(6, 8) }))).toBeCloseTo(12.65 - 3 - 7, 1)
    expect(air(without(fullBuild(), 'guard'))).toBeCloseTo(12.65 - 3, 1)
    // Hung in the wood, a guard round it lifts nothing.
    expect(air(changed(fullBuild(), {}, { 'pickup-bridge/mount': 'body' }))).toBeCloseTo(12.65 - 3, 1)
  })
  judgeRows([
    // At 550 mm the held string stands 11.84: 11.84 - 2.5 - 8.5 = 0.8.
    {
      what: '0.8 mm under them',
      joint: 'bridge-height',
      check: 'cover-middle',
      verdict: 'tight',
      says: 'Run right down the middle cover still stands only 0.8 mm under the strings held at the last fret; 1.6 is wanted.',
      job: 'Let the middle pickup 1 mm deeper: deepen its route, or raise the strings with a plate under the heel.',
      sizes: { 'pickup-middle/above': 8.5 },
    },
  ])
  it('a lower ring is offered before wood is cut, and brings the pickup down by as much', () => {
    const high = changed(withRings({ 'ring-bridge': ring(8, 8) }), { 'pickup-bridge/above': 4 })
    // 12.66 - 8 - 4 = 0.66 of air where 1.6 is wanted; 0.2 more, since no ring is to a tenth.
    const c = checkIn(high, 'bridge-height', 'cover-bridge')
    expect(c.cures.map((x) => x.id)).toEqual(['lower-ring-bridge', 'lower-cover-bridge', 'lower-pickup-bridge'])
    expect(c.cures[0]!.job).toMatch(/1\.1 mm lower/)
    // A cover that stands 1 out and 3 into the strings cannot come down enough: the strings go up.
    const none = checkIn(changed(fullBuild(), { 'pickup-bridge/above': 1, 'guard/thickness': 14 }), 'bridge-height', 'cover-bridge')
    expect(none.raw.verdict).toBe('wont-go')
    expect(none.cures.at(-1)!.job).toMatch(/^Lift the strings there by [\d.]+ mm or more: no pickup is low enough\.$/)
  })
  it('where no ring is low enough the strings go up by what is left', () => {
    const low = (depth: number) =>
      checkIn(changed(withRings({ 'ring-bridge': ring(4, 4) }), { 'body/pocket.depth': depth }), 'bridge-height', 'ring-bridge-neck')
    // 8 mm deeper the held string stands 12.38 - 8 = 4.38 there, 0.38 over the ring where 1 is wanted; 0.3 more.
    expect(low(23.9).cures.map((c) => c.job)).toEqual(['Take a ring 0.9 mm lower on the neck side.'])
    // 12 mm deeper 3.62 under its edge: 4.92, and the ring is 4 high.
    expect(low(27.9).cures.map((c) => c.job)).toEqual(['Lift the strings there by 1.9 mm or more: no ring is low enough.'])
  })
})

describe('each side of the strings has its own target', () => {
  // Low: 1.25 treble, 1.5 bass: saddles at 10.6 + 2.5 - 0.5 = 12.6 and 13.1. Ordinary: 13.28 both.
  const at = (low: number, high: number, school: 'low' | 'ordinary') => {
    const b = changed(fullBuild(), { 'bridge/height.min': low, 'bridge/height.max': high })
    const set = { ...b, setup: { ...b.setup, school } }
    return [checkIn(set, 'bridge-height', 'low-stop'), checkIn(set, 'bridge-height', 'high-stop')].map((c) => c.clearance[0]!.mean)
  }
  it('the lowest stop is held against the treble, the highest against the bass', () => {
    expect(at(10, 15, 'low')).toEqual([expect.closeTo(2.6, 2), expect.closeTo(1.9, 2)])
    expect(at(10, 15, 'ordinary')).toEqual([expect.closeTo(3.28, 2), expect.closeTo(1.72, 2)])
  })
})
