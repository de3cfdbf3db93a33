import { newBuild, type Build } from '../document/build'
import { USUAL_BENCH, type Bench } from '../drill/bench'
import type { Station } from '../document/station'
import type { Step } from '../plan/step'
import { computed, type Remember } from '../document/remember'
import type { Contribution } from '../stations/contribution'
import { CONTRIBUTIONS, type Results } from '../stations/list'

/** What every station shows, computed from a build. Nothing of it is ever stored. */
export interface Evaluation extends Results {
  /** Stations that could not be worked out, and the words of what went wrong. What stands in their place is of an empty build. */
  failed: Partial<Record<Station, string>>
}

const IN_ORDER_OF_WORK = Object.entries(CONTRIBUTIONS) as [Station, Contribution<unknown>][]

/**
 * Computes all stations; one that fails takes only those with it that stand on its steps.
 * @param today ISO date, because the plan starts there
 * @param remember keeps what was computed before; nothing is kept without it
 * @param bench the tools of the person who builds it
 * @param ready told of each station as soon as it is worked out
 */
export function evaluate(
  build: Build,
  today: string,
  remember: Remember = computed,
  bench: Bench = USUAL_BENCH,
  ready?: (station: Station, result: unknown) => void,
): Evaluation {
  const empty = newBuild({ name: 'empty', handedness: build.handedness, strings: 6, scale: 648 }, today)
  const failed: Evaluation['failed'] = {}
  const results: Partial<Record<Station, unknown>> = {}
  const steps: Step[] = []
  let broken: string | undefined
  for (const [station, c] of IN_ORDER_OF_WORK) {
    try {
      if (c.fromSteps && broken) failed[station] = broken
      else {
        results[station] = c.result(build, today, steps, remember, bench)
        if (!broken) add(steps, c.steps?.(build, results[station], steps, today) ?? [])
      }
    } catch (e) {
      failed[station] = e instanceof Error ? `${e.name}: ${e.message}` : String(e)
      if (c.steps) broken ??= `It stands on ${station}: ${failed[station]}`
    }
    if (failed[station] !== undefined) results[station] = c.result(empty, today, [], computed, bench)
    else ready?.(station, results[station])
  }
  return { ...(results as unknown as Results), failed }
}

/** Adds steps and takes out those of before that one of them stands for. */
function add(steps: Step[], more: readonly Step[]): void {
  const replaced = new Set(more.flatMap((s) => s.insteadOf ?? []))
  const stay = steps.filter((s) => !replaced.has(s.id))
  steps.splice(0, steps.length, ...stay, ...more)
}
