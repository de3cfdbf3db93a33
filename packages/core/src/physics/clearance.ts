import type { Point } from '../geometry/point'
import type { Crowns } from './heldString'

/** How a string is plucked: pulled aside by a depth, or by a force on a tension, a distance before the saddle, mm. */
export interface Pluck {
  depth?: number
  force?: number
  tension?: number
  fromSaddle: number
  /** Share of the motion that goes towards the frets. [ours: 0.6] */
  share: number
}

/** Depth of a pluck on a length, mm: as given, or A = F / (T/p + T/(l - p)). [physics] */
export function pluckDepth(pluck: Pluck, length: number): number {
  if (pluck.depth !== undefined) return pluck.depth
  const p = pluck.fromSaddle
  return (pluck.force ?? 0) / ((pluck.tension ?? 1) * (1 / p + 1 / (length - p)))
}

/** Clearance over one fret, mm: the string at rest, and its least over a period, pulled to the frets or away from them. */
export interface Clearance {
  fret: number
  rest: number
  towards: number
  away: number
}

/**
 * Clearances over every fret beyond the one a string is held at. The string is straight from that crown (open: from the slot) to the
 * saddle; plucked, its triangle sweeps between y0(x) and y0(l - x). [physics: ideal string, no loss, no stiffness]
 */
export function clearances(neck: Crowns, saddle: Point, stop: number, pluck: Pluck): Clearance[] {
  const from = stop === 0 ? neck.nut : neck.crowns[stop - 1]!
  const length = saddle.x - from.x
  const depth = pluck.share * pluckDepth(pluck, length)
  const peak = length - pluck.fromSaddle
  const triangle = (x: number) => (x < peak ? (depth * x) / peak : (depth * (length - x)) / pluck.fromSaddle)
  const slope = (saddle.y - from.y) / length
  const found: Clearance[] = []
  for (let i = stop; i < neck.crowns.length; i++) {
    const crown = neck.crowns[i]!
    const x = crown.x - from.x
    const rest = from.y + slope * x - crown.y
    found.push({ fret: i + 1, rest, towards: rest - triangle(x), away: rest - triangle(length - x) })
  }
  return found
}

/** The least of them, whichever way it is pulled, and the fret that is hit first. */
export function worstOf(list: readonly Clearance[]): { fret: number; margin: number } | undefined {
  let worst: { fret: number; margin: number } | undefined
  for (const c of list) {
    const margin = Math.min(c.towards, c.away)
    if (!worst || margin < worst.margin) worst = { fret: c.fret, margin }
  }
  return worst
}

/**
 * The lowest saddle at which nothing is hit from these stops, mm: every clearance is a straight line in its height. [physics]
 * @param x of the saddle
 */
export function lowestSaddle(neck: Crowns, x: number, stops: readonly number[], pluck: Pluck): number {
  let least = -Infinity
  for (const stop of stops) {
    const from = stop === 0 ? neck.nut : neck.crowns[stop - 1]!
    // With the saddle level with the stop the string at rest is level: what is short is made up by its slope.
    for (const c of clearances(neck, { x, y: from.y }, stop, pluck)) {
      const at = neck.crowns[c.fret - 1]!.x - from.x
      least = Math.max(least, from.y - (Math.min(c.towards, c.away) * (x - from.x)) / at)
    }
  }
  return least
}
