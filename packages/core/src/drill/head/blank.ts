import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import { pt, type Point } from '../../geometry/point'
import { contains, nearestOnEdge } from '../../geometry/polygon'
import { outlinePoints } from '../../instrument/outline'
import { printMm } from '../../quantity/length'
import { withoutGuesses } from '../told'

/** The saw stays so far outside the line; file and sand take the rest, mm. [practice] */
const SAW = 5
/** A strip glued on is so much wider than what is missing, mm. [practice] */
const SPARE = 3

export interface Blank {
  /** Round the outline, where the saw goes. */
  saw: Point[]
  /** Strips to be glued on before the outline is drawn, mm wide; none where the blank is wide enough. */
  strips: { side: 'bass' | 'treble'; width: number }[]
  says: string[]
}

/** A headstock that is still a blank: where it is sawn, and what has to be glued on first. Nothing of one that is cut or has no outline. */
export function headBlank(build: Build): Blank | undefined {
  const told = withoutGuesses(build)
  const wide = sizeAt(told, sizeRef('neck', 'head.blank'))
  const rows = told.parts.neck?.outline
  if (!wide || !rows || rows.length < 3) return undefined
  const edge = outlinePoints(rows)
  const lacks = (reach: number) => reach + SAW - (wide.value - wide.doubt) / 2
  const strips = (
    [
      ['bass', Math.max(...edge.map((p) => p.y))],
      ['treble', -Math.min(...edge.map((p) => p.y))],
    ] as const
  ).flatMap(([side, reach]) => (lacks(reach) > 0 ? [{ side, width: Math.ceil(lacks(reach) + SPARE) }] : []))
  return {
    saw: outside(edge, SAW),
    strips,
    says: [
      ...strips.map(
        (s) =>
          `Too narrow on the ${s.side} side: a strip of the neck’s wood, ${s.width} mm wide, its grain along the neck, both faces planed, glued and left a day before anything is drawn.`,
      ),
      `Saw ${SAW} mm outside the outline, holes first while the edges are still square to hold it by; then file and sand to the line.`,
      ...(strips.length ? [] : [`${printMm(wide.value, 1)} mm of blank are enough for it.`]),
    ],
  }
}

/** A run of points so far outside a closed edge; where the edge dips in more closely than that, the saw goes across. */
function outside(edge: readonly Point[], by: number): Point[] {
  const n = edge.length
  return edge.flatMap((p, i) => {
    const [a, b] = [edge[(i + n - 1) % n]!, edge[(i + 1) % n]!]
    const long = Math.hypot(b.x - a.x, b.y - a.y)
    if (long === 0) return []
    const square = pt(((b.y - a.y) / long) * by, (-(b.x - a.x) / long) * by)
    const out = [pt(p.x + square.x, p.y + square.y), pt(p.x - square.x, p.y - square.y)].find((q) => !contains(edge, q))
    return out && nearestOnEdge(edge, out).distance > by - 0.1 ? [out] : []
  })
}
