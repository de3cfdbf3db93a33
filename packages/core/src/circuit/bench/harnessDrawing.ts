import type { Drawing, Mark, Role } from '../../drawing/drawing'
import { boxAround, rectangle } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { lugParts, lugsOf, type Component, type Harness, type Wire } from '../model/harness'
import type { Setting } from '../model/setting'
import { signalPath } from './signalPath'

/** How far apart columns and parts of one column stand, and lugs of one part, mm on the sheet. */
const COLUMN = 62
const GAP = 14
const PITCH = 9
const WIDE: Partial<Record<Component['is'], number>> = { coil: 26, capacitor: 20, resistor: 20, jack: 22 }

/** From which side the parts are looked at: where the iron is, or where the hand that plays is. */
export type SeenFrom = 'solder' | 'playing'

interface Laid {
  component: Component
  x: number
  y: number
  width: number
  height: number
  lugs: Map<string, Point>
}

/** In which column a part stands: pickups, switches, controls, jack; metal hangs on the ground bar below. */
const columnOf = (c: Component): number => (c.is === 'coil' ? 0 : c.is === 'switch' ? 1 : c.is === 'jack' ? 3 : 2)

/**
 * The harness spread out for reading: every lug, every wire, all grounds on one bar. The way of the signal with the switches so is drawn
 * heavy. Lugs lie mirrored between the two sides, as they do on the part.
 */
export function harnessDrawing(harness: Harness, switches: Setting['switches'], seen: SeenFrom): Drawing {
  const laid = layOut(harness, seen)
  const at = new Map(laid.flatMap((l) => [...l.lugs]))
  const foot = Math.max(...laid.map((l) => l.y + l.height)) + 14
  const metals = harness.components.filter((c) => c.is === 'ground')
  const right = Math.max(...laid.map((l) => l.x + l.width))
  metals.forEach((c, i) => at.set(`${c.id}.1`, pt(((i + 0.5) * right) / metals.length, foot)))
  const live = signalPath(harness, switches)
  return {
    title: seen === 'solder' ? 'Harness, from the solder side' : 'Harness, from the playing side',
    note: 'heavy: the way of the signal; copper: ground',
    marks: [
      { mark: 'line', role: 'ground', points: [pt(-4, foot), pt(right + 4, foot)] },
      ...laid.flatMap(partMarks),
      ...metals.flatMap((c): Mark[] => [
        { mark: 'circle', role: 'ground', at: at.get(`${c.id}.1`)!, r: 1.6, thing: c.id },
        { mark: 'label', at: pt(at.get(`${c.id}.1`)!.x, foot + 7 + 6 * (metals.indexOf(c) % 3)), text: short(c.label), anchor: 'middle' },
      ]),
      ...harness.wires.filter((w) => !w.inside).flatMap((w) => wireMarks(w, at, foot, live.wires.has(w))),
    ],
    bounds: boxAround([pt(-6, -8), pt(right + 6, foot + 24)]),
    numbers: harness.wires
      .filter((w) => !w.inside)
      .map((w) => ({ label: w.from, value: `${w.to}${live.wires.has(w) ? ', carries the signal' : ''}` })),
  }
}

const short = (label: string) => label.replace(/ \(.*\)$/, '')

function layOut(harness: Harness, seen: SeenFrom): Laid[] {
  const foot = [0, 0, 0, 0]
  return harness.components
    .filter((c) => c.is !== 'ground')
    .map((component): Laid => {
      const column = columnOf(component)
      const rows = rowsOf(component)
      const width = WIDE[component.is] ?? Math.max(28, PITCH * (Math.max(...rows.map((r) => r.length)) + 1))
      const height = 10 + 7 * rows.length
      const [x, y] = [column * COLUMN, foot[column]!]
      foot[column] = y + height + GAP
      const lugs = new Map(
        rows.flatMap((row, r) =>
          row.map((lug, i): [string, Point] => {
            const along = ((i + 1) * width) / (row.length + 1)
            // Seen from the other side the first lug is the last.
            return [lug, pt(x + (seen === 'solder' ? along : width - along), y + 10 + 7 * r)]
          }),
        ),
      )
      return { component, x, y, width, height, lugs }
    })
}

/** Lugs in rows as they stand on the part: a switch has one for each of its poles. */
function rowsOf(c: Component): string[][] {
  const lugs = lugsOf(c)
  if (c.is !== 'switch') return [lugs]
  const poles = [...new Set(lugs.map((l) => lugParts(l).own[0]!))]
  return poles.length < lugs.length ? poles.map((p) => lugs.filter((l) => lugParts(l).own.startsWith(p))) : [lugs]
}

const BODY: Partial<Record<Component['is'], Role>> = {
  coil: 'pickup',
  pot: 'metal',
  switch: 'plastic',
  jack: 'metal',
  capacitor: 'film',
  resistor: 'film',
}

const partMarks = ({ component: c, x, y, width, height, lugs }: Laid): Mark[] => [
  { mark: 'area', role: BODY[c.is] ?? 'plastic', points: rectangle(x, y, x + width, y + height - 3), thing: c.id },
  { mark: 'label', at: pt(x + width / 2, y - 2), text: short(c.label), anchor: 'middle' },
  ...[...lugs].flatMap(([lug, p]): Mark[] => [
    { mark: 'circle', role: 'good', at: p, r: 1.5, thing: lug },
    { mark: 'label', at: pt(p.x, p.y - 2.6), text: lugParts(lug).own, anchor: 'middle' },
  ]),
]

function wireMarks(w: Wire, at: ReadonlyMap<string, Point>, foot: number, live: boolean): Mark[] {
  const [a, b] = [at.get(w.from), at.get(w.to)]
  if (!a || !b) return []
  // A ground wire goes down to the bar where it starts.
  if (w.role === 'ground' && lugParts(w.to).component === 'case')
    return [{ mark: 'line', role: 'ground', points: [a, pt(a.x, foot)], thing: `${w.from} ${w.to}` }]
  const bow = pt((a.x + b.x) / 2, Math.max(a.y, b.y) + 3 + Math.abs(a.x - b.x) * 0.06)
  return [
    {
      mark: 'line',
      role: live ? 'sounding' : 'hot',
      points: curve(a, bow, b),
      thing: `${w.from} ${w.to}`,
      ...(live ? {} : { dashed: true }),
    },
  ]
}

/** A bow between two lugs, so that wires do not lie on each other. [published: quadratic Bezier] */
const curve = (a: Point, c: Point, b: Point): Point[] =>
  Array.from({ length: 13 }, (_, i) => {
    const t = i / 12
    return pt((1 - t) ** 2 * a.x + 2 * t * (1 - t) * c.x + t * t * b.x, (1 - t) ** 2 * a.y + 2 * t * (1 - t) * c.y + t * t * b.y)
  })
