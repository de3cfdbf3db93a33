import { betweenBoxes, rectangle, toBox, type Box } from './box'
import type { Point } from './point'
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
  const free = parted(of, to)
  if (free <= 0) return free
  return Math.min(...of.map((p) => nearestOnEdge(to, p).distance), ...to.map((p) => nearestOnEdge(of, p).distance))
}

/**
 * Between two convex outlines, mm, along the side of either that parts them furthest: the gap itself where edges face each other, a little
 * less where corners do; less than nothing where they lie over each other. [published: separating axes, from memory]
 */
export function parted(a: readonly Point[], b: readonly Point[]): number {
  let widest = -Infinity
  for (const shape of [a, b])
    for (const [i, p] of shape.entries()) {
      const q = shape[(i + 1) % shape.length]!
      const length = Math.hypot(q.x - p.x, q.y - p.y) || 1
      const n = { x: (q.y - p.y) / length, y: (p.x - q.x) / length }
      const on = (points: readonly Point[]) => points.map((s) => s.x * n.x + s.y * n.y)
      const [ofA, ofB] = [on(a), on(b)]
      widest = Math.max(widest, Math.min(...ofB) - Math.max(...ofA), Math.min(...ofA) - Math.max(...ofB))
    }
  return widest
}
