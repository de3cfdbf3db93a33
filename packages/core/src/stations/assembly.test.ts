import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { holeCards } from '../drill/holes'
import type { HoleCard } from '../drill/holeCard'
import { evaluate } from '../evaluate/evaluate'
import { isGlued, traitAt, isThrough } from '../document/read'
import { isCarried, panelOf } from '../instrument/panel'
import { idleFor } from '../instrument/idleParts'
import { groundOf } from '../instrument/stringGround'
import type { Slot } from '../parts/slots'
import type { PlannedStep } from '../plan/step'
import { anyBuild, knownBuild } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { onAPlate } from '../testing/onAPlate'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'

const TODAY = '2026-11-24'
const stepsOf = (build: Build) => evaluate(build, TODAY).plan.steps
/** Work on wood, parcels, what is only tried and what is put right is no putting together. */
const MOUNTS = new Set(['neck-on', 'hardware', 'close-guard', 'harness-in', 'nut-on', 'string-up', 'string-ground', 'drill-string-tree'])

/** What this instrument has a place for, and is no wood that everything else is put on. */
function putOn(build: Build, slot: Slot): boolean {
  const wired = build.parts['pot-volume'] !== undefined
  if (slot === 'body' || (slot === 'neck' && isThrough(build)) || idleFor(build.parts, slot)) return false
  // A tree that is there already, or whose hole is refused, is drilled for in no step.
  if (slot === 'string-tree') return false
  if (slot === 'neck-screws') return build.parts.neck !== undefined && !isGlued(build)
  if (slot === 'springs') return wired && groundOf(traitAt(build, 'bridge', 'mount')) === 'claw'
  return wired || build.parts.guard !== undefined || !HARNESS.test(slot)
}
/** What hangs on the harness: nothing of it is wired where there is no pot. */
const HARNESS = /^(pickup|ring|pot|switch|capacitor|jack|wire|harness|battery|shielding|knobs)/

/** One of its parts, and every seventh after it, is still on its way. */
const ordered = (build: Build, late: number): Build => ({
  ...build,
  parts: Object.fromEntries(
    Object.entries(build.parts).map(([slot, part], i) => [
      slot,
      (i + late) % 7 ? part : { ...part, state: 'ordered' as const, arrives: '2026-12-20' },
    ]),
  ),
})

/** Everything a step comes after, by way of whatever is between. */
function comesAfter(steps: readonly PlannedStep[], id: string, seen = new Set<string>()): Set<string> {
  for (const b of steps.find((s) => s.id === id)?.befores ?? [])
    if (!seen.has(b.id)) {
      seen.add(b.id)
      comesAfter(steps, b.id, seen)
    }
  return seen
}
const place = (steps: readonly PlannedStep[], id: string) => steps.findIndex((s) => s.id === id)

describe('putting it together, over generated builds of every kind', () => {
  it('every part is put on in some step, and waits for its parcel there', () => {
    let waited = 0
    const asked = holds(
      fc.property(anyBuild, fc.nat(), (sure, late) => {
        const build = ordered(sure, late)
        const steps = stepsOf(build)
        const mounts = steps.filter((s) => MOUNTS.has(s.id))
        for (const slot of Object.keys(build.parts) as Slot[]) {
          const here = mounts.filter((s) => [s.slot, ...(s.slots ?? [])].includes(slot))
          // Panels carry what is told to sit in them, whatever else is told.
          if (idleFor(build.parts, slot) && slot !== 'control-plate')
            expect(
              here.map((s) => s.id),
              slot,
            ).toEqual([])
          if (!putOn(build, slot)) continue
          expect(
            here.map((s) => s.id),
            slot,
          ).not.toEqual([])
          const parcel = steps.find((s) => s.stage === 'parcel' && s.slot === slot)
          if (!parcel) continue
          waited++
          expect(
            here.map((s) => comesAfter(steps, s.id).has(parcel.id)),
            slot,
          ).toContain(true)
        }
      }),
      400,
    )
    expect(waited).toBeGreaterThan(asked)
  })
})

describe('a body that comes undrilled', () => {
  it('has its pocket before the neck is laid in it, its hollows before what goes through them, a guard’s holes before the harness', () => {
    let held = 0
    const pairs: readonly (readonly [RegExp, RegExp])[] = [
      [/^(drill|settle)-route-pocket$/, /^place$/],
      [/^place$/, /^drill-(stud-bores|bridge-screws|neck-screws|neck-clearance|route-(neck|middle|bridge))$/],
      [/^drill-route-control$/, /^drill-(jack-passage|ground-wire)$/],
    ]
    const guards = /^drill-(pot-holes|switch-slot|switch-slot-2|toggle-hole|toggle-hole-2)$/
    holds(
      fc.property(anyBuild, fc.oneof(fc.constant(-1), fc.nat(2 ** 20)), (build, which) => {
        const bare = undrilled(drillable(build), which)
        const steps = stepsOf(bare)
        const ids = steps.map((s) => s.id)
        const after: readonly (readonly [RegExp, RegExp])[] = isCarried(panelOf(bare)) ? [...pairs, [guards, /^solder$/]] : pairs
        for (const [first, then] of after)
          for (const one of ids.filter((id) => first.test(id)))
            for (const other of ids.filter((id) => then.test(id))) {
              expect(place(steps, one), `${one} before ${other}`).toBeLessThan(place(steps, other))
              expect(comesAfter(steps, other), `${other} after ${one}`).toContain(one)
              held++
            }
      }),
      60,
    )
    expect(held).toBeGreaterThan(60)
  })
})

describe('a hole waits for the parcels of what its size and place are taken from', () => {
  const whole = undrilled(drillable(fullBuild()))
  const onTop = undrilled(
    drillable(
      changed(
        without(fullBuild(), 'guard', 'springs'),
        { 'body/volume.x': 260, 'body/volume.y': -70, 'body/tone.x': 296, 'body/tone.y': -84, 'body/switch.x': 230, 'body/switch.y': -60 },
        { 'bridge/mount': 'screws', 'switch/contacts': 'toggle-3', 'body/access': 'back' },
      ),
    ),
  )
  const made = ({ work, stands, bit, depth, size, places, missing }: HoleCard) =>
    JSON.stringify({ work, waits: stands === 'waiting', bit, depth, size, places, missing })
  it.each([
    ['with a guard', whole],
    ['in the top', onTop],
  ])('%s', (_, build) => {
    let held = 0
    const early: string[] = []
    const cards = holeCards(build)
    for (const slot of Object.keys(build.parts) as Slot[]) {
      const part = build.parts[slot]!
      const bare = holeCards({ ...build, parts: { ...build.parts, [slot]: { ...part, sizes: {} } } })
      const hangs = cards.filter((c) => made(c) !== made(bare.find((b) => b.id === c.id) ?? c)).map((c) => `drill-${c.id}`)
      const steps = stepsOf({ ...build, parts: { ...build.parts, [slot]: { ...part, state: 'ordered', arrives: '2026-12-20' } } })
      const parcel = steps.find((s) => s.stage === 'parcel' && (s.slot === slot || s.slots?.includes(slot)))!
      for (const id of hangs.filter((h) => steps.some((s) => s.id === h))) {
        if (!comesAfter(steps, id).has(parcel.id)) early.push(`${id} hangs on ${slot}`)
        held++
      }
    }
    expect(early).toEqual([])
    expect(held).toBeGreaterThan(15)
  })
})

describe('putting it together, in the order it can be done', () => {
  // A nut 2 mm too low, screws of the string tree still to be drilled, no guard, a bridge on screws.
  const bare = changed(without(fullBuild(), 'guard', 'springs'), { 'nut/height': 6 }, { 'bridge/mount': 'screws' })
  const steps = stepsOf(bare)
  it('the harness is tested on the bench and goes into the body before the closing pass, once the film is hard', () => {
    const order = ['solder', 'meter-check', 'harness-in', 'closing-pass', 'string-up'].map((id) => place(steps, id))
    expect(order).not.toContain(-1)
    expect(order).toEqual([...order].sort((a, b) => a - b))
    expect(steps.find((s) => s.id === 'harness-in')!.befores.map((b) => b.id)).toEqual(expect.arrayContaining(['meter-check', 'rub-out']))
  })
  it('a control plate goes on with it, and by itself where nothing is wired', () => {
    const plate = stepsOf(onAPlate())
    expect(plate.find((s) => s.id === 'harness-in')!.slots).toContain('control-plate')
    const bare = stepsOf(without(onAPlate(), 'pot-volume', 'pot-tone'))
    expect(bare.some((s) => s.id === 'harness-in')).toBe(false)
    expect(bare.find((s) => s.id === 'hardware')!.title).toMatch(/control plate$/)
  })
  it('a guard carries it: no such step', () => expect(place(stepsOf(fullBuild()), 'harness-in')).toBe(-1))
  it('what a router cuts is cut and what a bit drills is drilled; hands are no tool to look out', () => {
    const whole = changed(
      drillable(fullBuild()),
      {
        'body/pot.hole': 8,
        'body/pocket.widthMouth': undefined,
        'body/pocket.length': undefined,
        'body/pocket.depth': undefined,
        'body/pocket.widthEnd': 56,
        'neck/heel.thickness': 25.4,
        'bridge/height.min': 9,
        'bridge/height.max': 15,
      },
      { 'body/routed.pocket': 'none', 'body/bored.controls': 'drilled', 'neck/bored.tuners': 'none' },
    )
    const steps = stepsOf(whole).filter((s) => s.station === 'drill' && s.id !== 'trial-build')
    expect(steps.map((s) => s.title).join('; ')).toMatch(/Cut: /)
    for (const s of steps) {
      expect(s.title, s.id).toMatch(
        /^drill-route-|^drill-binding|^drill-battery/.test(s.id)
          ? /^(Cut|Look, then cut):/
          : /^(Drill|Look, then drill|Open up|Plug and drill):/,
      )
      expect(s.tools ?? '', s.id).not.toMatch(/by hand/)
    }
  })
  it('the nut is fitted to its slot before it is glued there', () => {
    expect(place(steps, 'cure-nut-in-slot')).toBeGreaterThan(-1)
    expect(place(steps, 'cure-nut-in-slot')).toBeLessThan(place(steps, 'nut-on'))
  })
  it('the string tree is on before the first number is taken', () => {
    expect(place(steps, 'drill-string-tree')).toBeGreaterThan(place(steps, 'string-up'))
    expect(place(steps, 'drill-string-tree')).toBeLessThan(place(steps, 'set-relief'))
  })
  it('old holes are plugged before new ones are drilled beside them', () => {
    const old = changed(
      without(bare, 'tailpiece'),
      { 'body/oldHoles.front': 12, 'body/oldHoles.back': 40, 'bridge/screws': 5, 'bridge/screw.spread': 58 },
      { 'body/bored.bridge': 'none' },
    )
    const all = stepsOf(old)
    const plug = all.find((s) => s.id === 'cure-bridge-on-body')
    const drill = all.find((s) => s.id === 'drill-bridge-screws')
    expect(plug?.title).toMatch(/^Plug the old holes/)
    expect(drill?.befores.map((b) => b.id)).toContain('cure-bridge-on-body')
  })
  it.each([
    ['screws', /^Bridge screwed down, tuners/],
    ['post', /^Bushings and studs, .*tuners/],
  ])('hardware is named as this bridge (%s) has it', (mount, title) =>
    expect(stepsOf(changed(without(bare, 'ferrules'), {}, { 'bridge/mount': mount })).find((s) => s.id === 'hardware')!.title).toMatch(
      title,
    ),
  )
})

describe('a cure as a step', () => {
  it('says why and how, in the words Dry fit has for it', () => {
    const build = changed(fullBuild(), { 'nut/height': 6, 'neck/heel.widthMouth': 57.2 })
    const { fit, plan } = evaluate(build, TODAY)
    const cures = plan.steps.filter((s) => s.id.startsWith('cure-'))
    expect(cures.length).toBeGreaterThan(1)
    for (const s of cures) {
      const [cure] = fit.find((j) => `cure-${j.id}` === s.id)!.cures
      if (cure?.how) expect(s.why.endsWith(`as it is. ${cure.how}`), s.why).toBe(true)
    }
    expect(cures.some((s) => /as it is\. \w/.test(s.why))).toBe(true)
  })
})

describe('what is put right in the hand', () => {
  it('is done before the part goes on: no cure of Dry fit comes after the step that mounts what it alters, but what wants strings', () => {
    let cured = 0
    const asked = holds(
      fc.property(knownBuild, (build) => {
        const steps = stepsOf(build)
        for (const cure of steps.filter((s) => s.station === 'fit' && s.stage === 'hardware')) {
          const mounts = steps.filter(
            (s) =>
              /^(hardware|neck-on|close-guard|harness-in|nut-on)$/.test(s.id) &&
              [s.slot, ...(s.slots ?? [])].some((x) => x && cure.slots?.includes(x)),
          )
          for (const m of mounts) {
            cured++
            expect(place(steps, cure.id), `${cure.title} before ${m.title}`).toBeLessThan(place(steps, m.id))
          }
        }
      }),
      300,
    )
    expect(cured).toBeGreaterThan(asked / 2)
  })
})
