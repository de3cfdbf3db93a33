import type { Build } from '../document/build'
import { addDays, daysBetween, weekday } from '../quantity/days'
import type { PlannedStep, Step } from './step'

export interface PlanResult {
  steps: PlannedStep[]
  /** Next steps whose befores are all done, in order. */
  ready: string[]
  /** Day the last step is done when worked in order from `today`. */
  ends?: string
  minutesLeft: number
}

/**
 * The steps with their state and a date for each: worked in order on the person's evenings, parcels and drying
 * waited for. Done steps take no time.
 * @param today ISO date
 */
export function planResult(build: Build, steps: readonly Step[], today: string): PlanResult {
  const done = (id: string) => build.steps[id]?.done
  const known = new Set(steps.map((s) => s.id))
  const planned: PlannedStep[] = steps.map((s) => {
    const open = s.befores.filter((b) => !done(b.id) && known.has(b.id))
    const at = done(s.id)
    const late = s.notBefore !== undefined && s.notBefore > today
    return { ...s, open, state: at ? 'done' : open.length ? 'blocked' : late ? 'waiting' : 'ready', ...(at ? { done: at } : {}) }
  })
  layOut(build, planned, today)
  const left = planned.filter((s) => s.state !== 'done')
  const ends = left.reduce<string | undefined>((d, s) => (s.clear && (!d || s.clear > d) ? s.clear : d), undefined)
  return {
    steps: planned,
    ready: planned.filter((s) => s.state === 'ready').map((s) => s.id),
    ...(ends ? { ends } : {}),
    minutesLeft: left.reduce((m, s) => m + s.minutes, 0),
  }
}

const MINUTES_A_DAY = 24 * 60
const HORIZON = 730

/** Gives each open step the first evenings with time left after everything before it is done and dry. */
function layOut(build: Build, planned: PlannedStep[], today: string): void {
  if (!build.evenings.some((m) => m > 0)) return
  const used = new Map<string, number>()
  const clear = new Map<string, string>()
  for (const s of planned) {
    if (s.state === 'done') {
      clear.set(s.id, today)
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
      const free = (build.evenings[weekday(day)] ?? 0) - (used.get(day) ?? 0)
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

const latest = (a: string, b: string) => (a > b ? a : b)
