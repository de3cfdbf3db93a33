import type { Build } from '../document/build'
import { criticalPath } from './network'
import type { PlannedStep } from './step'

const A_DAY = 24 * 60
const SOME_EVENING = 90

/**
 * How many days each open step may slip without moving the end, hands counted as evenings: a lower bound, since one pair of hands does all.
 * What cannot begin before its day waits for that day as for a step. [published: CPM]
 */
export function criticalFloat(build: Build, steps: readonly PlannedStep[], today: string): { step: PlannedStep; float: number }[] {
  const free = build.evenings.filter((m) => m > 0)
  const evening = free.length ? free.reduce((s, m) => s + m, 0) / build.evenings.length : SOME_EVENING
  const open = steps.filter((s) => s.state !== 'done')
  const days = ({ from, to }: { from: string; to: string }) => (Date.parse(to) - Date.parse(from)) / 86_400_000
  const waits = open.flatMap((s) =>
    s.notBefore && s.notBefore > today ? [{ id: dayOf(s.id), time: days({ from: today, to: s.notBefore }), after: [] }] : [],
  )
  const waited = new Set(waits.map((w) => w.id))
  const { of } = criticalPath([
    ...waits,
    ...open.map((s) => ({
      id: s.id,
      time: s.minutes / evening + s.wait / A_DAY + (s.rest ?? 0) + (s.calendar ? days(s.calendar) : 0),
      after: [...s.befores.map((b) => b.id), ...[dayOf(s.id)].filter((id) => waited.has(id))],
    })),
  ])
  // To a tenth of a day, so that those that are alike keep their order.
  const tenths = (id: string) => Math.round(10 * of.get(id)!.float)
  return open.map((step) => ({ step, float: tenths(step.id) / 10 })).toSorted((a, b) => a.float - b.float)
}

/** The day a step waits for, as a step of its own. */
const dayOf = (id: string): string => `day of ${id}`
