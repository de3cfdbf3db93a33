import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judgeJoints } from '../fit/findJoints'
import { knownBuild } from '../testing/anyBuild'
import { jointIn } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { onPaper } from './onPaper'
import { cutLimits, cutOf, cutSays } from './leastCut'

describe('the least cut first', () => {
  it('an opening 0.1 mm too narrow: the least that frees the cover, and what would show beside it', () => {
    // Opening 69.3, cover 69.4. Free from +0.05 on: 0.15. Daylight from 1.6 on: 1.7 in all. Planned 0.3.
    const [file] = jointIn(changed(fullBuild(), { 'guard/opening.bridge.width': 69.3 }), 'room-bridge').cures
    expect(file!.plan!.delta).toBeCloseTo(0.3, 9)
    expect(file!.cut!.least).toBeGreaterThanOrEqual(0.15)
    expect(file!.cut!.least).toBeLessThanOrEqual(0.16)
    expect(cutSays(file!.cut!)).toMatch(/^The least that can do: 0\.1[56] mm in all, then try it .* cannot be put back\.$/)
  })
  it('where more does no harm nothing is said of a most; where it does the most is never less than the plan', () => {
    const plan = { slot: 'body', size: 'jack.bore', delta: 1, doubt: 0.1 } as const
    const check = (snug: boolean) => ({ raw: { chances: { snug: snug ? 1 : 0, loose: 0, tight: snug ? 0 : 1, 'wont-go': 0 } } }) as never
    expect(cutLimits(plan, (share) => check(share >= 0.395))).toEqual({ least: 0.4 })
    expect(cutLimits(plan, (share) => check(share >= 0.395 && share <= 1.505))).toEqual({ least: 0.4, most: 1.5 })
    expect(cutLimits(plan, (share) => check(share >= 2))).toBeUndefined()
  })
  it('holds for every cut that is offered: less than the least is not enough, the least is', { timeout: 120_000 }, () => {
    let held = 0
    for (const build of fc.sample(knownBuild, { numRuns: 70, seed: 11 }))
      for (const joint of judgeJoints(build))
        for (const check of joint.checks)
          for (const cure of check.cures) {
            const plan = cutOf(cure)
            if (!plan || !cure.cut) continue
            const then = (amount: number) => {
              const share = amount / Math.abs(plan.delta)
              const part = {
                ...plan,
                delta: plan.delta * share,
                ...(plan.also ? { also: plan.also.map((e) => ({ ...e, delta: e.delta * share })) } : {}),
              }
              return jointIn(onPaper(build, part), joint.id).checks.find((c) => c.id === check.id)!.raw.chances.snug
            }
            const coarse = Math.abs(plan.delta) >= 3 ? 0.25 : 0.03
            expect(then(cure.cut.least), `${joint.id} ${cure.id}: ${cure.job}`).toBeGreaterThan(0.3)
            if (cure.cut.least > coarse) expect(then(cure.cut.least - coarse), `${joint.id} ${cure.id} less`).toBeLessThan(0.75)
            held++
          }
    expect(held).toBeGreaterThan(40)
  })
})
