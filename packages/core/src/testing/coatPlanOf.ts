import type { Build } from '../document/build'
import { coatPlan, type CoatPlan } from '../finish/schedule'

/** The calendar of a build that can have one. */
export function planOf(build: Build): CoatPlan {
  const calendar = coatPlan(build)
  if (!calendar.ok) throw new Error(calendar.why)
  return calendar.plan
}
