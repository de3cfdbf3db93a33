import { pt, type Point } from '../geometry/point'
import type { OutlineRow } from '../parts/part'

const STEPS = 6

/**
 * Closed curve through a table of half-widths. It runs from the nut end round the bass side to the tail and back
 * along the treble side, dipping into a cutaway where a row gives a horn's inner edge, and closes with a straight
 * line across the nut end (the pocket mouth of a body, the nut of a headstock).
 * Bass is y positive. Centripetal Catmull-Rom, so that the curve passes through every measured point. [ours]
 */
export function outlinePoints(rows: readonly OutlineRow[]): Point[] {
  const known = drawnRows.get(rows)
  if (known) return known
  const points = curveOf(rows)
  drawnRows.set(rows, points)
  return points
}

/** Curves already drawn: the same table is asked for by many joints. */
const drawnRows = new WeakMap<readonly OutlineRow[], Point[]>()

function curveOf(rows: readonly OutlineRow[]): Point[] {
  if (rows.length < 3) return []
  const horn = (inner: 'bassInner' | 'trebleInner', sign: number) =>
    rows.filter((r) => r[inner] !== undefined).map((r) => pt(r.x, sign * r[inner]!))
  const mouth = rows.findLast((r) => r.bassInner !== undefined || r.trebleInner !== undefined)?.x ?? -Infinity
  const side = (key: 'bass' | 'treble', inner: 'bassInner' | 'trebleInner', sign: number) => {
    const innerEdge = horn(inner, sign)
    const tip = innerEdge[0]?.x ?? 0
    // Rows further out than this side's horn tip belong to the other horn alone; without a horn it starts at the mouth.
    const outer = rows.filter((r) => r.x >= (innerEdge.length ? tip : mouth)).map((r) => pt(r.x, sign * r[key]))
    return [...innerEdge.toReversed(), ...outer]
  }
  return smooth([...side('bass', 'bassInner', 1), ...side('treble', 'trebleInner', -1).toReversed()])
}

/** Centripetal Catmull-Rom through an open run of points (Barry and Goldman's pyramid). */
function smooth(points: readonly Point[]): Point[] {
  const clean = points.filter((p, i) => i === 0 || p.x !== points[i - 1]!.x || p.y !== points[i - 1]!.y)
  const out: Point[] = []
  for (let i = 0; i < clean.length - 1; i++) {
    const p1 = clean[i]!
    const p2 = clean[i + 1]!
    const p0 = clean[i - 1] ?? pt(2 * p1.x - p2.x, 2 * p1.y - p2.y)
    const p3 = clean[i + 2] ?? pt(2 * p2.x - p1.x, 2 * p2.y - p1.y)
    for (let s = 0; s < STEPS; s++) out.push(between(p0, p1, p2, p3, s / STEPS))
  }
  out.push(clean.at(-1)!)
  return out
}

const knot = (a: Point, b: Point) => Math.sqrt(Math.hypot(b.x - a.x, b.y - a.y))
const blend = (a: Point, b: Point, t0: number, t1: number, t: number): Point => {
  const w = (t - t0) / (t1 - t0)
  return pt(a.x + w * (b.x - a.x), a.y + w * (b.y - a.y))
}

function between(p0: Point, p1: Point, p2: Point, p3: Point, share: number): Point {
  const t1 = knot(p0, p1)
  const t2 = t1 + knot(p1, p2)
  const t3 = t2 + knot(p2, p3)
  const t = t1 + share * (t2 - t1)
  const a1 = blend(p0, p1, 0, t1, t)
  const a2 = blend(p1, p2, t1, t2, t)
  const a3 = blend(p2, p3, t2, t3, t)
  const b1 = blend(a1, a2, 0, t2, t)
  const b2 = blend(a2, a3, t1, t3, t)
  return blend(b1, b2, t1, t2, t)
}
