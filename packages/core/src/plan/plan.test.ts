import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { evaluate } from '../evaluate/evaluate'
import { addDays, daysBetween, weekday } from '../quantity/days'
import { aBuild, aPart } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'

const TODAY = '2026-11-24'
const build = aBuild(
  {
    body: aPart(
      'body',
      { thickness: 44, 'pocket.widthMouth': 56.1, 'pocket.widthEnd': 56.3, 'pocket.length': 76, 'pocket.depth': 16, mouthToBridge: 255 },
      { wood: 'alder', grain: 'flat' },
    ),
    neck: aPart(
      'neck',
      { scale: 647.7, nutToHeelEnd: 462, 'heel.widthMouth': 56.45, 'heel.widthEnd': 56, 'heel.thickness': 25.4, 'head.thickness': 14 },
      { wood: 'hard-maple', grain: 'flat' },
    ),
    bridge: aPart(
      'bridge',
      { spread: 52.5, studSpacing: 74, studDiameter: 10, studLength: 25, 'height.min': 9, 'height.max': 16 },
      { mount: 'two-stud' },
      { state: 'ordered', arrives: '2026-12-05' },
    ),
  },
  { due: '2027-02-15' },
)
const plan = (b = build) => evaluate(b, TODAY).plan

describe('plan', () => {
  it('everything stands in an order its own befores allow', () => {
    const steps = plan().steps
    const at = (id: string) => steps.findIndex((s) => s.id === id)
    for (const s of steps) for (const b of s.befores) if (at(b.id) >= 0) expect(at(b.id), `${b.id} before ${s.id}`).toBeLessThan(at(s.id))
  })
  it('wood before finish, finish before hardware, in every build', () => {
    const steps = plan().steps.map((s) => s.id)
    const first = (prefix: string) => steps.findIndex((id) => id.startsWith(prefix))
    expect(first('cure-pocket-mouth')).toBeLessThan(first('coats-'))
    expect(first('drill-')).toBeLessThan(first('coats-'))
    expect(first('coats-')).toBeLessThan(first('hardware'))
  })
  it('a parcel is waited for; when it has come, nothing waits', () => {
    expect(plan().steps.find((s) => s.id === 'arrive-bridge')!.state).toBe('waiting')
    const here = { ...build, parts: { ...build.parts, bridge: { ...build.parts.bridge!, state: 'in hand' as const } } }
    expect(plan(here).steps.some((s) => s.id === 'arrive-bridge')).toBe(false)
  })
  it('work given to a shop waits for the day it is promised back, and says what it asks', () => {
    const tint = { what: 'neck tinted', price: 300, back: '2026-12-18', slot: 'neck' as const }
    const step = plan({ ...build, shop: { tint } }).steps.find((s) => s.id === 'shop-tint')!
    expect([step.state, step.slot]).toEqual(['waiting', 'neck'])
    expect(step.date! >= '2026-12-18').toBe(true)
    expect(step.why).toMatch(/back for 18 Dec, for 300\.00 EUR/)
  })
  it('ticking a step takes its minutes off and never makes the end later', () => {
    const before = plan()
    const id = before.ready[0]!
    const after = plan({ ...build, steps: { [id]: { done: `${TODAY}T19:00:00Z` } } })
    expect(after.minutesLeft).toBe(before.minutesLeft - before.steps.find((s) => s.id === id)!.minutes)
    expect(after.ends! <= before.ends!).toBe(true)
  })
  it('more time of an evening never makes the end later', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 60, max: 240 }), { minLength: 7, maxLength: 7 }), (evenings) => {
        const slow = plan({ ...build, evenings })
        const fast = plan({ ...build, evenings: evenings.map((m) => m + 60) })
        expect(fast.ends! <= slow.ends!).toBe(true)
      }),
      { numRuns: 15 },
    )
  })
  it('every before says what is at risk and the way back', () => {
    for (const s of plan().steps)
      for (const b of s.befores) {
        expect(b.risk.length).toBeGreaterThan(10)
        expect(b.wayBack.length).toBeGreaterThan(5)
      }
  })
  it('an empty build has no steps', () => expect(plan({ ...build, parts: {} }).steps).toEqual([]))
})

describe('what stands before what, on a whole instrument', () => {
  const whole = plan(fullBuild())
  const ids = whole.steps.map((s) => s.id)
  /** Everything a step waits for, through every step between. */
  const ahead = (id: string, seen = new Set<string>()): Set<string> => {
    for (const b of whole.steps.find((s) => s.id === id)?.befores ?? [])
      if (!seen.has(b.id)) {
        seen.add(b.id)
        ahead(b.id, seen)
      }
    return seen
  }
  it.each([
    ['drill-neck-screws', 'place'],
    ['trial-build', 'drill-neck-screws'],
    ['sand', 'trial-build'],
    ['sand', 'drill-neck-screws'],
    ['rub-out', 'sand'],
    ['hardware', 'rub-out'],
    ['neck-on', 'rub-out'],
    ['close-guard', 'meter-check'],
    ['meter-check', 'solder'],
    ['string-up', 'string-ground'],
    ['nut-on', 'level-frets'],
    ['string-up', 'nut-on'],
    ['set-action', 'set-relief'],
    ['set-action', 'set-nut'],
    ['set-pickups', 'set-intonation'],
    ['set-intonation', 'string-up'],
  ])('%s waits for %s', (later, earlier) => {
    expect(ids).toContain(later)
    expect([...ahead(later)]).toContain(earlier)
  })
  it('glue too early: the nut is held back until the frets are level, with what it costs and the way back', () => {
    const why = whole.steps.find((s) => s.id === 'nut-on')!.befores.find((b) => b.id === 'level-frets')!
    expect(why.risk).toMatch(/cut anew/)
    expect(why.wayBack).toMatch(/then glue/)
  })
  it('nothing waits for itself, however far round', () => {
    for (const id of ids) expect(ahead(id), id).not.toContain(id)
  })
  it('soldering waits for nothing: it is work for the days the coats dry', () => {
    expect(whole.ready).toContain('solder')
    expect([...ahead('solder')]).toEqual([])
  })
  it('where the trial build is behind nobody is asked for the place of it any more', () => {
    const done = { done: `${TODAY}T19:00:00Z` }
    expect(plan({ ...fullBuild(), steps: { 'trial-build': done } }).steps.map((s) => s.id)).not.toContain('place')
    expect(ids).toContain('place')
  })
  it('no two steps share a name by which they are ticked', () => expect(new Set(ids).size).toBe(ids.length))
  it('work that can hurt carries its caution', () => {
    for (const s of whole.steps.filter((x) => /^(drill-|sand|coats-|rub-out|solder|string-ground|set-relief)/.test(x.id)))
      expect(s.cautions.length, s.id).toBeGreaterThan(0)
  })
})

describe('from the joints', () => {
  const tight = changed(fullBuild(), { 'body/pocket.widthMouth': 56.2 })
  const curing = (b = tight) => plan(b).steps.filter((s) => s.station === 'fit' && s.id !== 'trial-build' && s.id !== 'place')
  it('a joint that is snug asks for no work; a tight one for its least harmful cure', () => {
    expect(curing(fullBuild())).toEqual([])
    const joint = evaluate(tight, TODAY).fit.find((j) => j.id === 'pocket-mouth')!
    expect(joint.verdict).toBe('tight')
    expect(curing().map((s) => s.thing)).toContain('pocket-mouth')
    expect(curing().find((s) => s.thing === 'pocket-mouth')!.title).toBe(joint.cures[0]!.job!.replace(/\.$/, ''))
  })
  it('planned on paper it stays a step, under the name it was planned by', () => {
    const joint = evaluate(tight, TODAY).fit.find((j) => j.id === 'pocket-mouth')!
    const cure = joint.cures.find((c) => c.plan)!
    const id = `pocket-mouth/${cure.id}`
    const planned = { ...tight, jobs: { [id]: { ...cure.plan!, text: cure.job } } }
    const after = evaluate(planned, TODAY)
    expect(after.fit.find((j) => j.id === 'pocket-mouth')!.verdict).toBe('snug')
    expect(after.plan.steps.map((s) => s.id)).toContain(`job-${id}`)
    expect(after.plan.steps.find((s) => s.id === `job-${id}`)!.why).toMatch(/measure again/)
  })
  it('a joint that only cannot be told asks for no wood work', () => {
    const unsure = changed(fullBuild(), { 'body/pocket.widthMouth': 56.4 })
    unsure.parts.body!.sizes['pocket.widthMouth'] = { value: 56.4, doubt: 0.8, known: 'listed' }
    expect(evaluate(unsure, TODAY).fit.find((j) => j.id === 'pocket-mouth')!.verdict).toBe('cant-tell')
    expect(curing(unsure).map((s) => s.thing)).not.toContain('pocket-mouth')
  })
  it('its trial build waits for the pocket, and for parts on their way', () => {
    const late = structuredClone(tight)
    Object.assign(late.parts.neck!, { state: 'ordered', arrives: '2026-12-20' })
    const steps = plan(late).steps
    const trial = steps.find((s) => s.id === 'trial-build')!
    expect(trial.befores.map((b) => b.id)).toEqual(expect.arrayContaining(['arrive-neck', 'cure-pocket-mouth']))
    expect(trial.date! >= '2026-12-20').toBe(true)
  })
})

describe('days', () => {
  const ends = (b: typeof build) => plan(b).ends!
  it('a later parcel never makes the end earlier', () => {
    const at = (arrives: string) => {
      const b = structuredClone(fullBuild())
      Object.assign(b.parts.bridge!, { state: 'ordered', arrives })
      return ends(b)
    }
    const dates = [0, 7, 21, 60].map((d) => at(addDays(TODAY, d)))
    expect(dates).toEqual(dates.toSorted())
    expect(daysBetween(dates[0]!, dates[3]!)).toBeGreaterThan(20)
  })
  it('no evening is filled beyond its minutes, and none that has none is used', () => {
    const evenings = [0, 90, 0, 45, 0, 240, 0]
    const used = new Map<string, number>()
    for (const s of plan({ ...fullBuild(), evenings }).steps)
      if (s.date && s.date === s.clear && !/^(coats-|rub-out)/.test(s.id)) used.set(s.date, (used.get(s.date) ?? 0) + s.minutes)
    expect(used.size).toBeGreaterThan(3)
    for (const [date, minutes] of used) expect(minutes, date).toBeLessThanOrEqual(evenings[weekday(date)]!)
  })
  it('no evening at all: steps without days', () => {
    const p = plan({ ...fullBuild(), evenings: [0, 0, 0, 0, 0, 0, 0] })
    expect(p.ends).toBeUndefined()
    expect(p.steps.every((s) => s.date === undefined)).toBe(true)
  })
  it('strings are given a day before the setup', () => {
    const steps = plan(fullBuild()).steps
    const by = (id: string) => steps.find((s) => s.id === id)!
    expect(daysBetween(by('string-up').date!, by('set-relief').date!)).toBeGreaterThanOrEqual(1)
  })
})
