import type { Mark, Role } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { lugParts, lugsOf, type Component } from '../model/harness'

/** Lugs of one part apart, and rows of a switch, mm on the sheet. */
const PITCH = 11
const ROW = 11
const WIDE: Partial<Record<Component['is'], number>> = { coil: 34, capacitor: 26, resistor: 26, jack: 34, ground: 26 }

/** From which side the parts are looked at: where the iron is, or where the hand that plays is. */
export type SeenFrom = 'solder' | 'playing'

export interface PartAt {
  component: Component
  x: number
  y: number
  width: number
  height: number
  lugs: Map<string, Point>
}

/** A part with its lugs on the sheet; seen from the other side the first lug is the last. */
export function partAt(component: Component, x: number, y: number, seen: SeenFrom): PartAt {
  const rows = rowsOf(component)
  const width = WIDE[component.is] ?? Math.max(34, PITCH * (Math.max(...rows.map((r) => r.length)) + 0.6))
  const lugs = new Map(
    rows.flatMap((row, r) =>
      row.map((lug, i): [string, Point] => {
        const along = ((i + 1) * width) / (row.length + 1)
        return [lug, pt(x + (seen === 'solder' ? along : width - along), y + 8 + ROW * r)]
      }),
    ),
  )
  return { component, x, y, width, height: 6 + ROW * rows.length, lugs }
}

/** Lugs in rows as they stand on the part: a switch has one for each of its poles. */
function rowsOf(c: Component): string[][] {
  const lugs = lugsOf(c)
  if (c.is !== 'switch') return [lugs]
  const poles = [...new Set(lugs.map((l) => lugParts(l).own[0]!))]
  return poles.length < lugs.length ? poles.map((p) => lugs.filter((l) => lugParts(l).own.startsWith(p))) : [lugs]
}

const BODY: Partial<Record<Component['is'], Role>> = { pot: 'metal', switch: 'plastic', jack: 'metal', coil: 'neck-wood', ground: 'metal' }
const short = (label: string) =>
  label
    .replace(/ \(.*\)$/, '')
    .replace(', coil nearer the ', ', coil by the ')
    .replace('slide to the second circuit', 'slide')

export const bodyMarks = ({ component: c, x, y, width, height }: PartAt): Mark[] => [
  { mark: 'area', role: BODY[c.is] ?? 'film-light', points: rectangle(x, y, x + width, y + height), thing: c.id },
  { mark: 'label', at: pt(x, y - 3), text: short(c.label), anchor: 'start' },
]

/** Its lugs, on top of what runs to them. */
export const lugMarks = ({ lugs }: PartAt): Mark[] =>
  [...lugs].flatMap(([lug, p]): Mark[] => [
    { mark: 'circle', role: 'good', at: p, r: 1.8, thing: lug },
    ...(lugs.size > 1 ? [{ mark: 'label' as const, at: pt(p.x, p.y - 4), text: lugParts(lug).own, anchor: 'middle' as const }] : []),
  ])
