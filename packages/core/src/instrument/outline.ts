import { curveAlong } from '../geometry/curve'
import { pt, type Point } from '../geometry/point'
import type { OutlineRow } from '../parts/part'

/**
 * Closed curve through a table of half-widths. It runs from the nut end round the bass side to the tail and back
 * along the treble side, dipping into a cutaway where a row gives a horn's inner edge, and closes with a straight
 * line across the nut end (the pocket mouth of a body, the nut of a headstock).
 * Bass is y positive. Centripetal Catmull-Rom, so that the curve passes through every measured point. [ours]
 */
export function outlinePoints(rows: readonly OutlineRow[]): Point[] {
  const known = drawnRows.get(rows)
  if (known) return known
  const points = curveOf(rows)
  drawnRows.set(rows, points)
  return points
}

/** Curves already drawn: the same table is asked for by many joints. */
const drawnRows = new WeakMap<readonly OutlineRow[], Point[]>()

function curveOf(rows: readonly OutlineRow[]): Point[] {
  if (rows.length < 3) return []
  const horn = (inner: 'bassInner' | 'trebleInner', sign: number) =>
    rows.filter((r) => r[inner] !== undefined).map((r) => pt(r.x, sign * r[inner]!))
  const mouth = rows.findLast((r) => r.bassInner !== undefined || r.trebleInner !== undefined)?.x ?? -Infinity
  const side = (key: 'bass' | 'treble', inner: 'bassInner' | 'trebleInner', sign: number) => {
    const innerEdge = horn(inner, sign)
    const tip = innerEdge[0]?.x ?? 0
    // Rows further out than this side's horn tip belong to the other horn alone; without a horn it starts at the mouth.
    const outer = rows.filter((r) => r.x >= (innerEdge.length ? tip : mouth)).map((r) => pt(r.x, sign * r[key]))
    return [...innerEdge.toReversed(), ...outer]
  }
  return curveAlong([...side('bass', 'bassInner', 1), ...side('treble', 'trebleInner', -1).toReversed()])
}
