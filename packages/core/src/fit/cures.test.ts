import { isAnother } from '../judge/another'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { effectsOf, type Build } from '../document/build'
import { specAt, valueAt } from '../document/read'
import type { Check, Cure } from '../judge/joint'
import { STAYS, woodLeft } from '../judge/whatStays'
import { anyBuild, knownBuild } from '../testing/anyBuild'
import { aThrough } from '../testing/aThrough'
import { holds } from '../testing/holds'
import { aPart, jointIn } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { checkIn, onPaper } from '../testing/rows'
import { findJoints } from './findJoints'
import { JOINT_KINDS } from './jointKinds'
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

/** What is done by hand goes no further than this, mm in one place; what is cut with a router or a saw, no further than that. [practice, from memory] */
const BY_HAND = { jobs: /^(?:Or )?(?:file|shave|line|plane|sand|ease|ream|shim|widen)\b/i, most: 15 }
const BY_MACHINE = { jobs: /^(?:Or )?(?:cut|open|lengthen)\b/i, most: 30 }

it(
  'no job asks for more than such a job does; a fault that asks for more names the parts to exchange',
  () => {
    let met = 0
    holds(
      fc.property(knownBuild, fc.nat(16), (build, n) => {
        for (const { cure } of planned(build, n))
          for (const { jobs, most } of [BY_HAND, BY_MACHINE])
            if (jobs.test(cure.job)) {
              met++
              for (const [, to] of cure.job.matchAll(/(\d+(?:\.\d+)?) mm (?:off|of(?! room)|wider|in all)/g))
                expect(Number(to), cure.job).toBeLessThanOrEqual(most)
            }
      }),
      2_000,
    )
    expect(met).toBeGreaterThan(20)
    const narrow = checkIn(changed(fullBuild(), { 'body/pocket.widthEnd': 48 }), 'pocket-end', 'width')
    expect(narrow.raw.verdict).toBe('wont-go')
    expect(narrow.cures.map((c) => c.job)).toEqual([expect.stringMatching(/^Exchange the body or neck: 8\.\d mm is more than/)])
    // Two millimetres are a router's, and the neck's sides give as much at most.
    expect(checkIn(changed(fullBuild(), { 'body/pocket.widthEnd': 54 }), 'pocket-end', 'width').cures[0]!.id).toBe('shave-wall')
  },
  LONG,
)

it('what is not here and has to be got is told so, whether a part gives way for it or none: nobody has a day for it yet', () => {
  // Another part or more of one; not what is taken off, nor where work on what is here does as well.
  const GOT =
    /^(or )?(find|use|hold it in|carry|a (lower )?string tree|\d+ (lower )?string trees|take(?!.*\boff\b)|hang(?!.*\bin the wood\b))\b/i
  const OR_WORK = /, or glue /
  let met = 0
  const law = fc.property(anyBuild, (build) => {
    for (const { cures } of findJoints(build))
      for (const cure of cures)
        if (GOT.test(cure.job) && !OR_WORK.test(cure.job)) {
          met++
          expect(isAnother(cure), `${cure.job} (${cure.gives})`).toBe(true)
        }
  })
  const cases = holds(law, 200)
  expect(met).toBeGreaterThan(cases / 20)
})

it('of body and neck in one piece neither is exchanged without the other', () => {
  const jobs = (build: Build, id: string) => jointIn(build, id).cures.map((c) => c.job)
  // A blank of 3.9 is right here.
  const high = (build: Build) => jobs(changed(build, { 'nut/height': 12 }), 'nut-in-slot')
  expect(high(fullBuild())).toEqual(['Exchange the nut or neck: 8.1 mm is more than such a job does.'])
  expect(high(aThrough())).toEqual([
    'Exchange the nut or neck (with its body, where they are of one piece): 8.1 mm is more than such a job does.',
  ])
  expect(high(changed(without(fullBuild(), 'neck-screws'), {}, { 'neck/joint': 'set' }))).toEqual(high(aThrough()))
})

/** Where what is said is not the size that is planned, what it is for a change by so much to so much, mm. */
const TOLD: readonly (readonly [RegExp, (delta: number, then: number) => number])[] = [
  // The wire between the pots: 15 mm more than what is planned for their distance.
  [/^rewire-between$/, (_, then) => then + 15],
  // (x3 - x1)/x3 = 0.6472 of what the slot is filed is seen over fret 1 of the string held at fret 3.
  [/^(?:file-slots|shim-nut)-(?:bass|treble)$/, (delta) => delta / 0.6472],
]
/** Said in degrees and thickness, which the side view's own tests hold together; or in words alone. */
const NO_AMOUNT = /^(?:strip-shim|tilt-screw)$/

/** The amounts a job names, each with half of what it may be off as it is printed; of a range the middle. */
function amountsIn(job: string): { value: number; within: number }[] {
  const digits = (n: string) => 0.5 * 10 ** -(n.split('.')[1]?.length ?? 0) + 1e-6
  const ranges = [...job.matchAll(/([\d.]*\d) to ([\d.]*\d) mm/g)].map(([, a, b]) => ({
    value: (Number(a) + Number(b)) / 2,
    within: digits(b!),
  }))
  return [...ranges, ...[...job.matchAll(/\d+(?:\.\d+)?/g)].map(([n]) => ({ value: Number(n), within: digits(n) }))]
}

describe('what a cure says', () => {
  it(
    'is what it does on paper: the amount, half of it for each side, or the size it ends at',
    () => {
      const met = new Map<string, number>()
      holds(
        fc.property(knownBuild, fc.nat(16), (build, n) => {
          for (const { joint, check, cure } of planned(build, n)) {
            const delta = Math.abs(cure.plan.delta)
            const then = valueAt(onPaper(build, cure), cure.plan) ?? Number.NaN
            const told = TOLD.find(([id]) => id.test(cure.id))?.[1]
            // Pots are told in thousands of ohms.
            const unit = specAt(cure.plan).unit === 'ohm' ? 1000 : 1
            const wanted = (told ? [told(delta, then)] : [delta, delta / 2, then]).map((w) => w / unit)
            // From the least to the most: the plan lies between.
            const most = Number(/not more than ([\d.]+) mm in all/.exec(cure.job)?.[1] ?? Number.NaN)
            if (delta <= most || NO_AMOUNT.test(cure.id) || /off their plate/.test(cure.job)) continue
            const one = amountsIn(cure.job)
            // Both edges of one opening are filed.
            const said = [
              ...one,
              ...one.flatMap((a) => one.filter((b) => b !== a).map((b) => ({ value: a.value + b.value, within: a.within + b.within }))),
            ]
            expect(
              said.some((s) => wanted.some((w) => Math.abs(s.value - w) <= s.within)),
              `${joint}/${check.id}: “${cure.job}” by ${cure.plan.delta.toFixed(3)} to ${then.toFixed(3)}`,
            ).toBe(true)
            met.set(cure.id, (met.get(cure.id) ?? 0) + 1)
          }
        }),
        4_000,
      )
      expect(met.size).toBeGreaterThan(40)
    },
    LONG,
  )
})

describe('what is left of the cures of a joint', () => {
  it('begins with no alternative to nothing, whichever were taken away', () =>
    void holds(
      fc.property(knownBuild, (build) => {
        const all = findJoints(build)
        for (const joint of all) expect(harmless(build, joint, all).cures[0]?.job ?? '', joint.id).not.toMatch(/^Or /)
      }),
      300,
    ))
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
  it('no more is filed, wrapped or drawn than the part bears; beyond that it is another part or new holes', () => {
    const cures = (b: Build, joint: string, id: string) => checkIn(b, joint, id).cures
    // Six of 24.6 on 24.5 mm with 0.05 of play: 5 x 0.1 - 0.05 over ten faces is 0.045; of 25.4, 5 x 0.9 - 0.05 over ten is 0.445.
    const row = (width: number) =>
      changed(fullBuild(), { 'tuners/housing.width': width, 'neck/tuner.pitch': 24.5, 'neck/tuner.bore': 8.8, 'tuners/bushing': 8.75 })
    expect(cures(row(24.6), 'tuner-row', 'row')[1]!.job).toMatch(/^File 0\.0[4-9] mm off each face/)
    const wide = cures(row(25.4), 'tuner-row', 'row')
    expect(wide.map((c) => c.id)).toEqual(['deburr', 'narrow-tuners'])
    // 24.5 + 0.05 / 5 = 24.51, less what the readings may be off.
    expect(Number(/of ([\d.]+) mm or less/.exec(wide[1]!.job)![1])).toBeGreaterThanOrEqual(24.2)
    expect(Number(/of ([\d.]+) mm or less/.exec(wide[1]!.job)![1])).toBeLessThanOrEqual(24.51)
    // Bushings of 10: bores of 10.4 want (0.4 + 0.1)/2 = 0.25 all round, of 10.7 0.4.
    const bored = (studBore: number) =>
      changed(fullBuild(), { 'body/studBore': studBore, 'bridge/studDiameter': 10 }, { 'bridge/mount': 'two-stud' })
    expect(cures(bored(10.4), 'bridge-on-body', 'press').map((c) => c.job)[0]).toBe('Wrap the bushing: 0.25 mm of paper or foil all round.')
    expect(cures(bored(10.7), 'bridge-on-body', 'press').map((c) => c.job)).toEqual([
      'Plug the bore with dowel of the same grain and drill it anew, 9.9 mm.',
    ])
    // Screws of the switch 41.2 apart: holes of 39 are drawn by 1.1 each, of 37 they would be by 2.1.
    const holes = (apart: number) => changed(fullBuild(), { 'guard/switch.screws': apart, 'switch/screws': 41.2 })
    expect(cures(holes(39), 'switch', 'screws')[0]!.job).toBe('Draw the holes 1.1 mm outwards with a round file.')
    expect(cures(holes(37), 'switch', 'screws')[0]!.job).toBe('Drill new holes 41.2 mm apart, in line with the slot.')
  })
  it('what is sold by the millimetre is rounded so that it still does: never a longer screw than the wood bears, never a shorter than it wants', () => {
    // 14 + 1 - 2.5 = 12.5 at most: a 12, where the nearest whole number is 13.
    const head = changed(fullBuild(), { 'neck/head.thickness': 14, 'tuners/plate.thickness': 1, 'tuners/screw.length': 14 })
    expect(checkIn(head, 'tuner-bore', 'screw').cures[0]!.job).toBe('Take tuner screws of 12 mm or less.')
    // 10 - 2 = 8 of thread, 12 wanted and 0.5 more: 4.5 longer, so 5.
    const short = changed(fullBuild(), { 'bridge/screw.length': 10, 'bridge/plate.thickness': 2 }, { 'bridge/mount': 'screws' })
    expect(checkIn(short, 'bridge-screws', 'bite').cures[0]!.job).toBe('Take bridge screws 5 mm longer.')
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
