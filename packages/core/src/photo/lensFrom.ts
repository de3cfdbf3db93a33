import { pt, type Point } from '../geometry/point'
import { straightened, type Lens } from './picture'

/** Bends of lenses in use lie well within this, either way. [practice] */
const MOST = 0.6
/** Places picked on an edge are good to this, pixels, one standard deviation. [ours] */
const PICKED = 1
/** Fewer places on one edge say nothing of its bend. */
const LEAST = 5

/** What an edge known to be straight tells of the lens. */
export interface LensFound {
  lens: Lens
  /** How surely lengths are right after it, share of a length, 95 %. */
  doubt: number
  /** How far the picked places lay off a straight line before and lie after, pixels, root of the mean square. */
  before: number
  after: number
}

/**
 * How a lens bends, from places picked along edges that are straight in truth: that bend which makes them straightest. The focal length is
 * taken as the picture's longer side: bend and focal length cannot be told apart by this, and need not be. [published: plumb-line method,
 * Brown, from memory]
 * @param edges runs of five places or more, pixels
 * @returns nothing where no run is long enough
 */
export function lensFrom(edges: readonly (readonly Point[])[], width: number, height: number): LensFound | undefined {
  const runs = edges.filter((e) => e.length >= LEAST)
  if (!runs.length) return undefined
  const taken = { focal: Math.max(width, height), middle: pt(width / 2 - 0.5, height / 2 - 0.5) }
  const off = (k: number) => Math.sqrt(mean(runs.flatMap((run) => besideLine(run.map((p) => straightened({ ...taken, k }, p))))))
  let [low, high] = [-MOST, MOST]
  // Golden section: the sum has one lowest place between the bends there are.
  const g = (Math.sqrt(5) - 1) / 2
  for (let i = 0; i < 60; i++) {
    const [a, b] = [high - g * (high - low), low + g * (high - low)]
    if (off(a) < off(b)) high = b
    else low = a
  }
  const k = (low + high) / 2
  const [before, after] = [off(0), off(k)]
  const step = 1e-3
  // How fast a bend too many shows beside the line: by that and the picks, how surely the bend is known.
  const shows = Math.sqrt(Math.max(1e-12, (off(k + step) ** 2 + off(k - step) ** 2 - 2 * after ** 2) / 2)) / step
  const count = runs.reduce((n, r) => n + r.length, 0)
  const sigma = Math.max(PICKED, after) / (shows * Math.sqrt(count))
  // A bend of k moves a length that reaches half way out by about k r2 of itself.
  const reach = Math.max(...runs.flat().map((p) => Math.hypot(p.x - taken.middle.x, p.y - taken.middle.y))) / taken.focal
  return { lens: { k, ...taken }, doubt: 2 * sigma * reach ** 2, before, after }
}

const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length

/** Squares of how far places lie beside the straight line through them. */
function besideLine(points: readonly Point[]): number[] {
  const at = pt(mean(points.map((p) => p.x)), mean(points.map((p) => p.y)))
  let [xx, xy, yy] = [0, 0, 0]
  for (const p of points) {
    xx += (p.x - at.x) ** 2
    xy += (p.x - at.x) * (p.y - at.y)
    yy += (p.y - at.y) ** 2
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2
  return points.map((p) => ((p.y - at.y) * Math.cos(angle) - (p.x - at.x) * Math.sin(angle)) ** 2)
}
