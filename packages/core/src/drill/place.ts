import type { Build } from '../document/build'
import { neckEnd, isThrough, sizeAt, sizeRef, type SizeRef } from '../document/read'
import { pt, type Point } from '../geometry/point'
import { nearestOnEdge } from '../geometry/polygon'
import { mouthOf } from '../instrument/neckWords'
import { datums } from '../instrument/datums'
import { bodyOutline, bodyShape } from '../instrument/bodyShape'
import { printMm } from '../quantity/length'

/** Centres of holes, how surely they are known, and in words from two things within reach. */
export interface Located {
  places: Point[]
  doubt?: number
  from: string[]
  missing: SizeRef[]
}

const neckRefs = (build: Build) => [sizeRef('neck', 'scale'), neckEnd(build), sizeRef('body', 'pocket.length')]

/**
 * A row across the body's top, so far behind the pocket's mouth.
 * @param along sizes that add up to its distance from the mouth
 * @param across places beside the centre line, mm, bass side positive; made of `spread`
 */
export function acrossBody(
  build: Build,
  along: readonly SizeRef[],
  spread: SizeRef | undefined,
  across: (spread: number) => number[],
): Located {
  const refs = [...along, ...(spread ? [spread] : [])]
  const missing = refs.filter((ref) => !sizeAt(build, ref))
  if (missing.length) return { places: [], from: [], missing }
  const sizes = along.map((ref) => sizeAt(build, ref)!)
  const x = sizes.reduce((sum, s) => sum + s.value, 0)
  const wide = spread ? sizeAt(build, spread)! : { value: 0, doubt: 0 }
  const d = datums(build)
  const ys = across(wide.value)
  return {
    places: ys.map((y) => pt(d.mouth + x, y)),
    doubt: Math.hypot(...sizes.map((s) => s.doubt), wide.doubt / 2),
    from: [...alongWords(build, x), acrossWords(ys)],
    missing: [],
  }
}

/** Beyond an edge, or before it: on paper no place is less than nothing. */
export const fromEdge = (mm: number, edge: string): string => `${printMm(Math.abs(mm), 1)} mm ${mm < 0 ? 'before' : 'from'} ${edge}`

/** A distance from the mouth, from what is within reach with the neck out and in: the two are one place. */
export function alongWords(build: Build, fromMouth: number): string[] {
  const out = isThrough(build) ? '' : ', neck out'
  const words = [
    fromMouth < 0
      ? `${printMm(-fromMouth, 1)} mm before ${mouthOf(build)}, towards the head${out}`
      : `${printMm(fromMouth, 1)} mm from ${mouthOf(build)} along the centre line${out}`,
  ]
  if (neckRefs(build).some((ref) => !sizeAt(build, ref))) return words
  const { mouth, scale } = datums(build)
  const beyond = mouth + fromMouth - scale / 2
  return [
    ...words,
    `or, ${isThrough(build) ? '' : 'neck in its pocket, '}${printMm(Math.abs(beyond), 1)} mm ${beyond < 0 ? 'before' : 'beyond'} fret 12`,
  ]
}

function acrossWords(ys: readonly number[]): string {
  if (ys.length === 1) return ys[0] === 0 ? 'on the centre line' : beside(ys[0]!)
  const [low, high] = [Math.min(...ys), Math.max(...ys)]
  const even = Math.abs(low + high) < 0.05
  const ends = even ? `${printMm(high, 1)} mm to either side of the centre line` : `${beside(high)}, ${beside(low)}`
  return ys.length === 2
    ? `${ends}, ${printMm(high - low, 1)} apart`
    : `outer ones ${ends}, ${ys.length} in all, ${printMm((high - low) / (ys.length - 1), 2)} apart`
}
const beside = (y: number) => `${printMm(Math.abs(y), 1)} mm to the ${y > 0 ? 'bass' : 'treble'} side of the centre line`

/** A row of so many, evenly over a spread. */
export const evenly = (n: number) => (spread: number) => (n === 1 ? [0] : Array.from({ length: n }, (_, i) => spread * (i / (n - 1) - 0.5)))

/** How far in from the body's edge places lie, the nearest and the furthest, mm; nothing where nobody drew it. */
export function inwardsOf(build: Build, places: readonly Point[]): { least: number; most: number } | undefined {
  const edge = drawnEdge(build)
  if (!edge || !places.length) return undefined
  const each = places.map((p) => nearestOnEdge(edge, p).distance)
  return { least: Math.min(...each), most: Math.max(...each) }
}

/** The body's edge, once somebody drew it; placed once for all cards of a build. */
export function drawnEdge(build: Build): Point[] | undefined {
  if (!edges.has(build)) edges.set(build, bodyShape(build).known === 'drawn' ? bodyOutline(build, datums(build).mouth) : undefined)
  return edges.get(build)
}
const edges = new WeakMap<Build, Point[] | undefined>()
