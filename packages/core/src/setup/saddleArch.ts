import type { Build } from '../document/build'
import { heightScrewOf } from './screws'
import { traitAt } from '../document/read'
import { radiusAtSaddles } from './model'
import { toldAt } from '../judge/known'

/** How far an arc of a radius stands over its chord at a place off its middle, mm. [physics] @param half of the chord */
export const overChord = (radius: number, half: number, off: number): number =>
  Math.sqrt(radius ** 2 - off ** 2) - Math.sqrt(radius ** 2 - half ** 2)

/** A bridge whose own arc is off by more than this at a string is felt, mm. [ours] */
const FELT = 0.15

export interface SaddleArch {
  /** Of the board, carried on to the saddles, mm. */
  radius: number
  /** Every saddle's top over the straight line between the two outer ones, mm. */
  tops: { number: number; over: number; bridge?: number }[]
  says: string
}

/** Where strings lie across at the saddles, mm from the middle, the first negative. */
export const acrossSaddles = (build: Build, spread: number): number[] =>
  Array.from({ length: build.strings }, (_, i) => -spread / 2 + (spread * i) / Math.max(1, build.strings - 1))

/** Saddle heights that follow the board: from its radius at the saddles, between two outer values. Nothing where radius or spread is unknown. */
export function saddleArch(build: Build): SaddleArch | undefined {
  const radius = radiusAtSaddles(build)
  const spread = toldAt(build, { slot: 'bridge', size: 'spread' })?.value
  if (radius === undefined || spread === undefined || build.strings < 3) return undefined
  const own = toldAt(build, { slot: 'bridge', size: 'saddle.radius' })?.value
  const half = spread / 2
  const fixed = heightScrewOf(traitAt(build, 'bridge', 'mount')) !== 'grub' && own !== undefined
  const tops = acrossSaddles(build, spread).map((off, i) => ({
    number: i + 1,
    over: overChord(radius, half, off),
    ...(fixed ? { bridge: overChord(own, half, off) } : {}),
  }))
  const worst = tops.toSorted((a, b) => Math.abs((b.bridge ?? b.over) - b.over) - Math.abs((a.bridge ?? a.over) - a.over))[0]!
  const off = fixed ? worst.bridge! - worst.over : 0
  const says = !fixed
    ? 'Outer saddles first; then each between by this much over the straight line from one to the other.'
    : Math.abs(off) < FELT
      ? 'The bridge’s own arc follows the board: nothing to do.'
      : `The bridge’s own arc of ${Math.round(own)} mm lays string ${worst.number} ${Math.abs(off).toFixed(2)} mm too ${off > 0 ? 'high' : 'low'} at the saddle, half of it at fret 12: ${off > 0 ? 'deepen that notch' : 'the outer notches are deepened, or that saddle is shimmed'}.`
  return { radius, tops, says }
}
