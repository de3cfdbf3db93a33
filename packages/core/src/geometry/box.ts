import { pt, type Point } from './point'

/** A piece of the plane, mm. */
export interface Box {
  x: number
  y: number
  width: number
  height: number
}

export const rectangle = (x0: number, y0: number, x1: number, y1: number): Point[] => [pt(x0, y0), pt(x1, y0), pt(x1, y1), pt(x0, y1)]

/** Smallest box round the points, grown by `margin`. */
export function boxAround(points: readonly Point[], margin = 0): Box {
  let x0 = Infinity
  let y0 = Infinity
  let x1 = -Infinity
  let y1 = -Infinity
  for (const p of points) {
    x0 = Math.min(x0, p.x)
    x1 = Math.max(x1, p.x)
    y0 = Math.min(y0, p.y)
    y1 = Math.max(y1, p.y)
  }
  return { x: x0 - margin, y: y0 - margin, width: x1 - x0 + 2 * margin, height: y1 - y0 + 2 * margin }
}

/** From a place to a rectangle given by its corners in order, mm; nothing or less inside it. */
export function toBox(box: Box, { x, y }: Point): number {
  const dx = Math.max(box.x - x, x - box.x - box.width)
  const dy = Math.max(box.y - y, y - box.y - box.height)
  return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy)
}

/** From one box to another, mm; nothing or less where they overlap. */
export function betweenBoxes(a: Box, b: Box): number {
  const dx = Math.max(b.x - a.x - a.width, a.x - b.x - b.width)
  const dy = Math.max(b.y - a.y - a.height, a.y - b.y - b.height)
  return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy)
}

/** Does a straight run from a to b pass through the box? Slab by slab. */
export function crosses(box: Box, a: Point, b: Point): boolean {
  let [from, to] = [0, 1]
  for (const [p, d, low, high] of [
    [a.x, b.x - a.x, box.x, box.x + box.width],
    [a.y, b.y - a.y, box.y, box.y + box.height],
  ] as const) {
    if (d === 0) {
      if (p < low || p > high) return false
      continue
    }
    const [t0, t1] = [(low - p) / d, (high - p) / d]
    from = Math.max(from, Math.min(t0, t1))
    to = Math.min(to, Math.max(t0, t1))
  }
  return from <= to
}
