import type { Drawing, Mark } from '../../drawing/drawing'
import { boxAround } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { lugParts, type Component, type Harness, type Wire } from '../model/harness'
import type { Setting } from '../model/setting'
import { bodyMarks, lugMarks, partAt, type PartAt, type SeenFrom } from './partMarks'
import { lugName } from '../model/lugNames'
import { signalPath } from './signalPath'

/** How far apart columns and parts of one column stand, mm on the sheet. */
const BETWEEN = 30
const GAP = 15

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
  const drawn = harness.wires.filter((w) => !w.inside)
  return {
    title: seen === 'solder' ? 'Harness, from the solder side' : 'Harness, from the playing side',
    note: 'heavy: the way of the signal; copper: ground',
    marks: [
      { mark: 'line', role: 'ground', points: [pt(-4, foot), pt(right + 4, foot)] },
      // Grounds lie under the parts they pass.
      ...drawn.filter((w) => w.role === 'ground').flatMap((w) => wireMarks(w, at, foot, false)),
      ...laid.flatMap(bodyMarks),
      ...metals.flatMap((c): Mark[] => [
        { mark: 'circle', role: 'ground', at: at.get(`${c.id}.1`)!, r: 1.6, thing: c.id },
        {
          mark: 'label',
          at: pt(at.get(`${c.id}.1`)!.x, foot + 7 + 6 * (metals.indexOf(c) % 3)),
          text: c.label.replace(/ \(.*\)$/, ''),
          anchor: 'middle',
        },
      ]),
      ...drawn.filter((w) => w.role !== 'ground').flatMap((w) => wireMarks(w, at, foot, live.wires.has(w))),
      ...laid.flatMap(lugMarks),
    ],
    bounds: boxAround([pt(-6, -8), pt(right + 6, foot + 24)]),
    numbers: harness.wires
      .filter((w) => !w.inside)
      .map((w) => ({
        label: `${lugName(harness, w.from)} to ${lugName(harness, w.to)}`,
        value: live.wires.has(w) ? 'carries the signal' : w.role,
      })),
  }
}

function layOut(harness: Harness, seen: SeenFrom): PartAt[] {
  const foot = [0, 0, 0, 0]
  const parts = harness.components.filter((c) => c.is !== 'ground')
  const wide = [0, 1, 2, 3].map((column) =>
    Math.max(0, ...parts.filter((c) => columnOf(c) === column).map((c) => partAt(c, 0, 0, seen).width)),
  )
  const from = wide.map((_, i) => wide.slice(0, i).reduce((sum, w) => sum + w + BETWEEN, 0))
  return parts.map((component) => {
    const column = columnOf(component)
    const at = partAt(component, from[column]!, foot[column]!, seen)
    foot[column] = at.y + at.height + GAP
    return at
  })
}

function wireMarks(w: Wire, at: ReadonlyMap<string, Point>, foot: number, live: boolean): Mark[] {
  const [a, b] = [at.get(w.from), at.get(w.to)]
  if (!a || !b) return []
  // A ground wire goes down to the bar from the end that is not on it.
  if (w.role === 'ground' && [w.from, w.to].some((l) => lugParts(l).component === 'case')) {
    const end = lugParts(w.to).component === 'case' ? a : b
    return [{ mark: 'line', role: 'ground', points: [end, pt(end.x, foot)], thing: `${w.from} ${w.to}` }]
  }
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
