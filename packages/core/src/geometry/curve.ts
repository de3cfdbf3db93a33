import { pt, type Point } from './point'

/** An open run of points on a curve through places; at the ends it runs on straight. [published: centripetal Catmull-Rom, from memory] */
export function curveAlong(places: readonly Point[], steps = 6): Point[] {
  const clean = places.filter((p, i) => i === 0 || p.x !== places[i - 1]!.x || p.y !== places[i - 1]!.y)
  const out: Point[] = []
  for (let i = 0; i < clean.length - 1; i++) {
    const p1 = clean[i]!
    const p2 = clean[i + 1]!
    const p0 = clean[i - 1] ?? pt(2 * p1.x - p2.x, 2 * p1.y - p2.y)
    const p3 = clean[i + 2] ?? pt(2 * p2.x - p1.x, 2 * p2.y - p1.y)
    for (let s = 0; s < steps; s++) out.push(between(p0, p1, p2, p3, s / steps))
  }
  out.push(clean.at(-1)!)
  return out
}

/** The same closed: each stretch bends into the next without a corner, the last into the first. @param steps points a stretch */
export function curveThrough(places: readonly Point[], steps = 8): Point[] {
  const n = places.length
  if (n < 3) return [...places]
  return places.flatMap((p1, i) => {
    const [p0, p2, p3] = [places[(i + n - 1) % n]!, places[(i + 1) % n]!, places[(i + 2) % n]!]
    return Array.from({ length: steps }, (_, k) => between(p0, p1, p2, p3, k / steps))
  })
}

const knot = (a: Point, b: Point) => Math.max(1e-6, Math.sqrt(Math.hypot(b.x - a.x, b.y - a.y)))
const blend = (a: Point, b: Point, t0: number, t1: number, t: number): Point => {
  const w = (t - t0) / (t1 - t0)
  return pt(a.x + w * (b.x - a.x), a.y + w * (b.y - a.y))
}

/** Barry and Goldman's pyramid. */
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
