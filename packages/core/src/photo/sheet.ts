import { pt, type Point } from '../geometry/point'
import { blots, type Blot } from './blots'
import type { GreyPicture } from './picture'

export type SheetPaper = 'a4' | 'letter'
/** mm. [published: ISO 216; ANSI Y14.1] */
const PAPER: Record<SheetPaper, { width: number; height: number }> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
}
/** Our own marks: a ring with a dot in its middle, mm. */
export const RING = { inner: 4.5, outer: 8, dot: 2 } as const
/** From the paper's edges to the corner marks' middles, mm. */
const IN = 18
/** The one beside the first corner, along the top, says which way the sheet lies. */
const EXTRA = 45
/** A mark's middle is found to this, one standard deviation, pixels: light falls unevenly and a tilted ring's middle is not its blot's. [ours] */
export const SHEET_SIGMA = 0.25
/** Bar to verify the printer by, mm. */
export const SHEET_BAR = 100

/** Middles of the marks, mm from the paper's top left corner, y downwards: four corners going round, then the one that says which way. */
export function sheetMarks(paper: SheetPaper): Point[] {
  const { width, height } = PAPER[paper]
  return [pt(IN, IN), pt(width - IN, IN), pt(width - IN, height - IN), pt(IN, height - IN), pt(IN + EXTRA, IN)]
}
export const sheetSize = (paper: SheetPaper) => PAPER[paper]

export interface SheetFound {
  /** In the picture, in the order of the marks. */
  marks: Point[]
  /** The picture is turned over: what is left is right. */
  mirrored: boolean
}

/** Rings with a dot in their middle, five of them, four corners and the one between: anything else is not our sheet. */
export function findSheet(picture: GreyPicture): SheetFound | undefined {
  const short = Math.min(picture.width, picture.height)
  const found = targets(blots(picture, Math.round(short / 14), 6, (short / 10) ** 2))
  if (found.length !== 5) return undefined
  return ordered(found)
}

/** A large blot whose box holds a small one with the same middle. */
function targets(all: readonly Blot[]): Point[] {
  const found: Point[] = []
  for (const ring of all) {
    const size = Math.max(ring.width, ring.height)
    if (size < 10 || Math.min(ring.width, ring.height) < 0.45 * size) continue
    // A ring fills about half of its box, a shadow less and a patch more.
    const fills = ring.area / (ring.width * ring.height)
    if (fills < 0.35 || fills > 0.72) continue
    const dot = all.find(
      (d) =>
        d !== ring &&
        Math.max(d.width, d.height) < 0.45 * size &&
        Math.max(d.width, d.height) > 0.1 * size &&
        Math.hypot(d.at.x - ring.at.x, d.at.y - ring.at.y) < 0.08 * size &&
        d.area < 0.3 * ring.area,
    )
    // Ring and dot have one middle; together they are surer of it than either.
    if (dot) found.push(pt((ring.at.x * 3 + dot.at.x) / 4, (ring.at.y * 3 + dot.at.y) / 4))
  }
  return found
}

/** Which is which: the one that lies between two others is the extra; its nearer neighbour is the first corner. */
function ordered(found: readonly Point[]): SheetFound | undefined {
  const between = found
    .map((e, i) => {
      const others = found.filter((_, j) => j !== i)
      const pairs = others.flatMap((a, j) => others.slice(j + 1).map((b) => ({ a, b, off: distanceToSegment(e, a, b) })))
      return { e, ...pairs.reduce((x, y) => (y.off < x.off ? y : x)) }
    })
    .reduce((x, y) => (y.off < x.off ? y : x))
  const { e, a, b } = between
  const [first, second] = Math.hypot(e.x - a.x, e.y - a.y) < Math.hypot(e.x - b.x, e.y - b.y) ? [a, b] : [b, a]
  const rest = found.filter((p) => p !== e && p !== first && p !== second)
  if (rest.length !== 2) return undefined
  // Going round: the third corner is on the second's side.
  const [p, q] = rest as [Point, Point]
  const [third, fourth] = crossing(first, p, second, q) ? [p, q] : [q, p]
  const turn = (second.x - first.x) * (third.y - second.y) - (second.y - first.y) * (third.x - second.x)
  return { marks: [first, second, third, fourth, e], mirrored: turn < 0 }
}

function distanceToSegment(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const t = ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy)
  return t < 0.05 || t > 0.95 ? Infinity : Math.abs((p.x - a.x) * dy - (p.y - a.y) * dx) / Math.hypot(dx, dy)
}

/** Do the lines a-c and b-d cross between their ends? Diagonals of a four-sided figure do. */
function crossing(a: Point, c: Point, b: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) => Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x))
  return side(a, c, b) !== side(a, c, d) && side(b, d, a) !== side(b, d, c)
}
