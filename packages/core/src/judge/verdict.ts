import { probabilityBetween, type Distribution } from '../quantity/distribution'

export type Class = 'snug' | 'loose' | 'tight' | 'wont-go'
export type Verdict = Class | 'cant-tell'
export const CLASSES: readonly Class[] = ['snug', 'loose', 'tight', 'wont-go']

const VERDICT_WORD: Record<Verdict, string> = {
  snug: 'snug',
  loose: 'loose',
  tight: 'tight',
  'wont-go': 'won’t go',
  'cant-tell': 'can’t tell',
}

/** What is not a fit but a condition, as a break angle or two shields that meet, has words of its own. */
const CONDITION_WORD: Record<Verdict, string> = {
  snug: 'good',
  loose: 'needs work',
  tight: 'needs work',
  'wont-go': 'will not do',
  'cant-tell': 'can’t tell',
}
export const wordOf = (verdict: Verdict, condition?: boolean): string => (condition ? CONDITION_WORD : VERDICT_WORD)[verdict]

/** A stretch of clearance and its class; bands are listed upwards, each ending where the next begins. */
export interface Band {
  upTo: number
  is: Class
}

export interface Judgement {
  verdict: Verdict
  chances: Record<Class, number>
}

/** How sure a class must be before it is the verdict. [ours] */
export const SURE = 0.9

const RANK: Record<Class, number> = { snug: 0, loose: 1, tight: 2, 'wont-go': 3 }
/** A limit that is met exactly belongs to the better side, whatever a unit conversion does to the ninth figure. */
const HAIR = 1e-6

/** The class with at least 90 % of the probability; otherwise can't tell. [ours] */
export function judge(d: Distribution, bands: readonly Band[]): Judgement {
  const chances: Record<Class, number> = { snug: 0, loose: 0, tight: 0, 'wont-go': 0 }
  let low = -Infinity
  bands.forEach(({ upTo, is }, i) => {
    const next = bands[i + 1]
    const high = next ? upTo + (RANK[is] < RANK[next.is] ? HAIR : -HAIR) : upTo
    chances[is] += probabilityBetween(d, low, high)
    low = high
  })
  const best = (Object.keys(chances) as Class[]).reduce((a, b) => (chances[b] > chances[a] ? b : a))
  return { verdict: chances[best] >= SURE ? best : 'cant-tell', chances }
}

/**
 * Of several checks on one joint the worst that is sure speaks for it; only where none is surely bad does one that cannot be told keep it
 * from being good. [ours]
 */
const WORST: Verdict[] = ['snug', 'loose', 'cant-tell', 'tight', 'wont-go']
export const worst = (verdicts: readonly Verdict[]): Verdict =>
  verdicts.reduce<Verdict>((a, b) => (WORST.indexOf(b) > WORST.indexOf(a) ? b : a), 'snug')
export const isWorse = (a: Verdict, b: Verdict): boolean => WORST.indexOf(a) > WORST.indexOf(b)
