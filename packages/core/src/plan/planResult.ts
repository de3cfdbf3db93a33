import type { Build } from '../document/build'
import { addDays, daysBetween } from '../quantity/days'
import { Diary, type From } from './diary'
import { askedFor, isLeftOut } from './leftOut'
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
  /** What this job does not ask for: none of it stands among the steps. */
  leftOut: Pick<Step, 'id' | 'title'>[]
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
  const planned = withStates(build, steps, today)
  layOut(build, planned, today, new Diary([build]))
  const leftOut = steps.filter((s) => isLeftOut(build, s.id)).map(({ id, title }) => ({ id, title }))
  return resultOf(planned, today, leftOut)
}

/** The steps this job asks for in the order they are worked, each with what stands before it; without a day as yet. */
export function withStates(build: Build, all: readonly Step[], today: string): PlannedStep[] {
  const steps = askedFor(build, all)
  const done = (id: string) => build.steps[id]?.done
  const known = new Set(steps.map((s) => s.id))
  const free = build.evenings.filter((m) => m > 0)
  const evening = free.length ? free.reduce((s, m) => s + m, 0) / build.evenings.length : SOME_EVENING
  const overAt = new Map(steps.flatMap((s) => (done(s.id) ? [[s.id, overOn(s, done(s.id)!)]] : [])))
  return inOrder(steps, tails(steps, evening)).map((s) => {
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
}

/** What all of it comes to. */
export function resultOf(planned: readonly PlannedStep[], today: string, leftOut: PlanResult['leftOut'] = []): PlanResult {
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
    leftOut,
    minutesLeft: left.reduce((m, s) => m + s.minutes, 0),
  }
}

/** The day its wait is over, counted from when it was done. */
const overOn = (s: Step, done: string): string => addDays(done.slice(0, 10), Math.ceil(s.wait / MINUTES_A_DAY))

/** What is done lies behind everything; what has no day stands where its order puts it, after what has one. */
const when = (s: PlannedStep): string => (s.state === 'done' ? '' : (s.date ?? '9'))

const MINUTES_A_DAY = 24 * 60
/** Gives each open step the first evenings with time left after everything before it is done and dry. */
function layOut(build: Build, planned: readonly PlannedStep[], today: string, diary: Diary): void {
  const lay = newLaying(build, planned, today, diary)
  for (const s of planned) lay(s)
}

/** The same a step at a time, in their order, for a bench that others work at too. */
export function newLaying(build: Build, planned: readonly PlannedStep[], today: string, diary: Diary): (s: PlannedStep) => void {
  const bound = new Set<string>()
  for (const s of planned)
    if (s.state !== 'done' && (s.undated || s.befores.some((b) => bound.has(b.id)))) {
      bound.add(s.id)
      s.atEarliest = true
    }
  const ends = new Map<string, From>()
  return (s) => {
    if (!diary.open) return
    if (s.state === 'done') ends.set(s.id, { day: latest(today, overOn(s, s.done!)), clock: 0 })
    else layOne(build, s, today, diary, ends)
  }
}

function layOne(build: Build, s: PlannedStep, today: string, diary: Diary, ends: Map<string, From>): void {
  const behind = s.befores.reduce((at, b) => later(at, ends.get(b.id) ?? at), { day: today, clock: 0 })
  const from = later(behind, { day: addDays(latest(behind.day, s.notBefore ?? today), s.rest ?? 0), clock: 0 })
  const booked = build.plan?.booked?.[s.id]
  if (s.calendar) {
    const late = Math.max(0, daysBetween(s.calendar.from, from.day))
    s.date = addDays(s.calendar.from, late)
    s.clear = addDays(s.calendar.to, late)
    ends.set(s.id, { day: s.clear, clock: 0 })
    return
  }
  if (booked && booked.on >= from.day) {
    // Hands that come on a day come on that day, whatever else was meant for it.
    s.date = booked.on
    s.clear = addDays(booked.on, Math.ceil(s.wait / MINUTES_A_DAY))
    ends.set(s.id, { day: s.clear, clock: 0 })
    return
  }
  if (booked) s.missed = true
  const worked = diary.work(build, s, from)
  s.date = worked.first
  s.clear = addDays(worked.last, Math.ceil(s.wait / MINUTES_A_DAY))
  if (worked.tooLong) s.tooLong = true
  ends.set(s.id, { day: s.clear, clock: s.clear === worked.last ? worked.clock : 0 })
}

const later = (a: From, b: From): From => (a.day > b.day || (a.day === b.day && a.clock >= b.clock) ? a : b)

const latest = (a: string, b: string): string => (a > b ? a : b)
