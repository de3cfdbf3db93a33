import { boxAround, rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { printMm } from '../quantity/length'
import { boundsOf } from './bounds'
import type { Drawing, Mark, Role } from './drawing'

/** Sections and plans that several joints share, each from the joint's own sizes, one unit a millimetre. */

type Numbers = Drawing['numbers']

/**
 * Everything round the marks, with a margin.
 * @param texts how far words reach, whose width no mark tells
 */
export function framed(title: string, note: string, marks: Mark[], numbers: Numbers, margin = 0.1, texts: readonly Point[] = []): Drawing {
  const { x, y, width, height } = boundsOf(marks)
  const box = boxAround([pt(x, y), pt(x + width, y + height), ...texts])
  const grow = margin * Math.max(box.width, box.height) + 0.5
  return {
    title,
    note,
    marks,
    bounds: { x: box.x - grow, y: box.y - grow, width: box.width + 2 * grow, height: box.height + 2 * grow },
    numbers,
  }
}

/** What a person takes in hand when nothing is known yet. */
export const nothingYet = (title: string, text = 'not enough sizes to draw it yet', note = 'sizes missing'): Drawing => ({
  title,
  note,
  marks: [{ mark: 'label', at: pt(0, 0), text, anchor: 'middle' }],
  bounds: { x: -40, y: -12, width: 80, height: 24 },
  numbers: [],
})

interface Bore {
  title: string
  into: Role
  thickness: number
  bore: number
  boreDepth: number
  /** What goes in. */
  plug: { label: string; diameter: number; length: number; flange?: number }
  /** It is meant to be pressed in, larger than its bore by up to this, mm: nothing is to come off. */
  pressed?: number
}

/** A round thing in its bore, cut down the middle; the gap on each side enlarged so that it can be seen. */
export function boreSection({ title, into, thickness, bore, boreDepth, plug, pressed = 0 }: Bore): Drawing {
  const gap = bore - plug.diameter
  const times = Math.abs(gap) < 0.6 ? 8 : 1
  const shown = bore / 2 - (gap / 2) * times
  const half = Math.max(bore, plug.flange ?? 0) * 0.5 + Math.max(8, bore)
  const deep = Math.min(boreDepth, thickness)
  const marks: Mark[] = [
    { mark: 'area', role: into, points: rectangle(-half, 0, -bore / 2, thickness) },
    { mark: 'area', role: into, points: rectangle(bore / 2, 0, half, thickness) },
    ...(deep < thickness ? [{ mark: 'area', role: into, points: rectangle(-bore / 2, deep, bore / 2, thickness) } as Mark] : []),
    { mark: 'area', role: 'metal', points: rectangle(-shown, -1.5, shown, Math.min(plug.length, thickness + 6)) },
    { mark: 'dimension', from: pt(-bore / 2, thickness + 4), to: pt(bore / 2, thickness + 4), text: printMm(bore) },
    { mark: 'dimension', from: pt(-plug.diameter / 2, -6), to: pt(plug.diameter / 2, -6), text: printMm(plug.diameter), emphasis: true },
  ]
  if (plug.flange) marks.push({ mark: 'area', role: 'metal', points: rectangle(-plug.flange / 2, -3, plug.flange / 2, -1.5) })
  if (-gap > pressed)
    marks.push(
      { mark: 'area', role: 'remove', points: rectangle(-shown, 0, -bore / 2, deep) },
      { mark: 'area', role: 'remove', points: rectangle(bore / 2, 0, shown, deep) },
    )
  return framed(title, times > 1 ? `gap drawn ×${times}` : 'true proportion', marks, [
    { label: 'Bore', value: `${printMm(bore)} mm` },
    { label: plug.label, value: `${printMm(plug.diameter)} mm` },
    { label: 'Bore minus it', value: `${printMm(gap)} mm` },
  ])
}

interface Layer {
  /** It is thicker than is drawn: nobody measures how thick. */
  goesOn?: true
  label: string
  thickness: number
  role: Role
}

/** Room for the layers' names beside them, in the drawing's mm. [ours] */
const NAMES = 34

/**
 * A screw through a stack of layers from the top down; the tip and what stays beyond it.
 * @param more what else is to be said of it in numbers
 */
export function screwStack(
  title: string,
  layers: readonly Layer[],
  screw: { length: number; thread: number },
  more: Numbers = [],
): Drawing {
  const half = 16
  const marks: Mark[] = []
  const numbers: Numbers = []
  let y = 0
  for (const l of layers) {
    marks.push({ mark: 'area', role: l.role, points: rectangle(-half, y, half, y + l.thickness) })
    // Beside the stack: inside it the screw would run through the words, and no ink is read on every wood.
    if (l.thickness > 2) marks.push({ mark: 'label', at: pt(-half - 2, y + l.thickness / 2), text: l.label, anchor: 'end' })
    if (!l.goesOn) {
      marks.push({ mark: 'dimension', from: pt(half + 6, y), to: pt(half + 6, y + l.thickness), text: printMm(l.thickness, 1) })
      numbers.push({ label: l.label, value: `${printMm(l.thickness, 1)} mm` })
    }
    y += l.thickness
  }
  const t = screw.thread / 2
  const tip = Math.min(screw.length, screw.thread)
  marks.push({
    mark: 'area',
    role: 'metal',
    points: [
      pt(-t * 2, -2),
      pt(t * 2, -2),
      pt(t, 0),
      pt(t, screw.length - tip),
      pt(0, screw.length),
      pt(-t, screw.length - tip),
      pt(-t, 0),
    ],
  })
  marks.push({ mark: 'dimension', from: pt(-half / 2, 0), to: pt(-half / 2, screw.length), text: printMm(screw.length, 1), emphasis: true })
  const goesOn = layers.at(-1)?.goesOn
  if (screw.length < y && !goesOn)
    marks.push({ mark: 'dimension', from: pt(8, screw.length), to: pt(8, y), text: printMm(y - screw.length, 1) })
  else if (screw.length >= y) marks.push({ mark: 'area', role: 'remove', points: rectangle(-t, y, t, screw.length) })
  numbers.push({ label: 'Screw', value: `${printMm(screw.length, 1)} mm` })
  if (!goesOn)
    numbers.push({
      label: screw.length > y ? 'Out beyond the last' : 'Left beyond the tip',
      value: `${printMm(Math.abs(y - screw.length), 1)} mm`,
    })
  return framed(title, 'true proportion', marks, [...numbers, ...more], 0.1, [pt(-half - NAMES, 0)])
}

interface Framed {
  length: number
  width: number
  radius: number
}

/** A rectangular thing in a rectangular opening from above, corners included; what overlaps is hatched. */
export function inOpening(title: string, opening: Framed, item: Framed, role: Role): Drawing {
  const marks: Mark[] = [
    {
      mark: 'area',
      role,
      points: rectangle(-opening.length / 2 - 8, -opening.width / 2 - 8, opening.length / 2 + 8, opening.width / 2 + 8),
    },
    { mark: 'area', role: 'cavity', points: rounded(opening), radius: opening.radius },
    { mark: 'area', role: 'pickup', points: rounded(item) },
  ]
  const dl = opening.length - item.length
  const dw = opening.width - item.width
  if (dw < 0)
    for (const s of [-1, 1])
      marks.push({
        mark: 'area',
        role: 'remove',
        points: rectangle(-opening.length / 2, (s * opening.width) / 2, opening.length / 2, (s * item.width) / 2),
      })
  if (dl < 0)
    for (const s of [-1, 1])
      marks.push({
        mark: 'area',
        role: 'remove',
        points: rectangle((s * opening.length) / 2, -opening.width / 2, (s * item.length) / 2, opening.width / 2),
      })
  marks.push(
    {
      mark: 'dimension',
      from: pt(opening.length / 2 + 14, -item.width / 2),
      to: pt(opening.length / 2 + 14, item.width / 2),
      text: printMm(item.width),
      emphasis: true,
    },
    {
      mark: 'dimension',
      from: pt(-opening.length / 2 - 14, -opening.width / 2),
      to: pt(-opening.length / 2 - 14, opening.width / 2),
      text: printMm(opening.width),
    },
    {
      mark: 'dimension',
      from: pt(-item.length / 2, opening.width / 2 + 13),
      to: pt(item.length / 2, opening.width / 2 + 13),
      text: printMm(item.length),
      emphasis: true,
    },
  )
  return framed(title, 'from above, true proportion · hatched: overlap', marks, [
    { label: 'Spare along the strings', value: `${printMm(dl)} mm` },
    { label: 'Spare across', value: `${printMm(dw)} mm` },
    { label: 'Corner radius, opening and cover', value: `${printMm(opening.radius, 1)} and ${printMm(item.radius, 1)} mm` },
  ])
}

function rounded({ length, width, radius }: Framed): Point[] {
  const r = Math.max(0, Math.min(radius, length / 2, width / 2))
  const corner = (cx: number, cy: number, from: number) =>
    Array.from({ length: 7 }, (_, i) => {
      const a = ((from + i * 15) * Math.PI) / 180
      return pt(cx + r * Math.cos(a), cy + r * Math.sin(a))
    })
  const [x, y] = [length / 2 - r, width / 2 - r]
  return [...corner(x, y, 0), ...corner(-x, y, 90), ...corner(-x, -y, 180), ...corner(x, -y, 270)]
}

/**
 * Places along a line, compared: what is there against what is wanted, with labels; for rows of strings and poles.
 * @param rows a bar runs from the first of its places to the last, and nobody measures between which
 */
export function rowsOver(
  title: string,
  note: string,
  rows: readonly { label: string; at: readonly number[]; role: Role; r: number; bar?: true }[],
): Drawing {
  const marks: Mark[] = []
  rows.forEach((row, i) => {
    const y = i * 9
    const span = Math.max(...row.at.map(Math.abs)) + 6
    marks.push(
      { mark: 'line', role: 'guide', points: [pt(-span, y), pt(span, y)] },
      { mark: 'label', at: pt(-span - 1, y + 1), text: row.label, anchor: 'end' },
    )
    if (row.bar)
      marks.push({ mark: 'area', role: row.role, points: rectangle(Math.min(...row.at), y - row.r, Math.max(...row.at), y + row.r) })
    else for (const x of row.at) marks.push({ mark: 'circle', role: row.role, at: pt(x, y), r: row.r })
  })
  const widest = Math.max(...rows.flatMap((r) => r.at.map(Math.abs)))
  return framed(
    title,
    note,
    marks,
    rows
      .filter((r) => !r.bar)
      .map((r) => ({ label: r.label, value: `${printMm(Math.max(...r.at) - Math.min(...r.at), 1)} mm first to last` })),
    0.1,
    [pt(-widest - 26, -5)],
  )
}
