import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { evaluate } from '../evaluate'
import { aBuild, aPart } from '../testing/bench'
import { addDays, daysBetween, weekday } from './dates'

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

describe('dates', () => {
  it('24 November 2026 is a Tuesday', () => expect(weekday('2026-11-24')).toBe(1))
  it('adding and counting are each other’s way back, over leap years too', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (n) => {
        expect(daysBetween('2027-12-31', addDays('2027-12-31', n)) - n).toBeCloseTo(0, 12)
      }),
    )
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29')
  })
})

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
