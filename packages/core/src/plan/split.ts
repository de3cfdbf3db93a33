import type { Build } from '../document/build'
import { daysBetween, sayDay } from '../quantity/days'
import { applyChange } from '../document/change'
import { leaveOut, mayBeLeftOut } from './leftOut'
import type { PlanResult } from './planResult'
import type { StepNeed, PlannedStep } from './step'

export interface Split {
  /** Open steps that have to be done, in their order. */
  must: PlannedStep[]
  /** Open steps that can wait, with what the instrument lacks meanwhile. */
  wait: { step: PlannedStep; fault: string }[]
  /** When the musts are done. */
  ends?: string
  /** Days too late even so. */
  late: number
  says: string
}

const LACKS: Record<Exclude<StepNeed, 'must'>, string> = { should: 'known fault until it is done', later: 'left for later' }
const days = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`

/**
 * What to leave so that the promised day is kept: first what can come later, then what should be. Musts, waits and safety are never shortened
 * for a date. Nothing where no day is promised.
 * @param planOf the plan of this build, and of it with some steps left out: coats go on sooner where less stands before them
 */
export function splitBy(build: Build, planOf: (build: Build) => PlanResult): Split | undefined {
  const { due } = build
  if (!due) return undefined
  const whole = planOf(build)
  // Left out just as it is by whoever leaves it: told and done are one.
  const kept = (drop: readonly StepNeed[]) => {
    const gone = whole.steps.filter((s) => s.state !== 'done' && drop.includes(s.need) && mayBeLeftOut(s))
    const left = gone.length ? applyChange(build, leaveOut(build, gone, whole.from)) : build
    return { gone: new Set(gone.map((s) => s.id)), plan: planOf(left) }
  }
  const open = whole.steps.filter((s) => s.state !== 'done')
  const tries: StepNeed[][] = [[], ['later'], ['later', 'should']]
  const found = tries.map(kept)
  const fits = found.findIndex(({ plan }) => plan.ends === undefined || plan.ends <= due)
  const { gone, plan } = found[fits < 0 ? 2 : fits]!
  const wait = open.filter((s) => gone.has(s.id)).map((s) => ({ step: s, fault: LACKS[s.need as 'should' | 'later'] }))
  const late = plan.ends && plan.ends > due ? daysBetween(due, plan.ends) : 0
  const spare = plan.ends ? daysBetween(plan.ends, due) : 0
  const bound = plan.undated.length ? ' at the earliest: some parts have no day' : ''
  return {
    must: open.filter((s) => !gone.has(s.id)),
    wait,
    ...(plan.ends ? { ends: plan.ends } : {}),
    late,
    says: late
      ? `Even with only what must be done it is ${days(late)} late${bound}: ${sayDay(plan.ends!)}. Waits and safety are not shortened; say a later day.`
      : wait.length
        ? `All of it would end ${sayDay(whole.ends!)}. Leaving ${wait.length} ${wait.length === 1 ? 'step' : 'steps'} for later keeps the day, done ${sayDay(plan.ends!)}${bound}.`
        : `All of it is done ${plan.ends ? sayDay(plan.ends) : 'already'}, ${days(spare)} before the day${bound}.`,
  }
}
