import { polygonArea, polygonCentroid, polygonContains, polygonLength } from 'd3-polygon'
import { pt, type Point } from './point'

const pairs = (points: readonly Point[]) => points.map(({ x, y }): [number, number] => [x, y])

/** Area of a closed polygon, mm2, whichever way round it goes. */
export const areaOf = (points: readonly Point[]): number => Math.abs(polygonArea(pairs(points)))

/** Length once round a closed polygon, mm. */
export const perimeterOf = (points: readonly Point[]): number => polygonLength(pairs(points))

/** Is the point inside the closed polygon? Even-odd rule. */
export const contains = (points: readonly Point[], at: Point): boolean => polygonContains(pairs(points), [at.x, at.y])

/** Middle of a polygon's area; of no area, nothing. */
export function centroidOf(points: readonly Point[]): Point | undefined {
  if (areaOf(points) < 1e-9) return undefined
  const [x, y] = polygonCentroid(pairs(points))
  return pt(x, y)
}
