import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import { rectangle } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { laid, PLACES, type Pose } from '../../instrument/guardPlace'
import { outlinePoints } from '../../instrument/outline'
import { drawnAt } from '../../judge/known'

/** Shortest distance from a point to a closed polygon's edge, mm; negative outside. */
export function insideBy(points: readonly Point[], at: Point): number {
  let nearest = Infinity
  let inside = false
  let q = points[points.length - 1]!
  for (const p of points) {
    const [dx, dy] = [p.x - q.x, p.y - q.y]
    const t = Math.max(0, Math.min(1, ((at.x - q.x) * dx + (at.y - q.y) * dy) / (dx * dx + dy * dy || 1)))
    const [ex, ey] = [at.x - q.x - t * dx, at.y - q.y - t * dy]
    nearest = Math.min(nearest, ex * ex + ey * ey)
    if (q.y > at.y !== p.y > at.y && at.x < (dx * (at.y - q.y)) / dy + q.x) inside = !inside
    q = p
  }
  return inside ? Math.sqrt(nearest) : -Math.sqrt(nearest)
}

/** The guard's outline, laid on the body. */
export function laidOutline(build: Build, pose: Pose): Point[] {
  const rows = build.parts.guard?.outline
  if (!rows || rows.length < 3) return []
  return outlinePoints(rows).map((p) => laid(pose, p))
}

/** Corners of every route, mm from the heel's end. */
export function routeCorners(build: Build): { place: string; corners: Point[] }[] {
  const pocket = valueAt(build, sizeRef('body', 'pocket.length'))
  return PLACES.flatMap((place) => {
    const v = (k: 'centre' | 'length' | 'width') => valueAt(build, sizeRef('body', `route.${place}.${k}`))
    const [c, l, w] = [v('centre'), v('length'), v('width')]
    const side = drawnAt(build, sizeRef('body', `route.${place}.side`))
    if (!build.parts[`pickup-${place}`] || pocket === undefined || c === undefined || l === undefined || w === undefined) return []
    return [{ place, corners: rectangle(c - pocket - l / 2, side - w / 2, c - pocket + l / 2, side + w / 2) }]
  })
}

/** Middle and half sizes of the control route, mm from the heel's end; nothing until all four of its sizes are known. */
export function controlRoute(build: Build): { middle: Point; half: Point } | undefined {
  const v = (size: `control.${'x' | 'y' | 'length' | 'width'}` | 'pocket.length') => valueAt(build, sizeRef('body', size))
  const [x, y, l, w, pocket] = [v('control.x'), v('control.y'), v('control.length'), v('control.width'), v('pocket.length')]
  if (x === undefined || y === undefined || l === undefined || w === undefined || pocket === undefined) return undefined
  return { middle: pt(x - pocket, y), half: pt(l / 2, w / 2) }
}
