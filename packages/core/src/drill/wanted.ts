import polygonClipping, { type Polygon } from 'polygon-clipping'
import type { Build } from '../document/build'
import { pt, type Point } from '../geometry/point'
import { areaOf } from '../geometry/polygon'
import { insideBy } from '../fit/guard/guardRooms'
import { datums } from '../instrument/datums'
import { outlinePoints } from '../instrument/outline'
import type { OutlineRow } from '../parts/part'
import { printMm } from '../quantity/length'
import { hollowsOf } from './hollows'
import { holeCards } from './holes'
import { drawnEdge } from './place'
import { withoutGuesses } from './told'

/** Wood that must stay between a hollow and the new edge, mm. [practice] */
const WALL = 5

export interface WantedOver {
  /** Wood the body has not where the new edge wants it, and wood that comes off, mm2. */
  lacks: number
  waste: number
  /** Hollows and holes the new edge would open or leave with too little wall. */
  opened: { name: string; wall: number }[]
  says: string[]
}

/**
 * A wanted outline laid over a bought body, both from the pocket's mouth: what wood is missing, what comes off, what the new edge would open.
 * @returns nothing where nobody drew the body's own outline
 */
export function wantedOver(build: Build, rows: readonly OutlineRow[]): WantedOver | undefined {
  const told = withoutGuesses(build)
  const edge = drawnEdge(told)
  const mouth = datums(told).mouth
  const wanted = outlinePoints(rows).map((p) => pt(p.x + mouth, p.y))
  if (!edge || wanted.length < 3) return undefined
  const [has, wants] = [ring(edge), ring(wanted)]
  const lacks = areaSum(polygonClipping.difference(wants, has))
  const waste = areaSum(polygonClipping.difference(has, wants))
  const corners = hollowsOf(told).map((h) => ({
    name: h.name,
    // The pocket is open to the edge by its nature; its end must be inside.
    at:
      h.id === 'pocket'
        ? [pt(h.box.x + h.box.width, h.box.y), pt(h.box.x + h.box.width, h.box.y + h.box.height)]
        : (h.askew ?? cornersOf(h.box)),
  }))
  const holes = holeCards(build)
    .filter((c) => (c.side === 'front' || c.side === 'back') && c.places.length && !c.id.startsWith('route-'))
    .map((c) => ({ name: c.title.toLowerCase(), at: c.places }))
  const opened = [...corners, ...holes]
    .map(({ name, at }) => ({ name, wall: wallOf(wanted, at), now: wallOf(edge, at) }))
    // What stands near the edge as it is, is no fault of the new one.
    .filter((o) => o.wall < WALL && o.wall < o.now - 0.1)
    .map(({ name, wall }) => ({ name, wall }))
  return { lacks, waste, opened, says: saysOf(lacks, waste, opened) }
}

function saysOf(lacks: number, waste: number, opened: WantedOver['opened']): string[] {
  const cm2 = (mm2: number) => `${(mm2 / 100).toFixed(0)} cm²`
  return [
    lacks < 50
      ? 'The body has wood wherever the new edge wants it.'
      : `${cm2(lacks)} of wood are missing: glue it on first, or move the outline.`,
    `${cm2(waste)} come off.`,
    ...opened.map((o) =>
      o.wall <= 0
        ? `The new edge would open ${o.name}.`
        : `Only ${printMm(o.wall, 1)} mm of wall would stay beside ${o.name}; ${WALL} are wanted.`,
    ),
  ]
}

const wallOf = (edge: readonly Point[], at: readonly Point[]) => Math.min(...at.map((p) => insideBy(edge, p)))
const cornersOf = (b: { x: number; y: number; width: number; height: number }): Point[] => [
  pt(b.x, b.y),
  pt(b.x + b.width, b.y),
  pt(b.x + b.width, b.y + b.height),
  pt(b.x, b.y + b.height),
]
const ring = (points: readonly Point[]): Polygon => [points.map((p): [number, number] => [p.x, p.y])]
/** Outer rings less their holes. */
const areaSum = (found: Polygon[]): number =>
  found.reduce((sum, polygon) => sum + polygon.reduce((s, r, i) => s + (i ? -1 : 1) * areaOf(r.map(([x, y]) => pt(x, y))), 0), 0)
