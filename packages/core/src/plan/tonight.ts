import type { Build } from '../document/build'
import { daysBetween } from '../quantity/days'
import { beginsOn, loudBetween } from './hours'
import { planResult } from './planResult'
import type { StepNeed, PlannedStep, Step } from './step'

export interface Tonight {
  /** In the order they are done. */
  steps: PlannedStep[]
  minutes: number
  /** Days the end comes nearer by them, against an evening without the bench. */
  gains: number
  /** Easy ones to begin with: quick and without a caution. */
  opener?: string
}

const RANK: Record<StepNeed, number> = { must: 100, should: 10, later: 1 }
/** Most sets that are weighed; beyond that the best so far stands. [ours] */
const MOST_SETS = 3000
/** What is ordered tonight is on its way while nobody works: worth so many minutes of hands. [ours] */
const ORDERING = 60
const isToOrder = (s: Step): boolean => s.undated === 'not ordered'
/** Only so many of the best are weighed by the whole plan. [ours] */
const WEIGHED = 12

/**
 * What to do tonight: whole steps that are ready, or become ready by those before them in the set, that fit the minutes. The best set is
 * the one that brings the end nearest, then the one with more musts and orders, then the fullest. [ours]
 * @param from minute of the day it begins
 */
export function tonight(build: Build, steps: readonly Step[], today: string, minutes: number, from = beginsOn(build, today)): Tonight {
  const plan = planResult(build, steps, today)
  const open = new Map(plan.steps.filter((s) => s.state !== 'done').map((s) => [s.id, s]))
  // Hands that come on another day are not here tonight.
  const booked = (s: PlannedStep) => (build.plan?.booked?.[s.id]?.on ?? today) !== today
  const waits = (s: PlannedStep, done: ReadonlySet<string>) => s.open.some((b) => open.has(b.id) && !done.has(b.id))
  // What dries, comes by post or hardens first is not for tonight, nor is what stands on it; what is ordered tonight is not here tonight.
  // What has its hours comes first: machines before the quiet, cuts before the hour after which nothing final is begun.
  const early = (s: PlannedStep) => (isToOrder(s) ? 0 : s.noisy ? 1 : s.final ? 2 : 3)
  const possible = [...open.values()]
    .filter((s) => s.state !== 'waiting' && !s.calendar && !s.rest && !booked(s) && s.minutes <= minutes)
    .toSorted((a, b) => early(a) - early(b))
  const loud = loudBetween(build, from, from + minutes)
  const tooLate = (s: PlannedStep, at: number) =>
    (s.noisy && (at < loud.from || at + s.minutes > loud.to)) || (s.final && at >= (build.plan?.cutOff ?? Infinity))
  const sets: PlannedStep[][] = []
  const grow = (chosen: PlannedStep[], done: Set<string>, left: number, firstOf: number) => {
    if (sets.length >= MOST_SETS) return
    let grew = false
    for (let i = 0; i < possible.length; i++) {
      const s = possible[i]!
      if (done.has(s.id) || s.minutes > left || waits(s, done) || tooLate(s, from + minutes - left)) continue
      if (chosen.some((c) => (c.wait > 0 || isToOrder(c)) && s.open.some((b) => b.id === c.id))) continue
      // One set is weighed once: what was ready all along is taken in its order only.
      if (i < firstOf && !s.open.some((b) => b.id === chosen.at(-1)?.id)) continue
      grew = true
      grow([...chosen, s], new Set(done).add(s.id), left - s.minutes, i + 1)
    }
    if (!grew && chosen.length) sets.push(chosen)
  }
  grow([], new Set(), minutes, 0)
  const worth = (set: readonly PlannedStep[]) => set.reduce((sum, s) => sum + RANK[s.need] * (isToOrder(s) ? ORDERING : s.minutes), 0)
  const best = sets.toSorted((a, b) => worth(b) - worth(a)).slice(0, WEIGHED)
  const without = planResult({ ...build, plan: { ...build.plan, daysOff: [...(build.plan?.daysOff ?? []), today] } }, steps, today).ends
  const weighed = best.map((set) => {
    const ticked = Object.fromEntries(set.map((s) => [s.id, { done: today }]))
    const off = { ...build.plan, daysOff: [...(build.plan?.daysOff ?? []), today] }
    const { ends } = planResult({ ...build, plan: off, steps: { ...build.steps, ...ticked } }, steps, today)
    return { set, gains: without ? Math.max(0, daysBetween(ends ?? today, without)) : 0, worth: worth(set) }
  })
  const [first] = weighed.toSorted((a, b) => b.gains - a.gains || b.worth - a.worth)
  if (!first) return { steps: [], minutes: 0, gains: 0 }
  const easy = first.set.filter((s) => !s.cautions.length && !s.open.length && !s.final).toSorted((a, b) => a.minutes - b.minutes)[0]
  return {
    steps: first.set,
    minutes: first.set.reduce((sum, s) => sum + s.minutes, 0),
    gains: first.gains,
    ...(easy ? { opener: easy.id } : {}),
  }
}
