import { betweenBoxes, rectangle, toBox, type Box } from './box'
import { pt, type Point } from './point'
import { contains, nearestOnEdge } from './polygon'

/** A rectangle of the plane, mm: along the axes, or by its own corners in order where it lies askew in that box. */
export interface Area {
  box: Box
  askew?: Point[]
}

const cornersOf = ({ box, askew }: Area): readonly Point[] => askew ?? rectangle(box.x, box.y, box.x + box.width, box.y + box.height)

/** From a place to the area's edge, mm; nothing or less inside it. */
export function toArea(area: Area, at: Point): number {
  if (!area.askew) return toBox(area.box, at)
  const { distance } = nearestOnEdge(area.askew, at)
  return contains(area.askew, at) ? -distance : distance
}

/** From one area to another, mm; nothing or less, by how much they overlap, where they do. */
export function betweenAreas(a: Area, b: Area): number {
  if (!a.askew && !b.askew) return betweenBoxes(a.box, b.box)
  const [of, to] = [cornersOf(a), cornersOf(b)]
  // Two rectangles lie apart when a line along an edge of either parts them.
  const apart = Math.max(...[...sidesOf(of), ...sidesOf(to)].map((across) => gap(of, to, across)))
  if (apart <= 0) return apart
  return Math.min(...of.map((p) => nearestOnEdge(to, p).distance), ...to.map((p) => nearestOnEdge(of, p).distance))
}

/** The two ways across a rectangle's edges, of length one. */
const sidesOf = (corners: readonly Point[]): Point[] =>
  [0, 1].map((i) => {
    const [p, q] = [corners[i]!, corners[i + 1]!]
    const length = Math.hypot(q.x - p.x, q.y - p.y)
    return pt(-(q.y - p.y) / length, (q.x - p.x) / length)
  })

/** What lies free between two figures seen along one way, mm; less than nothing where their shadows overlap. */
function gap(a: readonly Point[], b: readonly Point[], along: Point): number {
  const shadow = (points: readonly Point[]) => points.map((p) => p.x * along.x + p.y * along.y)
  const [s, t] = [shadow(a), shadow(b)]
  return Math.max(Math.min(...t) - Math.max(...s), Math.min(...s) - Math.max(...t))
}
