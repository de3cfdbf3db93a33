import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { BECAUSE } from '../plan/reasons'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'

const TODAY = '2026-11-24'
const full = fullBuild()
const glued = changed(full, {}, { 'neck/joint': 'set' })
const bare = without(full, 'guard', 'springs')
const studs = changed(bare, {}, { 'bridge/mount': 'post' })
const plate = changed(bare, {}, { 'bridge/mount': 'screws' })
const fed = changed(studs, {}, { 'body/build': 'semi-hollow', 'body/access': 'sound-hole' })
const plateUncut = changed(drillable(plate), {}, { 'body/bored.bridge': 'none' })
const rescue: Build = { ...full, job: 'rescue' }
const waxed: Build = {
  ...full,
  finish: {
    ...full.finish,
    system: 'oil',
    zones: {
      back: {
        layers: [
          { product: 'oil', coats: 2 },
          { product: 'wax', coats: 1 },
        ],
      },
    },
  },
}
const ordered: Build = { ...full, parts: { ...full.parts, body: { ...full.parts.body!, state: 'ordered', arrives: '2026-12-20' } } }
/** All of it is in place but tuners that are on their way. */
const upgraded: Build = {
  ...full,
  job: 'upgrade',
  parts: Object.fromEntries(
    Object.entries(full.parts).map(([slot, p]) => [
      slot,
      slot === 'tuners' ? { ...p, state: 'ordered', arrives: '2026-12-20' } : { ...p, state: 'in place' },
    ]),
  ),
}
/** A heel too wide for its pocket, a pot whose thread is too long, a lining that meets nothing. */
const tight = changed(
  full,
  { 'neck/heel.widthMouth': 57.2, 'pot-volume/bushing.length': 12 },
  { 'guard/shield': 'none', 'body/shield': 'foil' },
)

/** Neither the pocket is cut nor the guard drilled. */
const uncut = changed(
  drillable(full),
  {
    ...Object.fromEntries(
      ['widthMouth', 'widthEnd', 'length', 'depth', 'radius', 'dip', 'tilt'].map((s) => [`body/pocket.${s}`, undefined]),
    ),
    'guard/pot.hole': undefined,
    'guard/switch.slot': undefined,
    'guard/switch.screws': undefined,
  },
  {},
)

/** For each rule a build that has it: what comes first, and what has to wait. */
const CASES: Record<keyof typeof BECAUSE, readonly [build: Build, first: RegExp, then: RegExp]> = {
  dryFitFirst: [full, /^trial-build$/, /^sand$/],
  holesBeforeFinish: [full, /^drill-tuner-screws$/, /^sand$/],
  holesBeforeTrial: [full, /^drill-neck-screws$/, /^trial-build$/],
  liningAfterFilm: [tight, /^rub-out$/, /^cure-/],
  placeBeforeHoles: [plateUncut, /^place$/, /^drill-bridge-screws$/],
  axisBeforeScrews: [full, /^place$/, /^drill-neck-screws$/],
  stringsBeforeHoles: [full, /^place$/, /^drill-(pickup|ring|guard)-/],
  dryBeforeGlue: [glued, /^trial-build$/, /^neck-on$/],
  curesBeforeTrial: [full, /^place$/, /^trial-build$/],
  seatBeforePlace: [tight, /^cure-pocket/, /^place$/],
  pocketBeforePlace: [uncut, /^drill-route-pocket$/, /^place$/],
  holesBeforeHarness: [uncut, /^drill-(pot-holes|switch-slot)$/, /^solder$/],
  jobBeforeHoles: [tight, /^cure-pocket/, /^drill-neck/],
  sandedBeforeFilm: [full, /^sand$/, /^coats-/],
  layerOverLayer: [full, /^coats-/, /^coats-/],
  coatsBeforeSealing: [full, /^coats-/, /^seal-holes$/],
  waxLast: [waxed, /^rub-out$/, /^coats-/],
  cureBeforeRub: [full, /^coats-/, /^rub-out$/],
  polishBeforeHardware: [full, /^rub-out$/, /^hardware$/],
  rightBeforeOn: [changed(full, { 'neck-screws/length': 70 }), /^cure-neck-screws$/, /^neck-on$/],
  nutSeatedFirst: [changed(full, { 'nut/height': 6 }), /^cure-nut-in-slot$/, /^nut-on$/],
  treeBeforeSetup: [full, /^drill-string-tree$/, /^set-relief$/],
  checkedOutside: [bare, /^meter-check$/, /^harness-in$/],
  seatedBeforeSolder: [tight, /^cure-/, /^solder$/],
  leadsBeforeSolder: [changed(full, { 'pickup-bridge/lead.length': 60 }), /^cure-leads$/, /^solder$/],
  solderedBeforeClosed: [full, /^meter-check$/, /^close-guard$/],
  holesBeforeWet: [full, /^seal-holes$/, /^rub-out$/],
  shieldedBeforeClosed: [full, /^shield$/, /^meter-check$/],
  groundBeforeBridge: [full, /^string-ground$/, /^string-up$/],
  groundBeforePosts: [studs, /^string-ground$/, /^hardware$/],
  groundBeforeFed: [fed, /^string-ground$/, /^harness-in$/],
  groundUnderPlate: [plate, /^string-ground$/, /^string-up$/],
  closedBeforeStrings: [full, /^close-guard$/, /^string-up$/],
  finger: [full, /^close-guard$/, /^closing-pass$/],
  tightBeforePull: [full, /^closing-pass$/, /^string-up$/],
  woundAsWanted: [changed(full, { 'tuners/post.height': 8 }), /^cure-nut-break$/, /^string-up$/],
  nutBeforeStrings: [full, /^nut-on$/, /^string-up$/],
  stringsBeforeSetup: [full, /^string-up$/, /^set-relief$/],
  treeByStrings: [full, /^string-up$/, /^drill-string-tree$/],
  holeAfterHole: [full, /^drill-neck-clearance$/, /^drill-neck-screws$/],
  setupOrder: [full, /^set-relief$/, /^set-float$/],
  fretsBeforeNut: [full, /^level-frets$/, /^nut-on$/],
  heardFirst: [rescue, /^test-first$/, /^note-before$/],
  notedFirst: [rescue, /^note-before$/, /^take-apart$/],
  playsUntilThen: [upgraded, /^arrive-tuners$/, /^take-apart$/],
  apartFirst: [rescue, /^take-apart$/, /^drill-neck-screws$/],
  partsFirst: [ordered, /^arrive-body$/, /^place$/],
}

describe('every rule of the order', () => {
  it.each(Object.entries(CASES))(
    '%s: orders the steps, and out of order says what is at risk and the way back',
    (rule, [build, first, then]) => {
      const { why, risk, wayBack } = BECAUSE[rule as keyof typeof BECAUSE]
      const { steps } = evaluate(build, TODAY).plan
      const found = steps.flatMap((s, at) =>
        then.test(s.id)
          ? s.befores.filter((b) => b.why === why && first.test(b.id)).map((b) => ({ b, at, first: steps.findIndex((x) => x.id === b.id) }))
          : [],
      )
      expect(found.length, rule).toBeGreaterThan(0)
      for (const { b, at, first: before } of found) {
        expect(before).toBeLessThan(at)
        expect([b.risk, b.wayBack]).toEqual([risk, wayBack])
      }
      // A reason is a reason: it says something the others do not.
      expect(new Set(Object.values(BECAUSE).map((r) => r.why)).size).toBe(Object.keys(BECAUSE).length)
    },
  )
  it('a rule whose part is not on the build does not exist', () => {
    const ids = (b: Build) => evaluate(b, TODAY).plan.steps.flatMap((s) => [s.id, ...s.befores.map((x) => x.id)])
    expect(ids(without(full, 'guard'))).not.toContain('close-guard')
    expect(ids(without(full, 'shielding'))).not.toContain('shield')
    expect(ids(without(full, 'nut'))).not.toContain('nut-on')
  })
})
