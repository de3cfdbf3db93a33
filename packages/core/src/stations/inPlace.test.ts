import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { isGlued } from '../document/read'
import { applyChange } from '../document/change'
import { putOnPile } from '../document/box'
import { beginBuild } from '../evaluate/beginBuild'
import { evaluator } from '../evaluate/evaluator'
import { takenPart } from '../instrument/idleParts'
import { POTS, potSlot } from '../instrument/controlPlace'
import { SOLDERED } from '../instrument/harnessParts'
import type { PlannedStep } from '../plan/step'
import type { Slot } from '../parts/slots'
import { SLOT_NAMES } from '../parts/slots'
import { START_IDS } from '../parts/starting/sets'
import { sheetsOf } from './index'
import { everyMake } from '../testing/anyBuild'
import { fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'

const TODAY = '2026-12-01'
const evaluated = evaluator()
const stepsOf = (build: Build): PlannedStep[] => evaluated(build, TODAY).plan.steps

/** All in place but these, as somebody has it who changes an instrument and paints nothing. */
const changing = (build: Build, off: readonly Slot[]): Build => ({
  ...build,
  finish: { ...build.finish, system: 'none' },
  parts: Object.fromEntries(
    Object.entries(build.parts).map(([slot, p]) => [slot, { ...p, state: off.includes(slot as Slot) ? 'in hand' : 'in place' }]),
  ),
})

/** What carries the others: with one of them changed, what sits on it goes over. */
const CARRIERS: readonly Slot[] = ['body', 'neck', 'guard', 'control-plate']
/** What goes by the strings is done whenever they come on, and what somebody planned on paper whatever stays. */
const isMounting = (s: PlannedStep): boolean =>
  s.stage === 'trial' ||
  (['wood', 'wiring', 'hardware'].includes(s.stage) && s.id !== 'closing-pass' && !/^(mend |settle-|job-|tell-)/.test(s.id))
/** The parts a step is done to beside the one it is told of. */
const ALSO: Record<string, readonly Slot[]> = {
  solder: SOLDERED,
  'meter-check': SOLDERED,
  place: ['bridge'],
  'trial-build': ['bridge', 'tailpiece', 'jack-plate'],
  'drill-pot-holes': POTS.map(potSlot),
}
/** The parts a step is done to. */
const doneTo = (build: Build, s: PlannedStep): Slot[] => {
  const named: readonly (Slot | undefined)[] = [s.slot, ...(s.slots ?? []), ...(ALSO[s.id] ?? [])]
  return named.flatMap((slot) => (slot && build.parts[slot] ? [slot] : []))
}

describe('an instrument of which most stays in place', () => {
  it('nothing is drilled, soldered or mounted that stays, on whatever stays', () => {
    let seen = 0
    const law = fc.property(fc.nat(everyMake().length - 1), fc.subarray([...SLOT_NAMES], { maxLength: 4 }), (m, off) => {
      const build = changing(
        everyMake()[m]!,
        off.filter((slot) => !CARRIERS.includes(slot)),
      )
      const { plan, drill } = evaluated(build, TODAY)
      for (const s of plan.steps.filter(isMounting)) {
        // A hole that somebody says is not there is made, whatever hangs in it.
        if (s.station === 'drill' && drill.find((c) => c.id === s.thing)?.work === 'new') continue
        seen++
        expect(
          doneTo(build, s).some((slot) => build.parts[slot]!.state !== 'in place'),
          `${s.id} for ${off.join(', ')}`,
        ).toBe(true)
      }
    })
    expect(holds(law, 400)).toBeGreaterThan(0)
    expect(seen).toBeGreaterThan(20)
  })

  const WORK: readonly [Slot, string][] = [
    ['tuners', 'hardware'],
    ['bridge', 'hardware'],
    ['bridge', 'place'],
    ['bridge', 'trial-build'],
    ['tailpiece', 'hardware'],
    ['ferrules', 'hardware'],
    ['strap-buttons', 'hardware'],
    ['neck', 'hardware'],
    ['neck', 'level-frets'],
    ['neck', 'place'],
    ['nut', 'nut-on'],
    ['neck', 'nut-on'],
    ['neck', 'neck-on'],
    ['neck-screws', 'neck-on'],
    ['body', 'neck-on'],
    ['body', 'hardware'],
    ['body', 'place'],
    ['guard', 'close-guard'],
    ['guard', 'trial-build'],
    ['shielding', 'shield'],
    ...SOLDERED.flatMap((slot) => ['solder', 'meter-check'].map((id): [Slot, string] => [slot, id])),
  ]
  it('what is changed is mounted and soldered, and what sits on a changed neck or body goes over', () => {
    let seen = 0
    for (const make of everyMake()) {
      const idsFor = new Map<Slot, string[]>()
      const whole = new Set(stepsOf({ ...make, finish: { ...make.finish, system: 'none' } }).map((s) => s.id))
      for (const [slot, id] of WORK) {
        if (!takenPart(make, slot) || !whole.has(id) || (id === 'hardware' && !['tuners', 'bridge'].some((s) => make.parts[s as Slot])))
          continue
        if (id === 'neck-on' && isGlued(make) && slot === 'neck-screws') continue
        seen++
        if (!idsFor.has(slot))
          idsFor.set(
            slot,
            stepsOf(changing(make, [slot])).map((s) => s.id),
          )
        expect(idsFor.get(slot), `${id} for ${slot}`).toContain(id)
      }
    }
    expect(seen).toBeGreaterThan(100)
  })

  it('for a new film all that is mounted comes off, and goes on again; what is soldered stays soldered', () => {
    const build = changing(fullBuild(), [])
    const painted: Build = { ...build, finish: { ...build.finish, system: 'lacquer' } }
    const ids = stepsOf(painted).map((s) => s.id)
    expect(stepsOf(painted).some((s) => s.stage === 'film')).toBe(true)
    for (const id of ['hardware', 'neck-on', 'close-guard', 'closing-pass']) expect(ids).toContain(id)
    for (const id of ['solder', 'nut-on', 'trial-build']) expect(ids).not.toContain(id)
    expect(ids.filter((id) => id.startsWith('drill-'))).toEqual([])
  })

  it('a new neck pickup: opened, soldered, tested, closed, strung, set up; its parcel is waited for', () => {
    const build = changing({ ...fullBuild(), job: 'upgrade' }, [])
    build.parts['pickup-neck'] = { ...build.parts['pickup-neck']!, state: 'ordered', arrives: '2026-12-09' }
    const steps = stepsOf(build)
    expect(
      steps
        .filter((s) => s.station !== 'setup' && s.station !== 'fit')
        .map((s) => s.id)
        .toSorted(),
    ).toEqual(['arrive-pickup-neck', 'close-guard', 'closing-pass', 'meter-check', 'note-before', 'solder', 'take-apart'].toSorted())
    const solder = steps.find((s) => s.id === 'solder')!
    expect(solder.title).toBe('Solder neck pickup into the harness that is there')
    expect(solder.minutes).toBe(40)
    expect(solder.date! >= '2026-12-09').toBe(true)
    const strung = steps.find((s) => s.id === 'string-up')!
    expect(strung.date! >= solder.date!).toBe(true)
    // It plays until the parcel is here.
    expect(steps.find((s) => s.id === 'take-apart')!.date).toBe('2026-12-09')
    expect(steps.find((s) => s.id === 'take-apart')!.why).toMatch(/^For neck pickup; the rest stays in place\. /)
  })

  it('other strings are put on an instrument that stays whole', () => {
    const build = changing({ ...fullBuild(), job: 'upgrade' }, ['strings'])
    const ids = stepsOf(build)
      .filter((s) => s.stage !== 'strings' && s.station !== 'fit')
      .map((s) => s.id)
    expect(ids).toEqual(['closing-pass'])
    expect(stepsOf(build).map((s) => s.id)).toContain('string-up')
    expect(stepsOf(build).map((s) => s.id)).toContain('set-nut')
  })

  it('a neck that comes off without tuners of its own leaves what is mounted on the body', () => {
    const { tuners: _, ...parts } = fullBuild().parts
    const build = changing({ ...fullBuild(), parts }, ['neck'])
    expect(stepsOf(build).map((s) => s.id)).not.toContain('hardware')
    expect(stepsOf(build).map((s) => s.id)).toContain('neck-on')
  })

  it('a new guard takes over what hung on the old one', () => {
    const build = changing({ ...fullBuild(), job: 'upgrade' }, ['guard'])
    expect(stepsOf(build).find((s) => s.id === 'close-guard')!.why).toMatch(/^What hangs on the old one goes over to it first/)
    expect(stepsOf(build).map((s) => s.id)).not.toContain('solder')
  })

  it('is begun with all in place and every hole there; what is changed is asked first, and only the setup stands beside it', () => {
    for (const start of START_IDS) {
      const build = beginBuild({ name: 'Here', handedness: 'right', strings: 6, scale: 640, start, job: 'upgrade' }, TODAY)
      expect(Object.values(build.parts).every((p) => p.state === 'in place')).toBe(true)
      const steps = stepsOf(build)
      expect(
        steps.filter((s) => s.stage !== 'strings').map((s) => s.id),
        start,
      ).toEqual(['say-changed'])
      expect(evaluated(build, TODAY).drill.filter((c) => c.work !== 'keep')).toEqual([])
      // Another bridge is measured against the holes that are there.
      const other = changing(build, ['bridge'])
      for (const card of evaluated(other, TODAY).drill.filter((c) => c.untold.length))
        expect(card.untold.map((t) => t.trait)).not.toContain('bored.studs')
    }
  })

  it('a conversion may begin with a bare body: its parts are in hand, and nobody has said what is drilled', () => {
    const build = beginBuild({ name: 'Here', handedness: 'right', strings: 6, scale: 640, start: 'bolt-plate', job: 'conversion' }, TODAY)
    expect(Object.values(build.parts).every((p) => p.state === 'in hand')).toBe(true)
    expect(evaluated(build, TODAY).drill.find((c) => c.id === 'tuner-bores')!.untold).toEqual([{ slot: 'neck', trait: 'bored.tuners' }])
  })
  it('of a rescue the holes are there too, to be measured, and every part is in hand to go on again', () => {
    const build = beginBuild(
      { name: 'Here', handedness: 'right', strings: 6, scale: 640, start: 'bolt-guard-vibrato', job: 'rescue' },
      TODAY,
    )
    expect(Object.values(build.parts).every((p) => p.state === 'in hand')).toBe(true)
    const cards = evaluated(build, TODAY).drill
    expect(cards.find((c) => c.id === 'stud-bores')).toMatchObject({ stands: 'waiting', untold: [] })
    // Where screws went in is looked at.
    expect(cards.find((c) => c.id === 'guard-screws')!.untold.map((t) => t.trait)).toContain('bored.guard')
    expect(stepsOf(build).map((s) => s.id)).toEqual(expect.arrayContaining(['solder', 'hardware', 'neck-on', 'take-apart']))
  })

  it('whichever part is another one, its work is told, every sheet can be printed, and nothing of what stays is asked for by Drill', () => {
    for (const start of START_IDS) {
      const build = beginBuild({ name: 'Here', handedness: 'right', strings: 6, scale: 640, start, job: 'upgrade' }, TODAY)
      for (const slot of Object.keys(build.parts) as Slot[]) {
        const then = applyChange(build, putOnPile(build, [slot], 'apart'))
        const result = evaluated(then, TODAY)
        expect(result.failed, `${start} ${slot}`).toEqual({})
        expect(sheetsOf(then, result).length, `${start} ${slot}`).toBeGreaterThan(5)
        expect(
          result.plan.steps.map((s) => s.id),
          `${start} ${slot}`,
        ).not.toContain('say-changed')
        expect(
          result.plan.steps.some((s) => s.id.startsWith('buy-')),
          `${start} ${slot}`,
        ).toBe(true)
        if (CARRIERS.includes(slot)) continue
        const parts = new Set<Slot>([slot, ...CARRIERS, ...POTS.map(potSlot)])
        for (const card of result.drill.filter((c) => c.work !== 'keep'))
          expect(parts.has(card.slot), `${start}: ${card.id} for ${slot}`).toBe(true)
      }
    }
  })
})
