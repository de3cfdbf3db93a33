import type { Size } from '../../quantity/size'
import { startingDoubt } from '../doubt'
import type { Kind, SizeUnit } from '../kind'
import { KINDS, type KindName } from '../kinds/index'
import { amountsIn, type ListedAmount } from './amounts'
import { isNamed, namesOf, nearness, wordsAt, type Nearby } from './nearWords'

/** A number with its unit as it stands in a seller's text, and the sizes of the part it may be, likeliest first. */
export interface ListedNumber {
  /** As it is written there. */
  text: string
  /** The words round it. */
  around: string
  value: number
  unit: SizeUnit
  /** No better known than this, same unit; 0 where nothing is said of it. */
  within: number
  sizes: string[]
}

/** Sizes that are the two ends of something, by the ends of their keys. A range is no single size. */
const ENDS: readonly (readonly [low: RegExp, high: RegExp])[] = [
  [/\.min$/, /\.max$/],
  // A compound board is told by its radius at the nut and at the last fret.
  [/\.radius$/, /\.radiusEnd$/],
]

/** Reads every amount out of a text, and offers each to the sizes it may belong to. Nothing is taken for anyone. */
export function readListing(kind: KindName, pasted: string): ListedNumber[] {
  // The sign of the ohm has a twin among the letters.
  const text = pasted.normalize()
  return amountsIn(text).flatMap(({ start, end, unit, within, readings, bound }) => {
    const nearby = wordsAt(text, start, end)
    for (const value of readings) {
      const sizes = candidates(kind, { value, unit, bound }, nearby)
      if (sizes.length) return [{ text: text.slice(start, end), around: nearby.around, value, unit, within, sizes }]
    }
    return []
  })
}

/** Sizes of the kind with that unit that may have that value, those whose name is in the words round it first. */
function candidates(kind: KindName, amount: Pick<ListedAmount, 'unit' | 'bound'> & { value: number }, nearby: Nearby): string[] {
  const { value, unit, bound } = amount
  const all = Object.keys(KINDS[kind].sizes)
  return Object.entries(KINDS[kind].sizes)
    .filter(([, s]) => s.unit === unit && value >= s.min && value <= s.max)
    .map(([key, s]) => ({ key, s, names: namesOf(s.label, key, KINDS[kind].label) }))
    .filter(({ key, names }) => !bound || (isEnd(key, bound, all) && isNamed(names, nearby)))
    .map(({ key, s, names }) => {
      // Among equals the nearer to what is usual, on whichever side of a line.
      const far = s.usual ? Math.abs(Math.log(Math.abs(value / s.usual))) : 1
      return { key, score: nearness(names, nearby) - (isOthers(key, nearby) ? OF_ANOTHER : 0) - 0.01 * Math.min(far, 5) }
    })
    .toSorted((a, b) => b.score - a.score)
    .map((c) => c.key)
}

/** A size of one string, where that string's number is nowhere near: the one of all is likelier. [ours] */
const isOthers = (key: string, { wide }: Nearby): boolean => {
  const string = /\.(\d+)$/.exec(key)?.[1]
  return string !== undefined && !wide.has(string)
}
const OF_ANOTHER = 0.5

const isEnd = (key: string, bound: 'low' | 'high', all: readonly string[]): boolean =>
  ENDS.some(([low, high]) => {
    const own = bound === 'low' ? low : high
    const stem = key.replace(own, '')
    return own.test(key) && all.some((k) => (bound === 'low' ? high : low).test(k) && k.startsWith(`${stem}.`))
  })

/** The size as it is known from a listing: no better than it is written, and a count is a count. */
export function asListed(kind: KindName, size: string, { value, unit, within }: Pick<ListedNumber, 'value' | 'unit' | 'within'>): Size {
  const { sizes, trade } = KINDS[kind] as Kind
  const doubt = startingDoubt(sizes[size]!, trade, 'listed', value)
  return { value, doubt: unit === 'count' ? doubt : Math.max(within, doubt), known: 'listed' }
}
