import type { Build } from '../document/build'
import { dice } from '../quantity/dice'
import { addDays, daysBetween, sayDay } from '../quantity/days'
import { freeUntil } from './freeUntil'
import { triangular } from './network'
import { planResult } from './planResult'
import type { Step } from './step'

/** Where nobody said, hands take from so much to so much of what is likely. [ours] */
const USUAL = { low: 0.7, high: 1.8 }
/** A parcel comes at most so many days after the day it was promised for, the first of them the likeliest. [ours] */
const SLIP = 6
/** Days a parcel slips that is so many days late already: what may still be of the triangle. */
const slipped = (late: number, u: number): number => SLIP - (SLIP - late) * Math.sqrt(1 - u)

export interface Forecast {
  /** Day by which one, five and nine runs in ten are done. */
  early: string
  middle: string
  late: string
  /** Chance that it is done on the promised day. */
  chance?: number
  /** How many runs end on each day. */
  days: { day: string; runs: number }[]
  runs: number
  /** All of it is a bound: some of what it waits for has no day. */
  atEarliest: boolean
  /** Parcels nobody has a day for: the last day each may come on without moving the end, where there is one. */
  freeUntil: Record<string, string>
}

/**
 * The day all is done if hands take what they take and parcels slip as they do: worked through many times. A part nobody has a day for,
 * or that is later than any, counts as here today, which makes all of it a bound.
 */
export function forecast(build: Build, steps: readonly Step[], today: string, runs = 400, seed = 1): Forecast | undefined {
  const roll = dice(seed)
  const ends: string[] = []
  for (let run = 0; run < runs; run++) {
    // All that comes in one parcel comes on one day.
    const slips = new Map<string, number>()
    const comes = (s: Step, promised: string): string => {
      const parcel = parcelOf(build, s)
      const so = slips.get(parcel) ?? Math.round(slipped(Math.max(0, daysBetween(promised, today)), roll()))
      slips.set(parcel, so)
      return addDays(promised, so)
    }
    const drawn = steps.map((s): Step => {
      const [low, high] = s.times ?? [USUAL.low * s.minutes, USUAL.high * s.minutes]
      const minutes = triangular([Math.min(low, s.minutes), s.minutes, Math.max(high, s.minutes)], roll())
      const promised = s.stage === 'parcel' ? dayOf(s, today) : undefined
      if (!promised) return { ...s, minutes }
      const { undated: _, ...dated } = s
      return { ...dated, minutes, notBefore: comes(s, promised) }
    })
    const { ends: end } = planResult(build, drawn, today)
    if (end === undefined) return undefined
    ends.push(end)
  }
  ends.sort()
  const at = (share: number) => ends[Math.min(ends.length - 1, Math.floor(share * ends.length))]!
  const count = new Map<string, number>()
  for (const e of ends) count.set(e, (count.get(e) ?? 0) + 1)
  const days = Array.from({ length: daysBetween(ends[0]!, ends.at(-1)!) + 1 }, (_, i) => {
    const day = addDays(ends[0]!, i)
    return { day, runs: count.get(day) ?? 0 }
  })
  return {
    early: at(0.1),
    middle: at(0.5),
    late: at(0.9),
    ...(build.due ? { chance: ends.filter((e) => e <= build.due!).length / ends.length } : {}),
    days,
    runs,
    freeUntil: freeUntil(build, steps, today),
    atEarliest: steps.some((s) => s.undated && !dayOf(s, today) && !build.steps[s.id]),
  }
}

/** The day a parcel was promised for; none once it is later than any: then nobody knows. */
const dayOf = (s: Step, today: string): string | undefined =>
  s.notBefore ?? (s.promised && daysBetween(s.promised, today) < SLIP ? s.promised : undefined)

/** A parcel is what one seller sends for one day; what has no seller comes alone. */
const parcelOf = (build: Build, s: Step): string => {
  const seller = s.slot && build.parts[s.slot]?.seller
  return seller ? `${seller} ${s.notBefore ?? s.promised}` : s.id
}

/** The same in a sentence. */
export function forecastSays(f: Forecast, due: string | undefined): string {
  const bound = f.atEarliest ? ' at the earliest: some parts have no day yet' : ''
  const odds = due === undefined || f.chance === undefined ? '' : ` Done by ${sayDay(due)}: ${Math.round(100 * f.chance)} in a hundred.`
  return `${f.early === f.late ? `Done ${sayDay(f.early)}` : `Done between ${sayDay(f.early)} and ${sayDay(f.late)}, as likely before as after ${sayDay(f.middle)}`}${bound}.${odds}`
}
