import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { setupReading } from '../document/setupReadings'
import { toldAt } from '../judge/known'
import { intonationMove } from '../physics/intonation'
import { learnedTurn } from './learning'
import { goesWhole } from './screws'
import { staleSays } from './staleness'
import { BELIEVED, trialPitch } from './thread'
import { lengthTravel } from './travel'

/** One string's pitch at fret 12, and what its saddle wants. */
export interface PitchWork {
  number: number
  note: string
  cents?: number
  /** The other string on its saddle, where one carries two; at the other end, of a bridge that goes as a whole. */
  beside?: number
  /** The bridge goes as a whole, by screws at its ends: one of its ends, or a string between that goes with them. */
  whole?: 'end' | 'between'
  /** What its saddle is off, cents: as the string is, or the middle of both that it carries; none before both were read. */
  off?: number
  /** Saddle move back, mm, and turns of the length screw; none where the saddle is slid by hand. */
  back?: number
  turns?: number
  /** Nobody knows what a turn gives: so far first, then it is read again. */
  trial?: true
  /** As far as its saddle goes from stop to stop, mm, where that is less than it wants: no turns are told. */
  beyond?: number
  /** Read before a screw was turned, something it rests on was read otherwise, or the strings changed. */
  stale?: boolean
}

/** A cent or so is below what an ear hears on a decaying string. [practice] */
export const IN_TUNE = 1

/** The string that shares a saddle with this one: neighbours by twos, from the thinnest; nothing where each has its own. */
function besideOn(build: Build, number: number): number | undefined {
  if (goesWhole(build)) return undefined
  if (traitAt(build, 'bridge', 'carries') !== 'two') return undefined
  const other = number % 2 ? number + 1 : number - 1
  return other <= build.strings ? other : undefined
}

/** A reading that still holds. */
function holding(build: Build, string: number): number | undefined {
  const asked = { what: 'cents', string } as const
  return staleSays(build, asked) ? undefined : setupReading(build, asked)
}

/** What the saddle of a string is to do for its reading at fret 12; for both readings where it carries two. */
export function pitchWork(build: Build, number: number, note: string): PitchWork {
  const asked = { what: 'cents', string: number } as const
  const cents = setupReading(build, asked)
  const other = besideOn(build, number)
  const shared = other === undefined ? {} : { beside: other }
  if (cents === undefined) return { number, note, ...shared }
  if (staleSays(build, asked)) return { number, note, cents, ...shared, stale: true }
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  if (goesWhole(build)) return { number, note, cents, ...wholeWork(build, number, scale) }
  const others = other === undefined ? cents : holding(build, other)
  if (others === undefined) return { number, note, cents, ...shared }
  const off = (cents + others) / 2
  const back = intonationMove(off, scale)
  const work = { number, note, cents, ...shared, off, back }
  const travel = lengthTravel(build)
  if (travel !== undefined && Math.abs(back) > travel) return { ...work, beyond: travel }
  if (isUnseen(build)) return work
  // What its own turns did to it counts more than the thread.
  const own = centsATurn(build, number) ?? (other === undefined ? undefined : centsATurn(build, other))
  if (own !== undefined) return { ...work, turns: off / own }
  const pitch = toldAt(build, { slot: 'bridge', size: 'length.pitch' })?.value ?? threadOfOthers(build, scale)
  if (pitch === undefined && isSlid(build)) return work
  return pitch === undefined ? { ...work, turns: back / trialPitch(back), trial: true } : { ...work, turns: back / pitch }
}

/** Both ends as they come nearest to what every string read so far wants: a straight line through their cents by least squares. [statistics] */
function wholeWork(build: Build, number: number, scale: number): Partial<PitchWork> {
  const ends = [1, build.strings]
  if (!ends.includes(number)) return { whole: 'between' }
  const other = ends.find((n) => n !== number) ?? number
  const read = Array.from({ length: build.strings }, (_, i) => ({ at: i + 1, cents: holding(build, i + 1) })).flatMap(({ at, cents }) =>
    cents === undefined ? [] : [{ at, cents }],
  )
  if (!ends.every((n) => read.some((r) => r.at === n))) return { whole: 'end', beside: other }
  const mean = (of: (r: (typeof read)[number]) => number) => read.reduce((sum, r) => sum + of(r), 0) / read.length
  const [at, cents] = [mean((r) => r.at), mean((r) => r.cents)]
  const spread = mean((r) => (r.at - at) ** 2)
  const slope = spread ? mean((r) => (r.at - at) * (r.cents - cents)) / spread : 0
  const off = cents + slope * (number - at)
  const back = intonationMove(off, scale)
  const travel = lengthTravel(build)
  return { whole: 'end', beside: other, off, back, ...(travel !== undefined && Math.abs(back) > travel ? { beyond: travel } : {}) }
}

/** Saddles that clamp their strings are slid by hand and held by a screw from above, unless somebody read a thread of theirs. [practice] */
const isSlid = (build: Build): boolean => traitAt(build, 'bridge', 'mount') === 'double-locking'

/** Whether a bar has saddles with screws is to be seen on it. */
const isUnseen = ({ parts: { bridge } }: Build): boolean => bridge?.traits.mount === 'bar' && bridge.traits.lengths === undefined

/** What a turn of its length screw did to a string's pitch at fret 12, by the turns that were written down. */
function centsATurn(build: Build, number: number): number | undefined {
  const learned = learnedTurn(build, 'length', number)
  return learned && Math.abs(learned.per) > 0.2 ? Math.abs(learned.per) : undefined
}

/** All saddles of a bridge have the same screws: what one of them taught is the thread of the others, mm a turn. */
function threadOfOthers(build: Build, scale: number): number | undefined {
  for (let n = 1; n <= build.strings; n++) {
    const cents = centsATurn(build, n)
    const thread = cents === undefined ? 0 : Math.abs(intonationMove(cents, scale))
    if (thread >= BELIEVED.from && thread <= BELIEVED.to) return thread
  }
  return undefined
}
