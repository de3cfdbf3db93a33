import { pt, type Point } from '../geometry/point'
import type { OutlineRow } from '../parts/part'

/** Rows of a traced outline stand so far apart, mm. */
const EVERY = 20

/** Turns places in the plane into a part's own frame: its datum, a place further along its centre line, and any place on its bass side. */
export function ownFrame(datum: Point, along: Point, bass: Point): (p: Point) => Point {
  const length = Math.hypot(along.x - datum.x, along.y - datum.y)
  const way = pt((along.x - datum.x) / length, (along.y - datum.y) / length)
  const across = (p: Point) => (p.x - datum.x) * -way.y + (p.y - datum.y) * way.x
  const sign = Math.sign(across(bass)) || 1
  return (p) => pt((p.x - datum.x) * way.x + (p.y - datum.y) * way.y, sign * across(p))
}

/**
 * Half-widths every 20 mm from a closed run of places round a part, in its own frame: bass positive. Where a line across meets a side twice,
 * as it does at a horn, the inner edge is kept too.
 */
export function halfWidths(round: readonly Point[]): OutlineRow[] {
  if (round.length < 3) return []
  const xs = round.map((p) => p.x)
  const [from, to] = [Math.min(...xs), Math.max(...xs)]
  const inside = 0.5
  const stations = [from + inside]
  for (let x = Math.ceil((from + 5) / EVERY) * EVERY; x < to - 5; x += EVERY) stations.push(x)
  stations.push(to - inside)
  return stations.flatMap((x) => rowAt(round, x) ?? [])
}

function rowAt(round: readonly Point[], x: number): OutlineRow | undefined {
  const ys = round.flatMap((a, i) => {
    const b = round[(i + 1) % round.length]!
    return a.x > x === b.x > x ? [] : [a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x)]
  })
  const bass = ys.filter((y) => y > 0).sort((a, b) => b - a)
  const treble = ys
    .filter((y) => y <= 0)
    .map((y) => -y)
    .sort((a, b) => b - a)
  if (!bass.length && !treble.length) return undefined
  const tenth = (y: number) => Math.round(y * 10) / 10
  return {
    x: tenth(x),
    bass: tenth(bass[0] ?? 0),
    treble: tenth(treble[0] ?? 0),
    ...(bass.length > 1 ? { bassInner: tenth(bass.at(-1)!) } : {}),
    ...(treble.length > 1 ? { trebleInner: tenth(treble.at(-1)!) } : {}),
  }
}
