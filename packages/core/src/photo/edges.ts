import { pt, type Point } from '../geometry/point'
import { brightness, type GreyPicture } from './picture'

/** A straight line through many edge points: a point on it, its direction, and how well they lie on it, pixels. */
export interface FittedLine {
  at: Point
  way: Point
  /** Standard deviation of the points beside it. */
  spread: number
  count: number
}

/** Of an edge's length, this much at either end is left out: cards have round corners. */
const ENDS = 0.14
/** How far to either side of where it is thought to be an edge is looked for: of the shorter side, and at least, pixels. */
const REACH = 0.12
const LEAST = 8

/**
 * Four picked corners of something with straight sides, made better by its sides: each is sought in many places across it, a line laid
 * through, and the corners are where the lines meet. Twice, since the second time it is sought nearer.
 * @param picked going round, good to some per cent
 * @returns nothing where a side cannot be made out
 */
export function fittedCorners(picture: GreyPicture, picked: readonly Point[]): { corners: Point[]; sigma: number } | undefined {
  let corners = [...picked]
  let lines: FittedLine[] = []
  for (const share of [REACH, REACH / 3]) {
    const found = corners.map((c, i) => fittedEdge(picture, c, corners[(i + 1) % 4]!, Math.max(LEAST, share * shortest(corners))))
    if (found.some((l) => !l)) return undefined
    lines = found as FittedLine[]
    const met = lines.map((l, i) => meeting(lines[(i + 3) % 4]!, l))
    if (met.some((m) => !m)) return undefined
    corners = met as Point[]
  }
  // Of a line's own doubt at its ends: the points' spread by how many there are, wider at the ends than in the middle.
  const sigma = Math.max(...lines.map((l) => (2 * l.spread) / Math.sqrt(l.count)), 0.1)
  return { corners, sigma }
}

const shortest = (corners: readonly Point[]) =>
  Math.min(...corners.map((c, i) => Math.hypot(corners[(i + 1) % 4]!.x - c.x, corners[(i + 1) % 4]!.y - c.y)))

/** A side from corner to corner: points of steepest change across it, and the line through those that agree. */
export function fittedEdge(picture: GreyPicture, a: Point, b: Point, reach: number): FittedLine | undefined {
  const length = Math.hypot(b.x - a.x, b.y - a.y)
  const way = pt((b.x - a.x) / length, (b.y - a.y) / length)
  const across = pt(-way.y, way.x)
  const points: Point[] = []
  const steps = Math.max(24, Math.min(240, Math.round(length)))
  for (let i = 0; i <= steps; i++) {
    const t = (ENDS + (1 - 2 * ENDS) * (i / steps)) * length
    const on = pt(a.x + way.x * t, a.y + way.y * t)
    const at = steepest(picture, on, across, reach)
    if (at !== undefined) points.push(pt(on.x + across.x * at, on.y + across.y * at))
  }
  return points.length < 12 ? undefined : agreeing(points)
}

/** Where brightness changes most along a short run, between pixels: the middle of the change about its steepest place. */
function steepest(picture: GreyPicture, on: Point, across: Point, reach: number): number | undefined {
  const step = 0.5
  const n = Math.ceil(reach / step)
  const values = Array.from({ length: 2 * n + 3 }, (_, i) =>
    brightness(picture, on.x + across.x * (i - n - 1) * step, on.y + across.y * (i - n - 1) * step),
  )
  const slopes = values.slice(2).map((v, i) => v - values[i]!)
  let best = 0
  slopes.forEach((s, i) => {
    if (Math.abs(s) > Math.abs(slopes[best]!)) best = i
  })
  const sign = Math.sign(slopes[best]!)
  if (Math.abs(slopes[best]!) < 12) return undefined
  let [sum, weight] = [0, 0]
  for (let i = Math.max(0, best - 3); i <= Math.min(slopes.length - 1, best + 3); i++) {
    const w = Math.max(0, sign * slopes[i]! - 0.25 * Math.abs(slopes[best]!))
    sum += w * (i - n) * step
    weight += w
  }
  return sum / weight
}

/** The line through most points, those that lie beside it left out one round after the other. */
function agreeing(points: readonly Point[]): FittedLine {
  let kept = points
  let line = lineThrough(kept)
  for (let i = 0; i < 6; i++) {
    const off = points.map((p) => Math.abs(beside(line, p)))
    const middle = [...off].sort((x, y) => x - y)[Math.floor(off.length / 2)]!
    // Three times what a normal spread's median stands for.
    const limit = Math.max(0.3, 3 * 1.4826 * middle)
    kept = points.filter((_, j) => off[j]! <= limit)
    line = lineThrough(kept)
  }
  return line
}

/** Total least squares. */
function lineThrough(points: readonly Point[]): FittedLine {
  const n = points.length
  const at = pt(points.reduce((s, p) => s + p.x, 0) / n, points.reduce((s, p) => s + p.y, 0) / n)
  let [xx, xy, yy] = [0, 0, 0]
  for (const p of points) {
    const [x, y] = [p.x - at.x, p.y - at.y]
    xx += x * x
    xy += x * y
    yy += y * y
  }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy)
  const line = { at, way: pt(Math.cos(angle), Math.sin(angle)), spread: 0, count: n }
  return { ...line, spread: Math.sqrt(points.reduce((s, p) => s + beside(line, p) ** 2, 0) / Math.max(1, n - 2)) }
}
const beside = ({ at, way }: Pick<FittedLine, 'at' | 'way'>, p: Point) => (p.x - at.x) * -way.y + (p.y - at.y) * way.x

function meeting(a: FittedLine, b: FittedLine): Point | undefined {
  const cross = a.way.x * b.way.y - a.way.y * b.way.x
  if (Math.abs(cross) < 0.05) return undefined
  const t = ((b.at.x - a.at.x) * b.way.y - (b.at.y - a.at.y) * b.way.x) / cross
  return pt(a.at.x + t * a.way.x, a.at.y + t * a.way.y)
}
