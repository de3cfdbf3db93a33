import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { effectsOf, type Build } from '../document/build'
import { specAt, valueAt } from '../document/read'
import type { Check, Cure } from '../judge/joint'
import { STAYS, woodLeft } from '../judge/whatStays'
import { knownBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { aPart, jointIn } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { checkIn, onPaper } from '../testing/rows'
import { findJoints, JOINT_KINDS } from './findJoints'
import { harmless } from './harmless'
import { existsIn } from './kind'

/** Thousands of builds, on whatever machine, ms. */
const LONG = 600_000

type Planned = Cure & { plan: NonNullable<Cure['plan']> }

/** Every cure that can be planned, of every check that is surely bad, of one joint of a generated build: the n-th of those that are not good. */
function planned(build: Build, n: number): { joint: string; check: Check; cure: Planned }[] {
  const bad = JOINT_KINDS.filter((k) => existsIn(k, build))
    .toSorted((a, b) => ((a.id.length * 31 + n) % 17) - ((b.id.length * 31 + n) % 17))
    .slice(0, LOOKED_AT)
    .map((k) => k.find(build))
  return bad.flatMap((joint) =>
    joint.checks
      .filter((c) => c.raw.verdict === 'tight' || c.raw.verdict === 'wont-go' || c.raw.verdict === 'loose')
      .flatMap((check) => check.cures.flatMap((cure) => (cure.plan ? [{ joint: joint.id, check, cure: cure as Planned }] : []))),
  )
}
/** So many joints of each build: more builds say more than more joints of one. */
const LOOKED_AT = 6

describe('a cure, done on paper as told', () => {
  it(
    'changes a size of a part that is there, to a size such a part may have; leaves wood enough; and brings its check out of its class, never into a worse one',
    () => {
      let met = 0
      const cases = holds(
        fc.property(knownBuild, fc.nat(16), (build, n) => {
          for (const { joint, check, cure } of planned(build, n)) {
            const at = `${joint}/${check.id}: ${cure.job}`
            const { plan } = cure
            expect(build.parts[plan.slot], at).toBeDefined()
            expect(Math.abs(plan.delta), at).toBeGreaterThan(0.001)
            const spec = specAt(plan)
            const then = valueAt(onPaper(build, cure), plan) ?? (spec.min + spec.max) / 2
            expect(then, at).toBeGreaterThanOrEqual(spec.min - 1e-9)
            expect(then, at).toBeLessThanOrEqual(spec.max + 1e-9)
            const after = JOINT_KINDS.find((k) => k.id === joint)!.find(onPaper(build, cure))
            const now = after.checks.find((c) => c.id === check.id)?.raw.verdict
            expect(now, at).not.toBe('wont-go')
            expect(now, at).not.toBe(check.raw.verdict)
            const left = effectsOf(plan).map((effect) => woodLeft(build, effect) ?? STAYS)
            expect(Math.min(...left), at).toBeGreaterThanOrEqual(STAYS)
            met++
          }
        }),
        5_000,
      )
      expect(met).toBeGreaterThan(cases / 12)
    },
    LONG,
  )
})

/** Advice that would have hurt an instrument, each with the sum that says so. */
describe('cures that are not offered, or offered otherwise', () => {
  const ids = (b: Build, joint: string) => jointIn(b, joint).cures.map((c) => c.id)
  it('a route is not deepened where 2.5 mm would not stay over the spring room: 44.2 - 18 - 22 = 4.2 mm now, 3 mm deeper leaves 1.2', () => {
    const deep = (springs: number) => changed(fullBuild(), { 'pickup-bridge/depth': 24.5, 'body/spring.depth': springs })
    expect(checkIn(deep(18), 'room-bridge', 'depth').raw.verdict).toBe('tight')
    expect(ids(deep(18), 'room-bridge')).not.toContain('deepen-route')
    expect(ids(deep(14), 'room-bridge')).toContain('deepen-route')
  })
  it('a hole is never reamed to what it is, and its two figures are not the same', () => {
    const b = changed(fullBuild(), { 'guard/pot.hole': 9.42, 'pot-volume/bushing.diameter': 9.4 })
    const [job] = jointIn(b, 'pot-volume').cures.map((c) => c.job)
    expect(job).toBe('Ream the hole from 9.42 to 9.6 mm.')
    expect(ids(changed(fullBuild(), { 'guard/pot.hole': 9.6, 'pot-volume/bushing.diameter': 9.4 }), 'pot-volume')).toEqual([])
  })
  it('a pot like the one there is is no other pot; the packing goes under what the pot is in', () => {
    // 9.5 through a 2.5 mm guard, washer 0.6 and nut 2.1 leaves 4.3; a 6.5 one leaves 1.3.
    const guarded = changed(fullBuild(), { 'pot-volume/bushing.length': 9.5 })
    expect(jointIn(guarded, 'pot-volume').cures.map((c) => c.job)).toContain('Or take a pot with a 6.5 mm bushing.')
    // 6.5 itself in a 1.5 mm top: 2.3 over, and nothing shorter is sold.
    const top = changed(without(guarded, 'guard'), { 'pot-volume/bushing.length': 6.5, 'body/control.top': 1.5, 'body/pot.hole': 9.6 })
    const jobs = jointIn(top, 'pot-volume').cures
    expect(jobs.map((c) => c.id)).toEqual(['inner-nut'])
    expect(jobs[0]!.job).toMatch(/under the top/)
  })
  it('shaving one wall turns the neck no further than the axis is off: 0.3 mm at the bridge is 0.127 mm at the mouth', () => {
    // 255 mm from mouth to bridge, 76 mm of pocket: (255 - 76)/76 = 2.355 mm at the bridge for each at the mouth.
    const b = changed(fullBuild(), { 'body/pocket.widthMouth': 55.7, 'body/axisAtBridge': -0.3 })
    const { plan } = jointIn(b, 'pocket-mouth').cures[0]!
    expect(plan!.also).toEqual([{ slot: 'body', size: 'axisAtBridge', delta: expect.closeTo(0.3, 9) as number, doubt: 0.1 }])
    expect(jointIn(b, 'pocket-mouth').cures[0]!.job).toMatch(
      /^Shave 0\.\d\d mm off the treble wall and 0\.\d\d off the other near the mouth/,
    )
    expect(valueAt(onPaper(b, jointIn(b, 'pocket-mouth').cures[0]!), { slot: 'body', size: 'axisAtBridge' })).toBeCloseTo(0, 9)
  })
  it('filing an edge makes the opening that much longer and moves its middle by half', () => {
    const b = changed(fullBuild(), { 'guard/opening.neck.centre': 34 })
    const cure = jointIn(b, 'guard-openings').cures.find((c) => c.id === 'file-openings')!
    const filed = Number(/neck side: ([\d.]+) mm/.exec(cure.job)![1])
    expect(cure.plan).toMatchObject({ slot: 'guard', size: 'opening.neck.length', delta: filed })
    expect(cure.plan!.also).toMatchObject([{ size: 'opening.neck.centre', delta: -filed / 2 }])
    expect(jointIn(onPaper(b, cure), 'guard-openings').verdict).toBe('snug')
  })
  it('every edge named is filed on paper', () => {
    const b = changed(fullBuild(), { 'guard/opening.neck.centre': 34, 'guard/opening.bridge.centre': 139 })
    const cure = jointIn(b, 'guard-openings').cures.find((c) => c.id === 'file-openings')
    for (const [, place] of (cure?.job ?? '').matchAll(/(neck|middle|bridge) opening/g))
      expect([cure!.plan!, ...cure!.plan!.also!].some((e) => e.size === `opening.${place}.length`)).toBe(true)
    expect(cure?.job.match(/opening,/g)?.length ?? 2).toBeGreaterThanOrEqual(1)
  })
  it('saddles are not turned below their stop, nor a tailpiece set where no tailpiece goes', () => {
    const wound = { ...changed(fullBuild(), { 'bridge/height.min': 12.8 }), setup: { ...fullBuild().setup, saddle: 14.5 } }
    for (const cure of jointIn(wound, 'bridge-height').cures) {
      const to = /turns/.test(cure.job) ? 14.5 - Number(/down by ([\d.]+) mm/.exec(cure.job)![1]) : 20
      expect(to).toBeGreaterThanOrEqual(12.8)
    }
    const tail = {
      ...fullBuild(),
      parts: { ...fullBuild().parts, tailpiece: aPart('tailpiece', { height: 11, studDiameter: 11, studLength: 20 }, { type: 'stop' }) },
    }
    for (const distance of [30, 60, 100, 140]) {
      const cure = jointIn(changed(tail, { 'body/tail.toBridge': distance }), 'saddle-break').cures.find((c) => c.id === 'tail-height')
      if (cure) expect(Number(/leave it ([\d.]+) mm/.exec(cure.job)![1])).toBeGreaterThanOrEqual(6)
    }
  })
  it('what a cure of one joint would do to another is looked at first', () => {
    // Rout the top thinner for one pot, and the other pot's thread stands too far out of it.
    const b = changed(without(fullBuild(), 'guard'), {
      'body/control.top': 9,
      'body/pot.hole': 9.6,
      'pot-volume/bushing.length': 9.5,
      'pot-tone/bushing.length': 12.9,
    })
    const all = findJoints(b)
    const volume = all.find((j) => j.id === 'pot-volume')!
    expect(volume.cures.map((c) => c.id)).toContain('thin-top')
    expect(harmless(b, volume, all).cures.map((c) => c.id)).not.toContain('thin-top')
  })
})
