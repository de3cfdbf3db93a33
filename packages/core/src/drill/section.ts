import type { Build } from '../document/build'
import { sizeAt, sizeRef } from '../document/read'
import type { Drawing, Mark, Role } from '../drawing/drawing'
import { framed } from '../drawing/sections'
import { rectangle } from '../geometry/box'
import { pt } from '../geometry/point'
import { drawnAt } from '../judge/known'
import { printMm } from '../quantity/length'

export interface Section {
  title: string
  /** What the bit goes through and into, from where it enters, mm; one nobody measured is drawn as thick as it may be, without a figure. */
  layers: readonly { label: string; thickness: number; role: Role; unread?: boolean }[]
  /** Layers above it that are held by the screw and are not drilled here, mm. */
  above?: readonly { label: string; thickness: number; role: Role }[]
  /** Nothing is drilled where there is none: the drawing then shows what is in the way. */
  bit?: number
  depth?: number
  /** Nobody measured how deep it is: it is drawn as deep as it has to be. */
  depthUnread?: true
  flag?: number
  left?: number
  /** Screw under its head, mm. */
  screw?: { length: number; thread: number }
  /** How far the far end may come out beside its mark, mm. */
  wander?: number
}

const BODY = sizeRef('body', 'thickness')
/** The body as one layer, drawn as thick as bodies usually are where nobody measured this one. */
export const bodyLayer = (build: Build, { size, label } = { size: BODY, label: 'body' }): Section['layers'] => [
  { label, thickness: drawnAt(build, size), role: 'body-wood', ...(sizeAt(build, size) ? {} : { unread: true }) },
]

/** Section through a hole: what it goes through, the bit beside it with its tape flag, the screw, what stays under the tip; true proportion. */
export function holeSection({ title, layers, above = [], bit, depth, depthUnread, flag, left, screw, wander }: Section): Drawing {
  const wood = layers.reduce((sum, l) => sum + l.thickness, 0)
  const up = above.reduce((sum, l) => sum + l.thickness, 0)
  const r = (bit ?? 0) / 2
  const half = Math.max(12, wood * 0.6, 6 * r)
  const tip = flag ?? wood + r
  const marks: Mark[] = []
  const stack = (list: Section['layers'], from: number) => {
    let y = from
    for (const l of list) {
      marks.push({ mark: 'area', role: l.role, points: rectangle(-half, y, half, y + l.thickness) })
      y += l.thickness
    }
  }
  stack(above, -up)
  stack(layers, 0)
  const hole =
    depth === undefined
      ? rectangle(-r, 0, r, wood)
      : [pt(-r, 0), pt(r, 0), pt(r, depth), ...(flag === undefined ? [] : [pt(0, flag)]), pt(-r, depth)]
  if (bit !== undefined) marks.push({ mark: 'area', role: 'cavity', points: hole })
  if (up && bit !== undefined) marks.push({ mark: 'area', role: 'cavity', points: rectangle(-r * 1.3, -up, r * 1.3, 0) })
  if (screw) marks.push(...screwIn(screw, up))
  if (wander)
    for (const s of [-1, 1]) marks.push({ mark: 'line', role: 'doubt', points: [pt(s * r, 0), pt(s * (r + wander), wood)], dashed: true })
  if (flag !== undefined && depth !== undefined) {
    const x = -half - 4 - r
    marks.push(
      { mark: 'area', role: 'bit', points: [pt(x - r, -14), pt(x + r, -14), pt(x + r, depth), pt(x, flag), pt(x - r, depth)] },
      { mark: 'area', role: 'tape', points: rectangle(x - r - 2, -5, x + r + 2, 0) },
      { mark: 'label', at: pt(x + r + 3, -2), text: 'tape', anchor: 'start' },
      { mark: 'dimension', from: pt(x - r - 5, 0), to: pt(x - r - 5, tip), text: printMm(flag, 1), emphasis: true },
    )
  }
  if (left !== undefined) marks.push({ mark: 'dimension', from: pt(r + 4, tip), to: pt(r + 4, wood), text: printMm(left, 1) })
  marks.push(
    ...(layers.some((l) => l.unread)
      ? []
      : [{ mark: 'dimension', from: pt(half + 5, 0), to: pt(half + 5, wood), text: printMm(wood, 1) } as const]),
    ...(bit === undefined ? [] : [{ mark: 'label', at: pt(0, -up - 3), text: `⌀ ${printMm(bit)}`, anchor: 'middle' } as const]),
    // Below, where no hole and no dimension runs through the words.
    { mark: 'label', at: pt(0, wood + 4), text: [...above, ...layers].map((l) => l.label).join(', then '), anchor: 'middle' },
  )
  return framed(title, `true proportion${flag === undefined ? '' : ' · the flag counts from the bit’s tip'}`, marks, [
    { label: 'Hole', value: bit === undefined ? 'none' : `${printMm(bit)} mm` },
    ...layers.map((l) => ({ label: l.label, value: l.unread ? 'not measured' : `${printMm(l.thickness, 1)} mm` })),
    ...(flag === undefined ? [] : [{ label: 'Tape flag from the tip', value: `${printMm(flag, 1)} mm` }]),
    ...(left !== undefined
      ? [{ label: 'Wood left under the tip', value: `${printMm(left, 1)} mm` }]
      : bit === undefined
        ? []
        : [{ label: 'Depth', value: depthSays(depth, depthUnread) }]),
    ...(wander ? [{ label: 'Comes out beside its mark by up to', value: `${printMm(wander)} mm` }] : []),
  ])
}

function depthSays(depth: number | undefined, unread: true | undefined): string {
  if (unread) return 'not measured'
  return depth === undefined ? 'right through' : `${printMm(depth, 1)} mm`
}

function screwIn({ length, thread }: { length: number; thread: number }, up: number): Mark[] {
  const t = thread / 2
  const end = length - up
  const point = Math.min(end / 2, thread)
  return [
    {
      mark: 'area',
      role: 'metal',
      points: [pt(-t, -up), pt(t, -up), pt(t, end - point), pt(0, end), pt(-t, end - point)],
    },
    { mark: 'area', role: 'metal', points: rectangle(-2 * t, -up - 1.5, 2 * t, -up) },
  ]
}
