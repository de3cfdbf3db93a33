import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange } from '../document/change'
import { splitDue } from '../evaluate/splitDue'
import { evaluator } from '../evaluate/evaluator'
import { addDays, daysBetween } from '../quantity/days'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { leaveOut, mayBeLeftOut, takeIn } from './leftOut'
import { planResult } from './planResult'
import { runSheet } from './runSheet'

import { step, type PlannedStep, type Step } from './step'

const TODAY = '2026-11-24'
const evaluated = evaluator()
const planOf = (build: Build) => evaluated(build, TODAY).plan
const without = (build: Build, steps: readonly Pick<Step, 'id' | 'title'>[]): Build =>
  steps.reduce((b, s) => applyChange(b, leaveOut(b, [s], TODAY)), build)
/** Everything a step comes after, however many steps lie between. */
function ahead(steps: readonly PlannedStep[], id: string, seen = new Set<string>()): Set<string> {
  for (const b of steps.find((s) => s.id === id)?.befores ?? []) if (!seen.has(b.id)) ahead(steps, b.id, seen.add(b.id))
  return seen
}

describe('steps a job does not ask for', () => {
  it('stand in no plan and nothing waits for them; the others keep their order, and none is later for it', () => {
    let left = 0
    const law = fc.property(
      fc.nat(everyMake().length - 1),
      fc.nat(),
      fc.array(fc.nat(), { minLength: 1, maxLength: 6 }),
      (m, mask, drawn) => {
        const build = undrilled(drillable(everyMake()[m]!), mask)
        const given = planOf(build).steps
        const planned = (b: Build) => planResult(b, given, TODAY)
        const all = planned(build).steps
        const may = all.filter((s) => s.state !== 'done' && mayBeLeftOut(s))
        const out = [...new Set(drawn.map((n) => may[n % may.length]!))]
        const job = without(build, out)
        const then = planned(job)
        const gone = new Set(out.map((s) => s.id))
        expect(then.leftOut.map((s) => s.id).toSorted()).toEqual([...gone].toSorted())
        expect(
          then.steps.filter((s) => gone.has(s.id) || s.befores.some((b) => gone.has(b.id)) || s.better?.some((b) => gone.has(b.id))),
        ).toEqual([])
        // What stays comes after what it came after before.
        for (const s of then.steps) {
          const was = all.find((o) => o.id === s.id)
          if (!was) continue
          const now = ahead(then.steps, s.id)
          for (const id of ahead(all, s.id))
            if (!gone.has(id) && then.steps.some((o) => o.id === id)) expect(now.has(id), `${id} before ${s.id}`).toBe(true)
        }
        expect(then.minutesLeft).toBeLessThan(planned(build).minutesLeft)
        // Taken in again, one by one, it is the plan it was.
        expect(planned(out.reduce((b, s) => applyChange(b, takeIn(b, s)), job))).toEqual(planned(build))
        left += out.length
      },
    )
    holds(law, 200)
    expect(left).toBeGreaterThan(40)
  })
  it('what keeps the promised day is told as the plan is once it is left', () => {
    let kept = 0
    const law = fc.property(fc.nat(everyMake().length - 1), fc.nat(), fc.integer({ min: 0, max: 25 }), (m, mask, days) => {
      const build = { ...undrilled(drillable(everyMake()[m]!), mask), due: addDays(TODAY, days) }
      const split = splitDue(build, TODAY)!
      const wait = split.wait.map((w) => w.step)
      const job = wait.length ? applyChange(build, leaveOut(build, wait, TODAY)) : build
      const then = planOf(job)
      expect(then.ends).toBe(split.ends)
      expect(
        then.steps
          .filter((s) => s.state !== 'done')
          .map((s) => s.id)
          .toSorted(),
      ).toEqual(split.must.map((s) => s.id).toSorted())
      expect(split.late).toBe(Math.max(0, daysBetween(build.due, then.ends!)))
      if (wait.length) kept++
    })
    holds(law, 40)
    expect(kept).toBeGreaterThan(2)
  })
  const a = (id: string, more: Partial<Step> = {}): Step =>
    step({ id, title: id, why: '', station: 'plan', stage: 'hardware', minutes: 60, befores: [], ...more })
  const after = (...ids: string[]) => ({ befores: ids.map((id) => ({ id, why: id, risk: '', wayBack: '' })) })
  const evenings = { ...fullBuild(), evenings: [60, 60, 60, 60, 60, 60, 60] as Build['evenings'], steps: {} }
  it('an hour less is an evening less; what came after it comes after what that came after', () => {
    const steps = [a('one'), a('two', after('one')), a('three', after('two', 'one'))]
    const dates = (b: Build) => planResult(b, steps, TODAY).steps.map((s) => [s.id, s.date])
    expect(dates(evenings)).toEqual([
      ['one', '2026-11-24'],
      ['two', '2026-11-25'],
      ['three', '2026-11-26'],
    ])
    const job = without(evenings, [steps[1]!])
    expect(dates(job)).toEqual([
      ['one', '2026-11-24'],
      ['three', '2026-11-25'],
    ])
    expect(planResult(job, steps, TODAY).steps[1]!.befores.map((b) => b.id)).toEqual(['one'])
  })
  it('what is done is done, whatever was said before', () => {
    const done = { ...without(evenings, [a('one')]), steps: { one: { done: `${TODAY}T20:00:00Z` } } }
    expect(planResult(done, [a('one')], TODAY)).toMatchObject({ leftOut: [], steps: [{ id: 'one', state: 'done' }] })
  })
  it('a parcel and coats are not left out; taking a parcel’s unpacking apart, or work, is', () => {
    expect(mayBeLeftOut(a('x', { stage: 'parcel', undated: 'not ordered' }))).toBe(false)
    expect(mayBeLeftOut(a('x', { stage: 'parcel', notBefore: TODAY }))).toBe(false)
    expect(mayBeLeftOut(a('x', { stage: 'film', calendar: { from: TODAY, to: TODAY } }))).toBe(false)
    expect([mayBeLeftOut(a('x', { stage: 'parcel' })), mayBeLeftOut(a('x', { notBefore: TODAY })), mayBeLeftOut(a('x'))]).toEqual([
      true,
      true,
      true,
    ])
  })
  it('an upgrade of its pickups alone is an evening or two, not a fortnight; coats still wait for the wood', () => {
    const upgrade: Build = { ...fullBuild(), job: 'upgrade', steps: {}, finish: { ...fullBuild().finish, system: 'none' } }
    const keep = /apart|harness|solder|meter|string up/i
    const job = without(
      upgrade,
      planOf(upgrade).steps.filter((s) => mayBeLeftOut(s) && !keep.test(s.title)),
    )
    expect(planOf(job).steps.every((s) => keep.test(s.title))).toBe(true)
    expect(planOf(job).minutesLeft).toBeLessThan(planOf(upgrade).minutesLeft / 2)
    expect(planOf(job).ends! < planOf(upgrade).ends!).toBe(true)
    const [sheet] = [runSheet(job, planOf(job))]
    expect(sheet.blocks.flatMap((b) => ('text' in b ? [b.text] : [])).join()).toContain('Relief')
    // The body unsanded, its coats still come after what stood before the sanding.
    const raw = drillable({
      ...fullBuild(),
      steps: {},
      parts: { ...fullBuild().parts, body: { ...fullBuild().parts.body!, traits: { ...fullBuild().parts.body!.traits, surface: 'raw' } } },
    })
    const bare = { ...raw, finish: { ...raw.finish, system: 'lacquer' as const } }
    const unsanded = without(bare, [planOf(bare).steps.find((s) => s.id === 'sand')!])
    const trial = planOf(unsanded).steps.find((s) => s.id === 'trial-build')!
    expect(evaluated(unsanded, TODAY).finish.ready >= trial.clear!).toBe(true)
    expect(evaluated(unsanded, TODAY).finish.ready <= evaluated(bare, TODAY).finish.ready).toBe(true)
  })
})
