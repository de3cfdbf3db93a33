import { effectsOf, type Build, type JobEffect } from '../document/build'
import { sizeAt, specAt, type SizeRef } from '../document/read'
import type { SizeUnit } from '../parts/kind'
import { Asker, type Ask } from './ask'
import type { Check, Cure } from './joint'
import type { Vet } from './judgedCheck'
import type { Slot } from '../parts/slots'
import { cutLimits, cutOf, type CutLimits } from './leastCut'
import { onPaper, type Plan } from './onPaper'
import { beyondReach, exchange } from './reach'
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

/** What comes first is no alternative, whatever stood before it; what is worked out only for who looks at it stays so. */
export function firstOf(cures: readonly Cure[]): Cure[] {
  const [first, ...more] = cures
  if (!first || !/^Or \w/.test(first.job)) return [...cures]
  const job = first.job[3]!.toUpperCase() + first.job.slice(4)
  const alone: Cure = Object.defineProperties({ ...first, job }, { cut: Object.getOwnPropertyDescriptor(first, 'cut') ?? {} })
  return [alone, ...more]
}

/** Does the job move any of these sizes? */
export const moves = (plan: Plan, refs: readonly SizeRef[]): boolean =>
  effectsOf(plan).some((effect) => refs.some((r) => r.slot === effect.slot && r.size === effect.size))

/** Is the check sure of a fault? */
export const isFault = (c: Check): boolean => c.raw.verdict === 'tight' || c.raw.verdict === 'wont-go'

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
 * and not into a worse one, and makes no other check of the joint worse; and only as far as such a job goes: past that, or where nothing is
 * on offer for what will not go, a part is exchanged. What takes something off says the least that can do.
 * @param asked every check of the joint; looked at only once a cure is
 * @param slots whose joint it is: what is read of other parts is not theirs to put right
 */
export function vetOf(build: Build, asked: readonly { ask: Ask; checks: readonly Check[] }[], slots: readonly Slot[]): Vet {
  /** Its checks after so much of the plan; those that do not read what it moves are as they were. */
  const after = (plan: Plan): Check[] => {
    const asker = new Asker(onPaper(build, plan))
    return asked.filter((a) => a.checks.some((c) => moves(plan, c.reads))).flatMap((a) => asker.judge(a.ask))
  }
  const all = () => asked.flatMap((a) => a.checks)
  const helps = (check: Check, { plan }: Cure): boolean => {
    if (!plan) return true
    if (!canBeDone(build, plan)) return false
    const then = after(plan)
    const now = then.find((c) => c.id === check.id)
    return now !== undefined && now.raw.verdict !== 'wont-go' && now.raw.verdict !== check.raw.verdict && !harms(all(), then)
  }
  const some = (check: Check, plan: Plan, share: number): Check | undefined => {
    const scaled = (effect: JobEffect): JobEffect => ({ ...effect, delta: effect.delta * share })
    const part: Plan = { ...plan, delta: plan.delta * share, ...(plan.also ? { also: plan.also.map(scaled) } : {}) }
    if (share > 1 && !canBeDone(build, part)) return undefined
    const then = after(part)
    return harms(all(), then) ? undefined : then.find((c) => c.id === check.id)
  }
  const measured = (check: Check, cure: Cure): Cure => {
    const plan = cutOf(cure)
    if (!plan) return cure
    let cut: { limits: CutLimits | undefined } | undefined
    // Twenty more trials on paper: for who looks at this one cure, not for who sends or copies it.
    return Object.defineProperty({ ...cure }, 'cut', {
      enumerable: false,
      get: () => (cut ??= { limits: cutLimits(plan, (share) => some(check, plan, share)) }).limits,
    })
  }
  return (check, offered, otherReads) => {
    const tooFar = (cure: Cure) => cure.plan && beyondReach(cure.plan)
    const done = firstOf(offered.filter((cure) => !tooFar(cure) && helps(check, cure))).map((cure) => measured(check, cure))
    const over = offered.map(tooFar).find((o) => o !== undefined)
    const hopeless = over ?? (check.raw.verdict === 'wont-go' && !check.supposed)
    return done.length || !hopeless ? done : exchange(build, check.reads, over, slots, otherReads())
  }
}
