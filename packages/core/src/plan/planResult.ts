import type { Build } from '../document/build'
import { addDays, daysBetween, weekday } from '../quantity/days'
import { inOrder, tails } from './order'
import type { PlannedStep, Step } from './step'

export interface PlanResult {
  /** The day it is reckoned from. */
  from: string
  /** In the order they are worked in: done ones first, then by day. */
  steps: PlannedStep[]
  /** Next steps whose befores are all done, in order. */
  ready: string[]
  /** Day the last step is done when worked in order from `today`. */
  ends?: string
  /** That day is a bound: these open steps wait for what nobody has a day for. */
  undated: string[]
  minutesLeft: number
}

/** Hours of an evening that a wait is weighed against where no evening is free at all, minutes. [ours] */
const SOME_EVENING = 90

/**
 * The steps with their state and a date for each: worked on the person's evenings, the one that starts the longest wait first; parcels and
 * drying waited for. Done steps take no time. [ours: serial schedule, longest tail first]
 * @param today ISO date
 */
export function planResult(build: Build, steps: readonly Step[], today: string): PlanResult {
  const done = (id: string) => build.steps[id]?.done
  const known = new Set(steps.map((s) => s.id))
  const free = build.evenings.filter((m) => m > 0)
  const evening = free.length ? free.reduce((s, m) => s + m, 0) / build.evenings.length : SOME_EVENING
  const ordered = inOrder(steps, tails(steps, evening))
  const overAt = new Map(steps.flatMap((s) => (done(s.id) ? [[s.id, overOn(s, done(s.id)!)]] : [])))
  const planned: PlannedStep[] = ordered.map((s) => {
    const open = s.befores.filter((b) => !done(b.id) && known.has(b.id))
    const at = done(s.id)
    const dries = latest(
      today,
      s.befores.reduce((d, b) => latest(d, overAt.get(b.id) ?? today), today),
    )
    const waiting = dries > today || s.undated === 'on its way' || (s.notBefore !== undefined && s.notBefore > today)
    return {
      ...s,
      open,
      state: at ? 'done' : open.length ? 'blocked' : waiting ? 'waiting' : 'ready',
      ...(at ? { done: at } : dries > today ? { dries } : {}),
    }
  })
  layOut(build, planned, today)
  const left = planned.filter((s) => s.state !== 'done')
  const ends = left.reduce<string | undefined>((d, s) => (s.clear && (!d || s.clear > d) ? s.clear : d), undefined)
  const byDay = planned
    .map((s, i) => ({ s, i }))
    .toSorted((a, b) => when(a.s).localeCompare(when(b.s)) || a.i - b.i)
    .map(({ s }) => s)
  return {
    from: today,
    steps: byDay,
    ready: byDay.filter((s) => s.state === 'ready').map((s) => s.id),
    ...(ends ? { ends } : {}),
    undated: left.filter((s) => s.undated).map((s) => s.id),
    minutesLeft: left.reduce((m, s) => m + s.minutes, 0),
  }
}

/** The day its wait is over, counted from when it was done. */
const overOn = (s: Step, done: string): string => addDays(done.slice(0, 10), Math.ceil(s.wait / MINUTES_A_DAY))

/** What is done lies behind everything; what has no day stands where its order puts it, after what has one. */
const when = (s: PlannedStep): string => (s.state === 'done' ? '' : (s.date ?? '9'))

const MINUTES_A_DAY = 24 * 60
const HORIZON = 730

/** Gives each open step the first evenings with time left after everything before it is done and dry. */
function layOut(build: Build, planned: PlannedStep[], today: string): void {
  const bound = new Set<string>()
  for (const s of planned)
    if (s.state !== 'done' && (s.undated || s.befores.some((b) => bound.has(b.id)))) {
      bound.add(s.id)
      s.atEarliest = true
    }
  if (!build.evenings.some((m) => m > 0)) return
  const used = new Map<string, number>()
  const clear = new Map<string, string>()
  for (const s of planned) {
    if (s.state === 'done') {
      clear.set(s.id, latest(today, overOn(s, s.done!)))
      continue
    }
    const day = latest(
      s.befores.reduce((d, b) => latest(d, clear.get(b.id) ?? d), today),
      s.notBefore ?? today,
    )
    if (s.calendar) {
      const late = Math.max(0, daysBetween(s.calendar.from, day))
      s.date = addDays(s.calendar.from, late)
      s.clear = addDays(s.calendar.to, late)
    } else work(s, addDays(day, s.rest ?? 0))
    clear.set(s.id, s.clear!)
  }

  function work(s: PlannedStep, from: string) {
    let left = s.minutes
    let day = from
    for (let looked = 0; looked < HORIZON; looked++) {
      const free = minutesOn(build, day) - (used.get(day) ?? 0)
      if (free > 0) {
        const take = Math.min(free, left)
        s.date ??= day
        used.set(day, (used.get(day) ?? 0) + take)
        left -= take
        if (left <= 0) break
      }
      day = addDays(day, 1)
    }
    s.date ??= from
    s.clear = addDays(day, Math.ceil(s.wait / MINUTES_A_DAY))
  }
}

/** Minutes at the bench on a day: none on a day off. */
export const minutesOn = (build: Build, day: string): number =>
  build.plan?.daysOff?.includes(day) ? 0 : (build.evenings[weekday(day)] ?? 0)

const latest = (a: string, b: string): string => (a > b ? a : b)
