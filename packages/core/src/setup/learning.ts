import type { Build, ScrewTurn, SetupReading, SetupScrew, SetupWhat } from '../document/build'
import { traitAt } from '../document/read'
import { bassString, readingsOf, type Asked } from '../document/setupReadings'
import { goesWhole, heightScrewOf, SCREWS } from './screws'
import { toldAt } from '../judge/known'
import { isAfter } from '../quantity/moments'

/** What a turn clockwise did to the number its screw is for: mm, or cents, and how many pairs of readings say so. */
export interface Learned {
  per: number
  from: number
}

/** Fewer turns between two readings say nothing. [ours] */
const LEAST = 0.1
/** Strings that pull otherwise by more than this share made a part of the change themselves. [ours] */
export const SAME_PULL = 0.03

/** Screws that move what is read; a pair of readings teaches about one of them only where no other was turned between. */
const MOVES: Partial<Record<SetupWhat, readonly SetupScrew[]>> = {
  relief: ['truss'],
  float: ['claw', 'truss'],
  action: ['bass', 'treble', 'claw', 'truss'],
  cents: ['length', 'bass', 'treble', 'claw', 'truss'],
  pickup: ['bass', 'treble', 'claw', 'truss'],
}
const TAUGHT_BY = { truss: 'relief', claw: 'float', length: 'cents' } as const

/**
 * Turns made between two moments, the last one included, of screws that move what is read. A length screw moves its own string only, unless
 * the bridge goes as a whole. @param to without it: until now
 */
export function turnsBetween(build: Build, asked: Asked, from: string | undefined, to?: string): ScrewTurn[] {
  const screws = MOVES[asked.what]
  if (!screws) return []
  // On saddles of their own each outer string has its screws; a bridge on posts goes as a whole.
  const own = heightScrewOf(traitAt(build, 'bridge', 'mount')) === 'grub'
  const others: readonly SetupScrew[] = !own ? [] : asked.string === 1 ? ['bass'] : asked.string === bassString(build) ? ['treble'] : []
  return Object.values(build.setup.turns ?? {}).filter(
    (t) =>
      isAfter(t.at, from) &&
      (to === undefined || !isAfter(t.at, to)) &&
      screws.includes(t.screw) &&
      !others.includes(t.screw) &&
      (t.screw !== 'length' || t.string === asked.string || goesWhole(build)),
  )
}

/** Turns made after the newest reading of what is asked: it no longer holds. */
export function turnsSince(build: Build, asked: Asked): ScrewTurn[] {
  const last = readingsOf(build, asked).at(-1)
  return last?.at ? turnsBetween(build, asked, last.at) : []
}

const asked = (build: Build, screw: SetupScrew, string?: number): Asked =>
  screw === 'truss'
    ? { what: 'relief' }
    : screw === 'claw'
      ? { what: 'float' }
      : screw === 'length'
        ? { what: 'cents', ...(string === undefined ? {} : { string }) }
        : { what: 'action', string: screw === 'bass' ? bassString(build) : 1 }

interface Pair {
  change: number
  /** Turns between the two, by screw; of a length screw only this string's. */
  turned: (screw: SetupScrew) => number
}

/** Readings one after the other with the same pull and at the same fret, and the turns made between them. */
function pairsOf(build: Build, screw: SetupScrew, string?: number): Pair[] {
  const turns = Object.values(build.setup.turns ?? {})
  const read = readingsOf(build, asked(build, screw, string)).filter((r) => r.at !== undefined)
  return read.slice(1).flatMap((after, i): Pair[] => {
    const first = read[i]!
    if (first.fret !== after.fret || !samePull(first, after)) return []
    const between = turns.filter((t) => isAfter(t.at, first.at) && !isAfter(t.at, after.at))
    const turned = (which: SetupScrew) => sum(between.filter((t) => t.screw === which && (which !== 'length' || t.string === string)))
    return [{ change: after.value - first.value, turned }]
  })
}

const sum = (turns: readonly ScrewTurn[]) => turns.reduce((s, t) => s + t.turns, 0)
const samePull = (a: SetupReading, b: SetupReading) => near(a.pull, b.pull) && near(a.newton, b.newton) && near(a.gauge, b.gauge)
const near = (a: number | undefined, b: number | undefined) => a === undefined || b === undefined || Math.abs(a - b) <= SAME_PULL * b

/** Least squares through nothing: what one unit of cause did. */
function slope(points: readonly { cause: number; effect: number }[]): Learned | undefined {
  const good = points.filter((p) => Math.abs(p.cause) >= LEAST)
  if (!good.length) return undefined
  const over = good.reduce((s, p) => s + p.cause ** 2, 0)
  return { per: good.reduce((s, p) => s + p.cause * p.effect, 0) / over, from: good.length }
}

/** What this neck's truss nut, this vibrato's claw or a string's length screw gave a turn, by its own readings. */
export function learnedTurn(build: Build, screw: 'truss' | 'claw' | 'length', string?: number): Learned | undefined {
  const others = MOVES[TAUGHT_BY[screw]]!.filter((s) => s !== screw)
  const pairs = pairsOf(build, screw, string).filter((p) => others.every((o) => p.turned(o) === 0))
  return slope(pairs.map((p) => ({ cause: p.turned(screw), effect: p.change })))
}

/**
 * Advance of the height screws, mm a turn, by what the action did at both outer strings. On posts each string goes with both of them.
 * Less than nothing: clockwise did the opposite of what such screws do. [physics: action at 12 is half of the saddle's move]
 */
export function learnedPitch(build: Build): Learned | undefined {
  const screw = heightScrewOf(traitAt(build, 'bridge', 'mount'))
  if (!screw) return undefined
  const up = SCREWS[screw].clockwise === 'up' ? 1 : -1
  const spread = toldAt(build, { slot: 'bridge', size: 'spread' })?.value
  const posts = toldAt(build, { slot: 'bridge', size: 'studSpacing' })?.value
  const points = (['bass', 'treble'] as const).flatMap((side) =>
    pairsOf(build, side)
      .filter((p) => p.turned('truss') === 0 && p.turned('claw') === 0)
      .flatMap((p) => {
        const own = p.turned(side)
        const other = p.turned(side === 'bass' ? 'treble' : 'bass')
        // A bridge on posts is a straight line across: its outer strings lie inside or outside of them, nobody knows how far without both
        // widths; only where both posts were turned alike that is no matter.
        if (screw !== 'grub' && own !== other && !(spread && posts)) return []
        const share = screw === 'grub' || !spread || !posts ? 1 : (1 + spread / posts) / 2
        return { cause: (up * (share * own + (1 - share) * other)) / 2, effect: p.change }
      }),
  )
  return slope(points)
}
