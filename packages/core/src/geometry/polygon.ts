import { polygonArea, polygonCentroid, polygonContains, polygonLength } from 'd3-polygon'
import { pt, type Point } from './point'

const pairs = (points: readonly Point[]) => points.map(({ x, y }): [number, number] => [x, y])

/** Area of a closed polygon, mm2, whichever way round it goes. */
export const areaOf = (points: readonly Point[]): number => Math.abs(polygonArea(pairs(points)))

/** Length once round a closed polygon, mm. */
export const perimeterOf = (points: readonly Point[]): number => polygonLength(pairs(points))

/** Is the point inside the closed polygon? Even-odd rule. */
export const contains = (points: readonly Point[], at: Point): boolean => polygonContains(pairs(points), [at.x, at.y])

/** The same asked many times of one polygon. */
export function insideOf(points: readonly Point[]): (at: Point) => boolean {
  const polygon = pairs(points)
  return (at) => polygonContains(polygon, [at.x, at.y])
}

/** Middle of a polygon's area; of no area, nothing. */
export function centroidOf(points: readonly Point[]): Point | undefined {
  if (areaOf(points) < 1e-9) return undefined
  const [x, y] = polygonCentroid(pairs(points))
  return pt(x, y)
}

/** Is no part of a closed polygon's edge nearer to a place than so much? */
export function clearOfEdge(points: readonly Point[], at: Point, distance: number): boolean {
  const limit = distance > 0 ? distance * distance : 0
  let a = points[points.length - 1]
  for (const b of points) {
    const [x, y] = [at.x - a!.x, at.y - a!.y]
    const [dx, dy] = [b.x - a!.x, b.y - a!.y]
    const square = dx * dx + dy * dy
    const t = square === 0 ? 0 : Math.min(1, Math.max(0, (x * dx + y * dy) / square))
    const [ox, oy] = [x - t * dx, y - t * dy]
    if (ox * ox + oy * oy < limit) return false
    a = b
  }
  return true
}

/** The point of a closed polygon's edge nearest to a place, its distance, and the way its edge runs there. */
export function nearestOnEdge(points: readonly Point[], at: Point): { point: Point; distance: number; along: Point } {
  let best = { point: at, distance: Infinity, along: pt(1, 0) }
  for (let i = 0; i < points.length; i++) {
    const a = points[i]!
    const b = points[(i + 1) % points.length]!
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    const length = Math.hypot(dx, dy)
    if (length === 0) continue
    const t = Math.min(1, Math.max(0, ((at.x - a.x) * dx + (at.y - a.y) * dy) / length ** 2))
    const point = pt(a.x + t * dx, a.y + t * dy)
    const distance = Math.hypot(at.x - point.x, at.y - point.y)
    if (distance < best.distance) best = { point, distance, along: pt(dx / length, dy / length) }
  }
  return best
}
