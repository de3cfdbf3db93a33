import { runSheet } from '../../plan/runSheet'
import { atPace } from '../../plan/pace'
import { planResult, type PlanResult } from '../../plan/planResult'
import { sayDay } from '../../quantity/days'
import type { Contribution } from '../contribution'

/** Plan: the steps of all stations on the person's evenings. */
export const plan: Contribution<PlanResult> = {
  fromSteps: true,
  result: (build, today, steps) => planResult(build, atPace(build, steps), today),
  things: (_, { steps }) => steps.map((s) => ({ id: s.id, title: s.title })),
  count: (_, { ready }) => ready.length,
  sheets: (build, result) => (result.steps.length ? [runSheet(build, result)] : []),
  moved: (before, after) => (before.ends !== after.ends && after.ends ? [`plan ends ${sayDay(after.ends)}`] : []),
}
