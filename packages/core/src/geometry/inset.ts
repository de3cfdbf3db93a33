import { areaOf, clearOfEdge, insideOf } from './polygon'
import { pt, type Point } from './point'

/** What the distance to the edge may fall short by before a point is taken to lie across a narrow place, mm. */
const SLACK = 0.6

/**
 * A closed polygon drawn in by a distance all round: each point goes square to the edge, and those that come too near another part of it
 * are left out, so that narrow horns end where they end. Good for pictures; where nothing is left, an empty list.
 */
export function inset(points: readonly Point[], by: number): Point[] {
  if (by <= 0) return [...points]
  const n = points.length
  const inside = insideOf(points)
  const drawn = points.flatMap((p, i) => {
    const a = points[(i + n - 1) % n]!
    const b = points[(i + 1) % n]!
    const length = Math.hypot(b.x - a.x, b.y - a.y)
    if (length === 0) return []
    const [nx, ny] = [-(b.y - a.y) / length, (b.x - a.x) / length]
    const found = [pt(p.x + nx * by, p.y + ny * by), pt(p.x - nx * by, p.y - ny * by)].find(
      // Where it is too near is found sooner than where it is outside.
      (q) => clearOfEdge(points, q, by - SLACK) && inside(q),
    )
    return found ? [found] : []
  })
  return drawn.length > 2 && areaOf(drawn) > 1 ? drawn : []
}

/** Distances of a closed polygon's points over which it turns tighter than a radius, mm: where a strip lifts and a block bites. */
export function tightTurns(points: readonly Point[], radius: number): { at: Point; radius: number }[] {
  const n = points.length
  const found: { at: Point; radius: number }[] = []
  for (let i = 0; i < n; i++) {
    const [a, p, b] = [points[(i + n - 2) % n]!, points[i]!, points[(i + 2) % n]!]
    const [ab, bc, ca] = [dist(a, p), dist(p, b), dist(b, a)]
    const twice = Math.abs((p.x - a.x) * (b.y - a.y) - (b.x - a.x) * (p.y - a.y))
    const r = twice < 1e-9 ? Infinity : (ab * bc * ca) / (2 * twice)
    if (r < radius) {
      // Neighbouring points of one corner are one corner: the tightest stands for it.
      const last = found.at(-1)
      if (last && dist(last.at, p) < radius) {
        if (r < last.radius) found[found.length - 1] = { at: p, radius: r }
      } else found.push({ at: p, radius: r })
    }
  }
  return found
}

const dist = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)
