import type { Point } from './point'

/** Area of a closed polygon by the shoelace formula, mm2. */
export function areaOf(points: readonly Point[]): number {
  let twice = 0
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!
    twice += p.x * q.y - q.x * p.y
  })
  return Math.abs(twice) / 2
}

/** Length once round a closed polygon, mm. */
export function perimeterOf(points: readonly Point[]): number {
  return points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length]!
    return sum + Math.hypot(q.x - p.x, q.y - p.y)
  }, 0)
}

/** Is the point inside the closed polygon? Even-odd rule. */
export function contains(points: readonly Point[], at: Point): boolean {
  let inside = false
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!
    if (p.y > at.y !== q.y > at.y && at.x < ((q.x - p.x) * (at.y - p.y)) / (q.y - p.y) + p.x) inside = !inside
  })
  return inside
}
