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
