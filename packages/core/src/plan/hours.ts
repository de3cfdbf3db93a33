import type { Build } from '../document/build'
import { weekday } from '../quantity/days'

/** An evening begins at seven; a Saturday and a Sunday at ten. [ours] */
const EVENING = 19 * 60
const WEEKEND = 10 * 60
const SATURDAY = 5
/** Machines are quiet from eight in the evening to seven in the morning until told otherwise. [ours] */
const QUIET = { from: 20 * 60, to: 7 * 60 }
const DAY = 24 * 60

/** Minutes at the bench on a day: none on a day off. */
export const minutesOn = (build: Build, day: string): number =>
  build.plan?.daysOff?.includes(day) ? 0 : (build.evenings[weekday(day)] ?? 0)

/** Minute of the day the bench begins. */
export const beginsOn = (build: Build, day: string): number => (weekday(day) >= SATURDAY ? WEEKEND : (build.plan?.begins ?? EVENING))

export const quietHours = (build: Build): { from: number; to: number } => build.plan?.quiet ?? QUIET

/** From which minute to which a machine may run on a day, within the bench's own hours; nothing left where the two never meet. */
export function loudOn(build: Build, day: string): { from: number; to: number } {
  const begins = beginsOn(build, day)
  return loudBetween(build, begins, begins + minutesOn(build, day))
}

/** The same for hours somebody names. */
export function loudBetween(build: Build, begins: number, ends: number): { from: number; to: number } {
  const { from, to } = quietHours(build)
  // Quiet over midnight leaves the middle of the day; quiet within a day, what lies before it, or behind it where the bench begins later.
  if (from >= to) return clipped(begins, ends, to, from)
  return begins < from ? clipped(begins, ends, 0, from) : clipped(begins, ends, to, DAY)
}

const clipped = (begins: number, ends: number, from: number, to: number) => {
  const start = Math.max(begins, from)
  return { from: start, to: Math.max(start, Math.min(ends, to)) }
}

/** The minute by which what cannot be undone has begun; the bench's end where nobody set one. */
export const lastStart = (build: Build, day: string): number => build.plan?.cutOff ?? beginsOn(build, day) + minutesOn(build, day)

/** "20:15", as clocks say it. */
export const sayClock = (minute: number): string =>
  `${String(Math.floor(minute / 60) % 24).padStart(2, '0')}:${String(Math.round(minute) % 60).padStart(2, '0')}`
