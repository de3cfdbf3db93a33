import type { Build } from '../document/build'
import { spending } from '../parts/spending'
import { addDays, daysBetween } from '../quantity/days'
import { planResult } from './planResult'
import type { Step } from './step'

/** A way out when a part is late or wrong. [practice; days and minutes ours, to be said otherwise] */
export interface SettleWay {
  id: string
  label: string
  /** Days until it can be gone on with, and minutes of hands it takes. */
  days: number
  minutes: number
  /** What it costs more, in the build's money; absent while nobody has said. */
  money?: number
  /** What cannot be undone of it; nothing where all can. */
  cuts?: string
  shows: string
}

export const SETTLE_WAYS: readonly SettleWay[] = [
  { id: 'wait', label: 'Wait for it, or send it back and wait', days: 21, minutes: 0, shows: 'nothing' },
  {
    id: 'file',
    label: 'Here but wrong: file it until it goes, and show the gap',
    days: 0,
    minutes: 45,
    cuts: 'the part is filed',
    shows: 'a gap',
  },
  {
    id: 'enlarge',
    label: 'Here but wrong: enlarge the route for it',
    days: 0,
    minutes: 90,
    cuts: 'the wood is cut, and no other part of its kind will cover it again',
    shows: 'nothing while the part covers it',
  },
  { id: 'own', label: 'Make one’s own', days: 7, minutes: 240, shows: 'one’s own work' },
  {
    id: 'other',
    label: 'Put another on for now, of the wrong colour or shape',
    days: 3,
    minutes: 20,
    shows: 'the wrong part, until it is changed',
  },
]

export interface Settled extends SettleWay {
  /** The day all is done this way, and days after the promised one; a bound where another part has no day either. */
  ends?: string
  atEarliest: boolean
  late: number
  /** Left of the budget with it; absent without a budget, or while nobody has said what it costs. */
  left?: number
}

/** What each way does to the end: the part counted as here so many days from now, its hands with it. @param arrival the step that waits for the part */
export function settle(
  build: Build,
  steps: readonly Step[],
  arrival: string,
  today: string,
  ways: readonly SettleWay[] = SETTLE_WAYS,
): Settled[] {
  const { left } = spending(build)
  return ways.map((way): Settled => {
    const tried = steps.map((s): Step => {
      if (s.id !== arrival) return s
      const { undated: _, notBefore: _before, ...rest } = s
      return { ...rest, minutes: s.minutes + way.minutes, ...(way.days ? { notBefore: addDays(today, way.days) } : {}) }
    })
    const { ends, undated } = planResult(build, tried, today)
    return {
      ...way,
      ...(ends ? { ends } : {}),
      atEarliest: undated.length > 0,
      late: ends && build.due ? Math.max(0, daysBetween(build.due, ends)) : 0,
      ...(left === undefined || way.money === undefined ? {} : { left: left - way.money }),
    }
  })
}
