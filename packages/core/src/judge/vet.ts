import { effectsOf, type Build, type JobEffect } from '../document/build'
import { sizeAt, specAt, type SizeRef } from '../document/read'
import type { SizeUnit } from '../parts/kind'
import { Asker, type Ask } from './ask'
import type { Check, Cure } from './joint'
import { lazily } from './lazily'
import { cutLimits, cutOf } from './leastCut'
import { onPaper, type Plan } from './onPaper'
import { staysWhole } from './whatStays'

/** A job smaller than this does nothing, in the size's own unit. [ours] */
const LEAST_JOB: Record<SizeUnit, number> = { mm: 0.005, deg: 0.01, ohm: 1, farad: 1e-12, henry: 1e-6, g: 0.5, newton: 0.5, count: 0.5 }

/** Can the job be done to this part at all: it is there, something changes, it stays such a part, and nothing is cut through? */
const canBeDone = (build: Build, plan: Plan): boolean =>
  Math.abs(plan.delta) >= LEAST_JOB[specAt(plan).unit] &&
  effectsOf(plan).every((effect) => {
    const { min, max } = specAt(effect)
    const now = sizeAt(build, effect)?.value
    const stays = now === undefined || (now + effect.delta >= min && now + effect.delta <= max)
    return build.parts[effect.slot] !== undefined && stays && staysWhole(build, effect)
  })

/** Does the job move any of these sizes? */
export const moves = (plan: Plan, refs: readonly SizeRef[]): boolean =>
  effectsOf(plan).some((effect) => refs.some((r) => r.slot === effect.slot && r.size === effect.size))

const isFault = (c: Check) => c.raw.verdict === 'tight' || c.raw.verdict === 'wont-go'

/** Is any check worse than it was, of those that were not themselves a fault as bad? */
export const harms = (before: readonly Check[], after: readonly Check[]): boolean =>
  after.some((now) => {
    const was = before.find((c) => c.id === now.id)
    return (
      isFault(now) &&
      was !== undefined &&
      was.raw.verdict !== 'cant-tell' &&
      (!isFault(was) || (was.raw.verdict === 'tight' && now.raw.verdict === 'wont-go'))
    )
  })

/**
 * Cures that can be done on paper are done there first. One is offered only when it can be done, brings its check out of the class it is in
 * and not into a worse one, and makes no other check of the joint worse.
 */
export function vetted(build: Build, asked: readonly { ask: Ask; checks: Check[] }[]): Check[] {
  const checks = asked.flatMap((a) => a.checks)
  const helps = (check: Check, { plan }: Cure): boolean => {
    if (!plan) return true
    if (!canBeDone(build, plan)) return false
    const asker = new Asker(onPaper(build, plan))
    // What does not read the size is as it was.
    const touched = asked.filter((a) => a.checks.some((c) => moves(plan, c.reads)))
    const then = touched.flatMap((a) => asker.judge(a.ask))
    const now = then.find((c) => c.id === check.id)
    return now !== undefined && now.raw.verdict !== 'wont-go' && now.raw.verdict !== check.raw.verdict && !harms(checks, then)
  }
  /** The check and those beside it after so many times the plan, where that can be done at all. */
  const after = (check: Check, plan: Plan, share: number): Check | undefined => {
    const scaled = (effect: JobEffect): JobEffect => ({ ...effect, delta: effect.delta * share })
    const part: Plan = { ...plan, delta: plan.delta * share, ...(plan.also ? { also: plan.also.map(scaled) } : {}) }
    if (share > 1 && !canBeDone(build, part)) return undefined
    const asker = new Asker(onPaper(build, part))
    const now = asked.filter((a) => a.checks.some((c) => moves(part, c.reads))).flatMap((a) => asker.judge(a.ask))
    return harms(checks, now) ? undefined : now.find((c) => c.id === check.id)
  }
  const measured = (check: Check, cure: Cure): Cure => {
    const plan = cutOf(cure)
    if (!plan) return cure
    const limits = cutLimits(plan, (share) => after(check, plan, share))
    return limits ? { ...cure, cut: limits } : cure
  }
  for (const c of checks) {
    const offered = Object.getOwnPropertyDescriptor(c, 'cures')!
    if (offered.get)
      lazily(c, 'cures', () => (offered.get!.call(c) as Cure[]).filter((cure) => helps(c, cure)).map((cure) => measured(c, cure)))
  }
  return checks
}
