import type { Build, Decision } from '../document/build'
import type { Change } from '../document/change'
import { asJson } from '../document/change'
import { setField } from '../document/changes'
import { daysBetween } from '../quantity/days'
import type { PlanResult } from './planResult'

/** Within so many days a decision presses. [ours] */
const SOON = 7

export interface OpenDecision extends Decision {
  id: string
  /** The step before which it has to be taken, by name, and its day. */
  binds?: { title: string; date?: string }
  /** Open, soon to be taken, taken, or overtaken: its step is done and nobody chose. */
  state: 'open' | 'soon' | 'chosen' | 'overtaken'
}

const RANK = { overtaken: 0, soon: 1, open: 2, chosen: 3 } as const

/** What is still to be decided, what presses first; what was decided last, with its reason. */
export function decisionsOf(build: Build, plan: PlanResult): OpenDecision[] {
  return Object.entries(build.plan?.decisions ?? {})
    .map(([id, d]): OpenDecision => {
      const step = plan.steps.find((s) => s.id === d.before)
      const binds = step ? { title: step.title, ...(step.date ? { date: step.date } : {}) } : undefined
      const done = d.before !== undefined && build.steps[d.before] !== undefined
      const soon = step?.date !== undefined && daysBetween(plan.from, step.date) <= SOON
      return { id, ...d, ...(binds ? { binds } : {}), state: d.chosen ? 'chosen' : done ? 'overtaken' : soon ? 'soon' : 'open' }
    })
    .toSorted((a, b) => RANK[a.state] - RANK[b.state] || (a.binds?.date ?? '9').localeCompare(b.binds?.date ?? '9'))
}

/** Writes a decision down or changes it. */
export function setDecision(build: Build, id: string, decision: Decision): Change {
  const all = { ...build.plan?.decisions, [id]: decision }
  const label = decision.chosen ? `Decided: ${decision.chosen}` : `To decide: ${decision.question}`
  return setField(build, ['plan'], asJson({ ...build.plan, decisions: all }), label.slice(0, 120))
}
