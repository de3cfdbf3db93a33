import type { Build } from '../document/build'
import { addDays } from '../quantity/days'
import { beginsOn, lastStart, loudOn, minutesOn } from './hours'
import type { Step } from './step'

/** How far ahead an evening is sought, days. */
const HORIZON = 730

/** When a step is worked: its first day, its last, and the minute of that day it is done by. */
export interface Worked {
  first: string
  last: string
  clock: number
  tooLong?: true
}

/** Where what stands before a step ends: the day, and the minute of that day. */
export interface From {
  day: string
  clock: number
}

/**
 * The evenings with what is on them already. Hands take a day's minutes one after the other; a machine takes of the loud ones, which are worked
 * first. [ours: an evening is filled, not drawn to the minute]
 */
export class Diary {
  private readonly used = new Map<string, number>()
  private readonly loud = new Map<string, number>()

  constructor(private readonly builds: readonly Build[]) {}

  /** What is left of a day for one of the builds: its own evening, less what all of them took. */
  private left = (build: Build, day: string) => minutesOn(build, day) - (this.used.get(day) ?? 0)

  /** Is there any evening to work on at all? */
  get open(): boolean {
    return this.builds.some((b) => b.evenings.some((m) => m > 0))
  }

  /** Gives a step the first minutes it can have. */
  work(build: Build, step: Step, from: From): Worked {
    const need = step.minutes
    const longest = Math.max(...build.evenings, 0)
    const inOneGo = step.whole === true && need <= longest
    let left = need
    let first: string | undefined
    let day = from.day
    let clock = 0
    for (let looked = 0; looked < HORIZON; looked++, day = addDays(day, 1)) {
      const free = this.room(build, step, day, from)
      if (free <= 0 || (inOneGo && free < need)) continue
      const take = Math.min(free, left)
      clock = this.take(build, step, day, take)
      first ??= day
      left -= take
      if (left <= 0) break
    }
    return { first: first ?? from.day, last: day, clock, ...(step.whole && need > longest ? { tooLong: true as const } : {}) }
  }

  /** Minutes of a day this step could have: within its hours, behind what it waits for that same day. */
  private room(build: Build, step: Step, day: string, from: From): number {
    const free = this.left(build, day)
    if (free <= 0) return 0
    const begins = beginsOn(build, day)
    const behind = day === from.day ? Math.max(begins, from.clock) : begins
    const ends = begins + minutesOn(build, day)
    if (step.noisy) {
      const { from: opens, to } = loudOn(build, day)
      return Math.min(free, to - Math.max(opens, behind, opens + (this.loud.get(day) ?? 0)))
    }
    const at = Math.max(behind, begins + (this.used.get(day) ?? 0))
    // What cannot be undone is begun in time, or on another evening.
    if (step.final && at >= lastStart(build, day)) return 0
    return Math.min(free, ends - behind)
  }

  private take(build: Build, step: Step, day: string, minutes: number): number {
    const so = this.used.get(day) ?? 0
    this.used.set(day, so + minutes)
    if (step.noisy) this.loud.set(day, (this.loud.get(day) ?? 0) + minutes)
    return beginsOn(build, day) + (step.noisy ? this.loud.get(day)! : so + minutes)
  }
}
