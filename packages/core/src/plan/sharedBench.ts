import type { Build } from '../document/build'
import { daysBetween } from '../quantity/days'
import { Diary } from './diary'
import { tails } from './order'
import { newLaying, planResult, resultOf, withStates, type PlanResult } from './planResult'
import type { Step } from './step'

/** A build on the bench, with its steps. */
export interface OnBench {
  id: string
  build: Build
  steps: readonly Step[]
}

export interface Shared {
  id: string
  name: string
  due?: string
  /** On a bench of its own. */
  alone?: string
  /** Beside the others. */
  ends?: string
  /** Days that the others cost it. */
  later: number
  late: number
  plan: PlanResult
}

/** What nobody promised can wait for what somebody did, days. [ours] */
const SOME_DAY = 3650
/** A bench evening, for weighing waits against hands, where no build has one, minutes. [ours] */
const SOME_EVENING = 90

/**
 * Several builds on one bench, with one person's evenings: of the steps that come next in each, the one with the least slack to its own
 * promised day is given hands first. [ours: list schedule by least slack]
 */
export function sharedBench(builds: readonly OnBench[], today: string): Shared[] {
  const diary = new Diary(builds.map((b) => b.build))
  const queues = builds.map((b) => {
    const planned = withStates(b.build, b.steps, today)
    const tail = tails(b.steps, SOME_EVENING)
    const left = b.build.due === undefined ? SOME_DAY : daysBetween(today, b.build.due)
    return { ...b, planned, at: 0, slack: (i: number) => left - tail.get(planned[i]!.id)!, lay: newLaying(b.build, planned, today, diary) }
  })
  for (;;) {
    const open = queues.filter((q) => q.at < q.planned.length)
    if (!open.length) break
    const next = open.reduce((a, b) => (b.slack(b.at) < a.slack(a.at) ? b : a))
    next.lay(next.planned[next.at++]!)
  }
  return queues.map((q) => {
    const plan = resultOf(q.planned, today)
    const alone = planResult(q.build, q.steps, today).ends
    const { due, name } = q.build
    return {
      id: q.id,
      name,
      ...(due === undefined ? {} : { due }),
      ...(alone === undefined ? {} : { alone }),
      ...(plan.ends === undefined ? {} : { ends: plan.ends }),
      later: alone && plan.ends ? Math.max(0, daysBetween(alone, plan.ends)) : 0,
      late: due && plan.ends ? Math.max(0, daysBetween(due, plan.ends)) : 0,
      plan,
    }
  })
}
