import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aBuild } from '../testing/bench'
import { fullBuild } from '../testing/fullBuild'
import type { Build } from '../document/build'
import { addDays } from '../quantity/days'
import { forecast, forecastSays } from './forecast'
import { getReady, toolCost } from './getReady'
import { insteadOf } from './tools'
import { planResult } from './planResult'
import { before } from './reasons'
import { runSheet } from './runSheet'
import { splitBy } from './split'
import { step, type Step } from './step'
import { tonight } from './tonight'

const TODAY = '2026-11-24'
const build = (more: Partial<Build> = {}): Build => ({ ...aBuild({}), evenings: [90, 90, 90, 90, 90, 90, 90], ...more })
const a = (id: string, minutes: number, more: Partial<Step> = {}): Step =>
  step({ id, title: id, why: '', station: 'plan', stage: 'hardware', minutes, ...more })
const after = (...ids: string[]) => ids.map((id) => before(id, 'setupOrder'))

describe('days nobody knows', () => {
  const steps = [a('buy', 10, { stage: 'parcel', undated: 'not ordered' }), a('fit', 30, { befores: after('buy') }), a('solder', 60)]
  it('a part that was never ordered has no day: what waits for it is not before, and so is the end', () => {
    const plan = planResult(build(), steps, TODAY)
    const of = (id: string) => plan.steps.find((s) => s.id === id)!
    expect(of('fit').atEarliest).toBe(true)
    expect(of('solder').atEarliest).toBeUndefined()
    expect(plan.undated).toEqual(['buy'])
    expect(of('buy').state).toBe('ready')
    expect(forecastSays(forecast(build(), steps, TODAY, 40)!, undefined)).toMatch(/at the earliest/)
  })
  it('one on its way without a day is waited for, not done', () => {
    const plan = planResult(build(), [a('come', 10, { stage: 'parcel', undated: 'on its way' })], TODAY)
    expect(plan.steps[0]!.state).toBe('waiting')
  })
  it('once it is here nothing is a bound any more', () => {
    const plan = planResult(build({ steps: { buy: { done: TODAY } } }), steps, TODAY)
    expect(plan.undated).toEqual([])
    expect(plan.steps.some((s) => s.atEarliest)).toBe(false)
  })
})

describe('the order', () => {
  it('rows follow the days; what comes before stands above', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            minutes: fc.integer({ min: 5, max: 200 }),
            after: fc.array(fc.nat(9), { maxLength: 3 }),
            wait: fc.constantFrom(0, 0, 1440, 5000),
          }),
          {
            minLength: 1,
            maxLength: 10,
          },
        ),
        (drawn) => {
          // Whatever order they were given in: a step may wait for one that comes later in the list.
          const steps = drawn.map((d, i) =>
            a(String(i), d.minutes, { wait: d.wait, befores: after(...d.after.filter((x) => x < drawn.length && x > i).map(String)) }),
          )
          const plan = planResult(build(), steps, TODAY)
          const days = plan.steps.map((s) => s.date!)
          expect(days).toEqual(days.toSorted())
          const at = (id: string) => plan.steps.findIndex((s) => s.id === id)
          for (const s of plan.steps)
            for (const b of s.befores) {
              expect(at(b.id)).toBeLessThan(at(s.id))
              expect(s.date! >= plan.steps[at(b.id)]!.clear!).toBe(true)
            }
        },
      ),
    ))
  it('what starts the longest wait is done first', () => {
    const steps = [a('tidy', 90), a('glue', 30, { wait: 3 * 1440 }), a('sand', 60, { befores: after('glue') })]
    expect(planResult(build(), steps, TODAY).steps[0]!.id).toBe('glue')
  })
  it('what was glued today is still drying: what stands on it waits until that is over', () => {
    const steps = [a('glue', 30, { wait: 3 * 1440 }), a('sand', 60, { befores: after('glue') })]
    const on = (today: string) =>
      planResult(build({ steps: { glue: { done: `${TODAY}T20:00:00Z` } } }), steps, today).steps.find((s) => s.id === 'sand')!
    expect(on(TODAY)).toMatchObject({ state: 'waiting', date: addDays(TODAY, 3) })
    expect(on(addDays(TODAY, 3))).toMatchObject({ state: 'ready', date: addDays(TODAY, 3) })
  })
  it('no work falls on a day off', () => {
    const off = [TODAY, addDays(TODAY, 1)]
    const plan = planResult(build({ plan: { daysOff: off } }), [a('one', 60), a('two', 60)], TODAY)
    expect(plan.steps.map((s) => s.date)).toEqual([addDays(TODAY, 2), addDays(TODAY, 2)])
  })
})

describe('the day it is done, by chance', () => {
  it('without doubt it is the plan’s own day', () => {
    const steps = [a('one', 60, { times: [60, 60] }), a('two', 60, { times: [60, 60], befores: after('one') })]
    const f = forecast(build(), steps, TODAY, 50)!
    expect([f.early, f.middle, f.late]).toEqual(Array(3).fill(planResult(build(), steps, TODAY).ends))
    expect(f.days).toEqual([{ day: f.middle, runs: 50 }])
  })
  it('a 60-minute step that takes 30 to 180 against one evening of 90: done tonight by (b - x)2 of the triangle', () => {
    // 1 - (180 - 90)^2 / ((180 - 30)(180 - 60)) = 0.55
    const f = forecast(build({ due: TODAY }), [a('one', 60, { times: [30, 180] })], TODAY, 4000)!
    expect(f.chance).toBeCloseTo(0.55, 1)
    expect(Math.abs(f.chance! - 0.55)).toBeLessThan(0.03)
  })
  it('a parcel slips, never comes early; later days never have a worse chance', () => {
    const arrives = addDays(TODAY, 5)
    const steps = [a('come', 10, { stage: 'parcel', notBefore: arrives }), a('fit', 30, { befores: after('come') })]
    const f = forecast(build(), steps, TODAY, 300)!
    expect(f.early >= arrives).toBe(true)
    expect(f.late > f.early).toBe(true)
    const chance = (due: string) => forecast(build({ due }), steps, TODAY, 300)!.chance!
    expect(chance(addDays(arrives, 1))).toBeLessThanOrEqual(chance(addDays(arrives, 4)))
    expect(chance(addDays(arrives, 12))).toBe(1)
  })
})

describe('a parcel nobody has a day for', () => {
  const parcel = a('come', 10, { stage: 'parcel', undated: 'on its way' })
  it('costs nothing until the day from which on it moves the end', () => {
    // Glue tonight, and five days of its wait: what is fitted before the last step has until then.
    const steps = [
      parcel,
      a('fit', 30, { befores: after('come') }),
      a('glue', 20, { wait: 5 * 24 * 60 }),
      a('last', 10, { befores: after('glue', 'fit') }),
    ]
    const { ends } = planResult(build(), steps, TODAY)
    const { freeUntil } = forecast(build(), steps, TODAY, 20)!
    const endsWith = (day: string) =>
      planResult(
        build(),
        steps.map((s) => (s.id === 'come' ? { ...s, notBefore: day } : s)),
        TODAY,
      ).ends
    const free = freeUntil.come!
    expect(ends).toBe(addDays(TODAY, 5))
    // It may come on the very evening of the end: 10, 30 and 10 minutes fit into it.
    expect(free).toBe(addDays(TODAY, 5))
    expect(endsWith(free)).toBe(ends)
    expect(endsWith(addDays(free, 1))! > ends!).toBe(true)
  })
  it('every day of it moves the end where all waits for it; what has a day is not asked', () => {
    expect(forecast(build(), [parcel, a('fit', 30, { befores: after('come') })], TODAY, 20)!.freeUntil).toEqual({})
    const dated = a('come', 10, { stage: 'parcel', notBefore: addDays(TODAY, 3) })
    expect(forecast(build(), [dated, a('glue', 20, { wait: 9 * 24 * 60 })], TODAY, 20)!.freeUntil).toEqual({})
  })
})

describe('a parcel that is late already', () => {
  const late = (days: number) => a('come', 10, { stage: 'parcel', undated: 'on its way', promised: addDays(TODAY, -days) })
  const chance = (days: number, due: number) => forecast(build({ due: addDays(TODAY, due) }), [late(days)], TODAY, 4000)!.chance!
  it('comes by what is left of the six days it may slip: the later it is, the sooner it is here or nobody knows', () => {
    // Three days late: at most three more, ((3 - r) / 3)^2 that it takes longer than r; a whole day to either side of its half.
    expect(Math.abs(chance(3, 1) - (1 - (1.5 / 3) ** 2))).toBeLessThan(0.03)
    expect(Math.abs(chance(3, 0) - (1 - (2.5 / 3) ** 2))).toBeLessThan(0.03)
    expect(chance(3, 3)).toBe(1)
    expect(Math.abs(chance(1, 1) - (1 - (3.5 / 5) ** 2))).toBeLessThan(0.03)
    expect(chance(5, 1)).toBe(1)
  })
  it('is a day by chance and no bound while it may still slip; later than any, it is a bound again', () => {
    const at = (days: number) => forecast(build({ due: TODAY }), [late(days)], TODAY, 200)!
    expect([at(1).atEarliest, at(5).atEarliest, at(6).atEarliest, at(40).atEarliest]).toEqual([false, false, true, true])
    expect(at(40).chance).toBe(1)
    expect(at(1).chance).toBeLessThan(1)
  })
  it('all of one parcel comes on one day, of two sellers either may be the later', () => {
    const { nut, guard } = fullBuild().parts
    const chanceOf = (seller: string) => {
      const b = build({ due: addDays(TODAY, 1), parts: { nut: { ...nut!, seller: 's' }, guard: { ...guard!, seller } } })
      const two = (['nut', 'guard'] as const).map((slot): Step => ({ ...late(3), id: slot, slot }))
      return forecast(b, two, TODAY, 4000)!.chance!
    }
    expect(Math.abs(chanceOf('s') - 0.75)).toBeLessThan(0.03)
    expect(Math.abs(chanceOf('t') - 0.75 ** 2)).toBeLessThan(0.03)
  })
})

describe('against the promised day', () => {
  const steps = [
    a('wire', 90),
    a('string', 60, { befores: after('wire') }),
    a('fine', 90, { need: 'should', befores: after('string') }),
    a('straps', 60, { need: 'later' }),
  ]
  const split = (due: string) => splitBy(build({ due }), (b) => planResult(b, steps, TODAY))!
  it('time for all: nothing is left', () => {
    const s = split(addDays(TODAY, 20))
    expect(s.wait).toEqual([])
    expect(s.says).toMatch(/days before the day/)
  })
  it('the gift that is due in two days: later goes first, then what should be; musts stay, and each is a known fault', () => {
    // 90, 60, 90 and 60 minutes at 90 an evening: four evenings; without straps three, without fine two.
    expect(split(addDays(TODAY, 2)).wait.map((w) => w.step.id)).toEqual(['straps'])
    const two = split(addDays(TODAY, 1))
    expect(two.wait.map((w) => w.step.id).toSorted()).toEqual(['fine', 'straps'])
    expect(two.must.map((s) => s.id)).toEqual(['wire', 'string'])
    expect(two.late).toBe(0)
    expect(two.wait.find((w) => w.step.id === 'fine')!.fault).toBe('known fault until it is done')
  })
  it('where even the musts are late it says by how many days, and shortens nothing', () => {
    const s = split(TODAY)
    expect(s.late).toBe(1)
    expect(s.says).toMatch(/1 day late.*Waits and safety are not shortened/)
  })
  it('no day promised: nothing to split', () => expect(splitBy(build(), (b) => planResult(b, steps, TODAY))).toBeUndefined())
})

describe('tonight', () => {
  const steps = [
    a('glue', 30, { wait: 3 * 1440 }),
    a('sand', 60, { befores: after('glue') }),
    a('tidy', 25, { need: 'later' }),
    a('solder', 60, { cautions: ['hot'] }),
    a('check', 15, { befores: after('solder') }),
    a('parcel', 10, { stage: 'parcel', notBefore: addDays(TODAY, 9) }),
  ]
  it('90 minutes: what starts the wait, then what fits, never what still dries or comes by post', () => {
    const t = tonight(build(), steps, TODAY, 90)
    expect(t.steps.map((s) => s.id).toSorted()).toEqual(['glue', 'solder'])
    expect(t.minutes).toBe(90)
    // With the parcel nine days off nothing done tonight brings the end nearer; without it the wait for the glue is what counts.
    expect(t.gains).toBe(0)
    expect(tonight(build(), steps.slice(0, 5), TODAY, 90).gains).toBe(1)
  })
  it('a step that another of the set makes ready is in it, after that', () => {
    const t = tonight(build(), steps.slice(2), TODAY, 90)
    const ids = t.steps.map((s) => s.id)
    expect(ids).toContain('check')
    expect(ids.indexOf('check')).toBeGreaterThan(ids.indexOf('solder'))
  })
  it('what is still to be ordered comes before hands that would fill the evening, and nothing that waits for it comes with it', () => {
    const order = a('order', 10, { undated: 'not ordered' })
    const mount = a('mount', 20, { befores: after('order') })
    const ids = (minutes: number, ...more: Step[]) => tonight(build(), [order, mount, ...more], TODAY, minutes).steps.map((s) => s.id)
    expect(ids(90, a('plane', 60), a('tap', 30))).toEqual(['order', 'plane'])
    expect(ids(90)).toEqual(['order'])
  })
  it('no more minutes than there are, whole steps only; with none, nothing', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), (minutes) => {
        const t = tonight(build(), steps, TODAY, minutes)
        expect(t.minutes).toBeLessThanOrEqual(minutes)
        const done = new Set<string>()
        for (const s of t.steps) {
          for (const b of s.befores) expect(done.has(b.id)).toBe(true)
          done.add(s.id)
        }
      }),
    ))
  it('an easy one to begin with has no caution and waits for nothing', () => {
    expect(tonight(build(), steps, TODAY, 90).opener).toBe('glue')
  })
})

describe('on paper', () => {
  const steps = [
    a('one', 60, { tools: 'saw, file' }),
    a('two', 60, { tools: 'file', befores: after('one') }),
    a('late', 10, { undated: 'on its way', stage: 'parcel' }),
  ]
  const plan = planResult(build(), steps, TODAY)
  it('the run sheet has a box for every open step under its day, and says where the end is a bound', () => {
    const sheet = runSheet(build(), plan)
    const boxes = sheet.blocks.flatMap((b) => ('tick' in b ? b.tick : []))
    for (const s of steps)
      expect(
        boxes.some((b) => b.startsWith(`${s.title}, `)),
        s.title,
      ).toBe(true)
    expect(sheet.about).toMatch(/at the earliest/)
  })
  it('what does as well as a tool is named with it, and is no second thing to look out', () => {
    const steps = [a('one', 60, { tools: 'needle file, or paper on a pen, P80 on a flat stick' })]
    expect(getReady(planResult(build({}), steps, TODAY).steps).map((r) => r.tool)).toEqual([
      'needle file, or paper on a pen',
      'P80 on a flat stick',
    ])
  })
  it('what to get ready stands once, with all that ask for it and the day it is first asked for', () => {
    const ready = getReady(plan.steps)
    expect(ready.every((r) => r.owned === undefined)).toBe(true)
    expect(ready.find((r) => r.tool === 'file')).toEqual({ tool: 'file', for: ['one', 'two'], by: TODAY })
    const mine = getReady(plan.steps, { file: { have: 'buy', price: 12 }, iron: { have: 'buy' }, brush: { have: 'own' } })
    expect(mine.find((r) => r.tool === 'file')!.owned).toEqual({ have: 'buy', price: 12 })
    expect(toolCost(mine).money).toBe(12)
    expect(insteadOf('nut files or round jet-cleaning files')).toMatch(/jet-cleaning/)
    expect(insteadOf('anvil')).toBeUndefined()
    expect(getReady(planResult(build({ steps: { one: { done: TODAY }, two: { done: TODAY } } }), steps, TODAY).steps)).toEqual([])
  })
})
