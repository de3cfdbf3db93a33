import { specAt, type SizeRef } from '../document/read'
import { bandOf } from '../parts/kind'
import { meanOf } from '../quantity/distribution'
import type { Question } from './joint'
import type { Class, Judgement } from './verdict'

/** What one check turned out to be under one supposition after another. */
export interface Found {
  question: Question
  seen: Judgement[]
  coated: Judgement[]
  /** Not asked under every answer. */
  absent: boolean
  /** Its clearance may lie in more than one class, by what the sizes may be. */
  crosses: boolean
  /** Unknown sizes that move its clearance. */
  moved: Set<string>
}

/** The class all agree on. */
export const agreed = (seen: readonly Judgement[]): Class | undefined => {
  const [first] = seen
  return first && first.verdict !== 'cant-tell' && seen.every((j) => j.verdict === first.verdict) ? first.verdict : undefined
}

type AskAt = (sizes: ReadonlyMap<string, number>) => readonly Question[]
/** What a clearance is with one size at either end of its band. */
type Ends = Map<string, { low: number; high: number; band: { low: number; high: number } }>

/**
 * Asks with every unknown size at both ends of its band, one by one, and with all of them where they are worst and best together. Where
 * the clearance is a straight line in each, that is all there is to it. Where it bends in one size, its highest and lowest are searched
 * for; where it bends in several, whether it crosses a limit somewhere between is not decided, and so it may.
 * @param open whether any check is still of one class; nothing more need be asked when none is
 */
export function acrossBands(found: Map<string, Found>, unknown: ReadonlyMap<string, SizeRef>, ask: AskAt, open: () => boolean): void {
  const { middle, ends, elsewhere } = aroundOf(NOWHERE, found, unknown, ask, open)
  // A check that is there only towards the end of some band is looked at from there, with the size that brings it about left at that end.
  for (const [id, { key, value }] of elsewhere) {
    if (!open()) return
    const f = found.get(id)!
    const ref = unknown.get(key)!
    const { low, high } = bandOf(specAt(ref))
    const inside = value + (value === low ? STEP : -STEP) * (high - low)
    const [atEnd, beside] = [value, inside].map((v) => meansOf(ask(new Map([[key, v]]))).get(id))
    // Where it also hangs on that size, how far it reaches before it vanishes is not searched for.
    if (atEnd !== beside) f.crosses = true
    else aroundOf(new Map([[key, value]]), new Map([[id, f]]), unknown, ask, open)
  }
  if (unknown.size > 1 && open()) for (const corner of cornersOf(unknown)) togetherAt(corner, meansOf(ask(corner)), found, middle, ends)
  // Met only where several sizes are at their ends together: there it is, and what it becomes on the way is not searched for.
  for (const [id, f] of found) if (!middle.has(id) && !elsewhere.has(id)) f.crosses = true
}

/**
 * What one size does may hang on where another lies, as it does where the nearer of two walls counts: then what lies between is not to be
 * seen from the middle.
 */
function togetherAt(
  corner: ReadonlyMap<string, number>,
  at: ReadonlyMap<string, number>,
  found: ReadonlyMap<string, Found>,
  middle: ReadonlyMap<string, number>,
  ends: ReadonlyMap<string, Ends>,
): void {
  for (const [id, f] of found) {
    const [m, here] = [middle.get(id), at.get(id)]
    if (m === undefined || here === undefined) continue
    const moves = [...(ends.get(id) ?? [])].flatMap(([key, { low, high, band }]) =>
      corner.has(key) ? [(corner.get(key) === band.low ? low : high) - m] : [],
    )
    const alone = moves.reduce((sum, move) => sum + move, m)
    if (Math.abs(here - alone) > 1e-6 * (1 + moves.reduce((sum, move) => sum + Math.abs(move), 0))) f.crosses = true
  }
}

/** So many unknown sizes are taken to their ends in every way together; of more, only the first so many. */
const TOGETHER = 6

/** Every way to take the unknown sizes to an end of their bands. */
const cornersOf = (unknown: ReadonlyMap<string, SizeRef>): ReadonlyMap<string, number>[] =>
  [...unknown].slice(0, TOGETHER).reduce<ReadonlyMap<string, number>[]>(
    (ways, [key, ref]) => {
      const { low, high } = bandOf(specAt(ref))
      return ways.flatMap((way) => [low, high].map((end) => new Map([...way, [key, end]])))
    },
    [NOWHERE],
  )

const NOWHERE: ReadonlyMap<string, number> = new Map()

/**
 * The same from one point of the bands: every size the point does not name is taken to both its ends.
 * @returns what each check is at the point, and for a check that is not there the first end at which it is
 */
function aroundOf(
  point: ReadonlyMap<string, number>,
  found: ReadonlyMap<string, Found>,
  unknown: ReadonlyMap<string, SizeRef>,
  ask: AskAt,
  open: () => boolean,
): {
  middle: ReadonlyMap<string, number>
  ends: ReadonlyMap<string, Ends>
  elsewhere: ReadonlyMap<string, { key: string; value: number }>
} {
  const from: AskAt = (sizes) => ask(new Map([...point, ...sizes]))
  const middle = meansOf(from(NOWHERE))
  const ends = new Map<string, Ends>()
  const elsewhere = new Map<string, { key: string; value: number }>()
  for (const [key, ref] of unknown) {
    if (point.has(key)) continue
    if (!open()) return { middle, ends, elsewhere }
    const band = bandOf(specAt(ref))
    const [low, high] = [meansOf(from(new Map([[key, band.low]]))), meansOf(from(new Map([[key, band.high]])))]
    for (const [id, f] of found) {
      const [l, m, h] = [low.get(id), middle.get(id), high.get(id)]
      if (m === undefined) {
        const value = l !== undefined ? band.low : h !== undefined ? band.high : undefined
        if (value !== undefined && !elsewhere.has(id)) elsewhere.set(id, { key, value })
      } else if (l === undefined || h === undefined) {
        // It vanishes towards that end; what it becomes on the way there is not searched for. It may be the same at the middle and at the
        // other end and yet bend between.
        if ((l ?? h ?? m) !== m || beside(band).some((v) => (meansOf(from(new Map([[key, v]]))).get(id) ?? m) !== m)) f.crosses = true
      } else if (l !== h || l !== m) {
        ends.set(id, (ends.get(id) ?? new Map()).set(key, { low: l, high: h, band }))
        f.moved.add(key)
      }
    }
  }
  for (const [id, of] of ends) {
    if (!open()) break
    const f = found.get(id)!
    const range = corners(id, of, unknown, middle.get(id)!, from)
    const [only] = of.size === 1 ? [...of.keys()] : []
    if (range.straight || only) {
      const searched = range.straight ? [] : between(id, only!, unknown.get(only!)!, from)
      f.crosses ||= crossed(f.question, Math.min(range.low, ...searched), Math.max(range.high, ...searched))
    } else f.crosses = true
  }
  return { middle, ends, elsewhere }
}

/** Two places in a band that are neither its middle nor its ends, nor as far from the one as from the other. [ours] */
const beside = ({ low, high }: { low: number; high: number }): number[] => [0.31, 0.73].map((share) => low + share * (high - low))

const meansOf = (questions: readonly Question[]) => new Map(questions.map((q) => [q.id, meanOf(q.clearance)]))

/** The clearance with all unknown sizes at the ends that make it least, and most; and whether it is a straight line in each of them. */
function corners(
  id: string,
  ends: Ends,
  unknown: ReadonlyMap<string, SizeRef>,
  middle: number,
  ask: AskAt,
): { low: number; high: number; straight: boolean } {
  const at = (most: boolean) => {
    const sizes = new Map(
      [...ends].map(([key, e]) => [key, bandOf(specAt(unknown.get(key)!))[e.low < e.high === most ? 'high' : 'low']] as const),
    )
    return meansOf(ask(sizes)).get(id) ?? NaN
  }
  const [low, high] = [at(false), at(true)]
  const swing = [...ends.values()].reduce((sum, e) => sum + Math.abs(e.high - e.low) / 2, 0)
  const near = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * (1 + swing)
  const straight =
    [...ends.values()].every((e) => near((e.low + e.high) / 2, middle)) && near(low, middle - swing) && near(high, middle + swing)
  return { low, high, straight }
}

/** Is there a limit between two classes inside the range? */
const crossed = ({ bands }: Question, low: number, high: number): boolean =>
  bands.some((b, i) => b.upTo > low && b.upTo < high && bands[i + 1] && bands[i + 1]!.is !== b.is)

/** A step away from either end, as a share of the band, by which a hump or a hollow between them shows. */
const STEP = 1e-4

/** Highest and lowest of the clearance between the ends of one size's band; nothing where it only rises or only falls. */
function between(id: string, key: string, ref: SizeRef, ask: AskAt): number[] {
  const { low, high } = bandOf(specAt(ref))
  const reckon = (value: number) => meansOf(ask(new Map([[key, value]]))).get(id) ?? NaN
  const step = STEP * (high - low)
  const [atLow, atHigh] = [Math.sign(reckon(low + step) - reckon(low)), Math.sign(reckon(high) - reckon(high - step))]
  return atLow === atHigh && atLow !== 0 ? [] : [-1, 1].map((sign) => sign * highest((value) => sign * reckon(value), low, high))
}

const GOLDEN = (Math.sqrt(5) - 1) / 2
const SEARCHES = 40

/** The highest of a function with one hump. [published: Kiefer 1953, golden section, from memory] */
function highest(f: (value: number) => number, low: number, high: number): number {
  let [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)]
  let [fa, fb] = [f(a), f(b)]
  for (let i = 0; i < SEARCHES; i++) {
    if (fa > fb) {
      high = b
      ;[b, fb] = [a, fa]
      a = high - GOLDEN * (high - low)
      fa = f(a)
    } else {
      low = a
      ;[a, fa] = [b, fb]
      b = low + GOLDEN * (high - low)
      fb = f(b)
    }
  }
  return Math.max(fa, fb)
}
