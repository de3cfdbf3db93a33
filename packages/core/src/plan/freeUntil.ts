import type { Build } from '../document/build'
import { addDays } from '../quantity/days'
import { planResult } from './planResult'
import type { Step } from './step'

/** Looked so many days ahead, a power of two. */
const AHEAD = 256

/**
 * For each parcel nobody has a day for, the last day it may come on without moving the end: counted with all else as it is planned, the
 * others of them as here today. None where every day it takes moves it.
 */
export function freeUntil(build: Build, steps: readonly Step[], today: string): Record<string, string> {
  const open = steps.filter((s) => s.undated && !build.steps[s.id])
  const { ends } = planResult(build, steps, today)
  const endsWith = (id: string, notBefore: string) =>
    planResult(
      build,
      steps.map((s) => (s.id === id ? { ...s, notBefore } : s)),
      today,
    ).ends
  return Object.fromEntries(
    open.flatMap(({ id }) => {
      let free = 0
      // A later day never ends sooner: the last that does no harm is found by halves.
      for (let half = AHEAD; half >= 1; half /= 2) if (endsWith(id, addDays(today, free + half)) === ends) free += half
      return free ? [[id, addDays(today, free)] as const] : []
    }),
  )
}
