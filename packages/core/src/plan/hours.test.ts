import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { aBuild } from '../testing/bench'
import { weekday } from '../quantity/days'
import { beginsOn, loudOn, sayClock } from './hours'
import { planResult } from './planResult'
import { before } from './reasons'
import { step, type Step } from './step'
import { tonight } from './tonight'

/** A Tuesday. */
const TODAY = '2026-11-24'
const build = (more: Partial<Build> = {}): Build => ({ ...aBuild({}), evenings: [90, 90, 90, 90, 90, 180, 180], ...more })
const a = (id: string, minutes: number, more: Partial<Step> = {}): Step =>
  step({ id, title: id, why: '', station: 'plan', stage: 'hardware', minutes, ...more })
const after = (...ids: string[]) => ids.map((id) => before(id, 'setupOrder'))
const days = (b: Build, steps: Step[]) => Object.fromEntries(planResult(b, steps, TODAY).steps.map((s) => [s.id, s.date]))

describe('hours of the bench', () => {
  it('an evening from seven has an hour for machines until eight; a Saturday from ten has all of it', () => {
    expect(loudOn(build(), TODAY)).toEqual({ from: 19 * 60, to: 20 * 60 })
    expect(loudOn(build(), '2026-11-28')).toEqual({ from: 600, to: 780 })
    expect(loudOn(build({ plan: { quiet: { from: 1140, to: 420 } } }), TODAY)).toEqual({ from: 1140, to: 1140 })
    // Quiet at noon: a Saturday from ten is loud for two hours.
    expect(loudOn(build({ plan: { quiet: { from: 720, to: 900 } } }), '2026-11-28')).toEqual({ from: 600, to: 720 })
    expect(sayClock(1215)).toBe('20:15')
  })
  it('machines never run outside the bench’s hours nor in quiet ones', () =>
    fc.assert(
      fc.property(
        fc.record({
          begins: fc.integer({ min: 0, max: 1439 }),
          from: fc.integer({ min: 0, max: 1439 }),
          to: fc.integer({ min: 0, max: 1439 }),
        }),
        fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 7, maxLength: 7 }),
        fc.constantFrom('2026-11-24', '2026-11-28'),
        ({ begins, from, to }, evenings, day) => {
          const b = build({ evenings, plan: { begins, quiet: { from, to } } })
          const loud = loudOn(b, day)
          const start = beginsOn(b, day)
          expect(loud.to).toBeGreaterThanOrEqual(loud.from)
          expect(loud.to - loud.from).toBeLessThanOrEqual(evenings[weekday(day)]!)
          if (loud.to === loud.from) return
          expect(loud.from).toBeGreaterThanOrEqual(start)
          const quiet = (m: number) => (from < to ? m >= from && m < to : m >= from || m < to)
          // A bench that goes on past midnight is not asked about here.
          for (const m of [loud.from, loud.to - 1]) if (m < 1440) expect(quiet(m)).toBe(false)
        },
      ),
    ))
})

describe('on the evenings', () => {
  it('70 minutes of routing from seven to eight take two evenings, 70 of soldering one', () => {
    const plan = planResult(build(), [a('route', 70, { noisy: true })], TODAY)
    expect([plan.steps[0]!.date, plan.steps[0]!.clear]).toEqual(['2026-11-24', '2026-11-25'])
    expect(planResult(build(), [a('solder', 70)], TODAY).ends).toBe('2026-11-24')
  })
  it('a machine that waits for what ends at eight waits for the next evening', () => {
    expect(days(build(), [a('mark', 60), a('route', 20, { noisy: true, befores: after('mark') })])).toEqual({
      mark: '2026-11-24',
      route: '2026-11-25',
    })
    expect(days(build(), [a('mark', 30), a('route', 20, { noisy: true, befores: after('mark') })]).route).toBe('2026-11-24')
  })
  it('what is done quietly makes room for the machine’s hour', () => {
    // 60 quiet minutes first in the order, yet 30 loud ones that wait for nothing fit before eight.
    expect(days(build(), [a('wires', 60, { wait: 1440 }), a('route', 30, { noisy: true })]).route).toBe('2026-11-24')
  })
  it('nothing final is begun after the hour that was set', () => {
    const steps = [a('sort', 60), a('glue', 20, { final: true, befores: after('sort') })]
    expect(days(build(), steps).glue).toBe('2026-11-24')
    expect(days(build({ plan: { cutOff: 19 * 60 + 45 } }), steps).glue).toBe('2026-11-25')
    // What can be undone may still be done.
    expect(days(build({ plan: { cutOff: 19 * 60 + 45 } }), [a('sort', 60), a('tidy', 20, { befores: after('sort') })]).tidy).toBe(TODAY)
  })
  it('what cannot be left halfway gets an evening that holds it, or says that none does', () => {
    const steps = [a('sort', 60), a('clamp', 45, { whole: true, befores: after('sort') })]
    expect(days(build(), steps).clamp).toBe('2026-11-25')
    expect(days(build(), [a('sort', 60), a('file', 45, { befores: after('sort') })]).file).toBe('2026-11-24')
    const long = planResult(build(), [a('spray', 200, { whole: true })], TODAY).steps[0]!
    expect(long.tooLong).toBe(true)
    expect(long.date).toBe('2026-11-24')
  })
  it('a helper comes on a day: the step is done then, what follows moves, and a day that comes too soon is said', () => {
    const steps = [a('sort', 60), a('clamp', 45, { befores: after('sort') }), a('string', 30, { befores: after('clamp') })]
    const booked = (on: string) => planResult(build({ plan: { booked: { clamp: { by: 'a neighbour', on } } } }), steps, TODAY).steps
    const of = (on: string, id: string) => booked(on).find((s) => s.id === id)!
    expect(of('2026-12-04', 'clamp').date).toBe('2026-12-04')
    expect(of('2026-12-04', 'string').date).toBe('2026-12-04')
    expect(of('2026-12-04', 'clamp').missed).toBeUndefined()
    const late = planResult(
      build({ plan: { booked: { clamp: { by: 'a neighbour', on: TODAY } } } }),
      [a('sort', 300), ...steps.slice(1)],
      TODAY,
    )
    expect(late.steps.find((s) => s.id === 'clamp')!.missed).toBe(true)
  })
})

describe('tonight by the clock', () => {
  const set = (b: Build, steps: Step[], minutes: number, from?: number) => tonight(b, steps, TODAY, minutes, from).steps.map((s) => s.id)
  it('machines first, while they may run; none after eight', () => {
    const steps = [a('wires', 40), a('route', 40, { noisy: true })]
    expect(set(build(), steps, 90)).toEqual(['route', 'wires'])
    expect(set(build(), steps, 90, 19 * 60 + 30)).toEqual(['wires'])
  })
  it('nothing final is begun after the hour that was set; what can be undone goes on', () => {
    const late = build({ plan: { cutOff: 21 * 60 } })
    expect(set(late, [a('glue', 20, { final: true }), a('tidy', 20)], 90, 20 * 60 + 50)).toEqual(['glue', 'tidy'])
    expect(set(late, [a('glue', 20, { final: true }), a('tidy', 20)], 90, 21 * 60)).toEqual(['tidy'])
  })
  it('what somebody comes for on another day is not for tonight', () => {
    const b = build({ plan: { booked: { clamp: { by: 'a neighbour', on: '2026-11-28' } } } })
    expect(set(b, [a('clamp', 20), a('tidy', 20)], 90)).toEqual(['tidy'])
  })
})

describe('the riskiest cut first', () => {
  const trial = a('trial', 60, { befores: after('pilot', 'route', 'bore') })
  const cut = (id: string, risk: number, minutes = 20) => a(id, minutes, { final: true, risk })
  it('of cuts that are as urgent the one that puts most at stake goes first, while the blank is cheap', () => {
    const plan = planResult(build(), [cut('pilot', 0.6), cut('route', 4), cut('bore', 1.2), trial], TODAY)
    expect(plan.steps.map((s) => s.id)).toEqual(['route', 'bore', 'pilot', 'trial'])
  })
  it('one that starts a long wait goes before it all the same, and what is no cut keeps its place', () => {
    const glued = a('glue', 20, { wait: 5 * 1440 })
    const plan = planResult(
      build(),
      [cut('pilot', 0.6), cut('route', 4), cut('bore', 1.2), glued, { ...trial, befores: after('pilot', 'route', 'bore', 'glue') }],
      TODAY,
    )
    expect(plan.steps.map((s) => s.id)).toEqual(['glue', 'route', 'bore', 'pilot', 'trial'])
  })
})

describe('better before', () => {
  const posts = a('posts', 45)
  const guard = a('guard', 30, { better: [{ id: 'posts', why: 'in the way', minutes: 10 }] })
  it('orders what may be done either way, and holds nothing up', () => {
    const plan = planResult(build(), [guard, posts], TODAY)
    expect(plan.steps.map((s) => s.id)).toEqual(['posts', 'guard'])
    expect(plan.ready).toContain('guard')
    const waits = planResult(build(), [guard, { ...posts, undated: 'on its way' }], TODAY)
    expect(waits.steps.find((s) => s.id === 'guard')!.atEarliest).toBeUndefined()
    expect(waits.steps.find((s) => s.id === 'guard')!.state).toBe('ready')
  })
  it('gives way to a must', () => {
    const plan = planResult(build(), [guard, { ...posts, befores: after('guard') }], TODAY)
    expect(plan.steps.map((s) => s.id)).toEqual(['guard', 'posts'])
  })
})
