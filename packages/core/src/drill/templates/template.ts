import { over } from '../../drawing/turnedOver'
import { boxAround, type Box } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'

/** What a line on paper means: where it is cut, what is only shown, where something is centred, what is marked. */
export type Stroke = 'cut' | 'shown' | 'centre' | 'mark'

export type Shape =
  | { shape: 'path'; stroke: Stroke; points: Point[]; closed: boolean }
  | { shape: 'circle'; stroke: Stroke; at: Point; r: number }
  | { shape: 'text'; at: Point; text: string; anchor: 'start' | 'middle' | 'end' }

/** A paper template at true size, one unit one millimetre; how it is written to a file is not known here. */
export interface Template {
  id: TemplateId
  title: string
  /** Which face the paper lies on. */
  seen: 'front' | 'back'
  /** Turned over against a right-handed instrument seen from the front. */
  mirrored: boolean
  /** Said on every sheet of it. */
  notes: string[]
  /** What the marks on it mean, a row of holes a line. */
  legend: string[]
  shapes: Shape[]
  /** Of all its shapes, mm. */
  bounds: Box
}

export const TEMPLATE_IDS = [
  'body-front',
  'body-back',
  'head-front',
  'head-back',
  'practice',
  'guard',
  'control-plate',
  'ferrules',
  'route-neck',
  'route-middle',
  'route-bridge',
  'route-control',
  'shim',
  'cover',
] as const
export type TemplateId = (typeof TEMPLATE_IDS)[number]

/** Shapes in the instrument's frame, bass side positive, as they lie on the paper: the paper's y grows downwards. */
export function laidOut(
  t: Pick<Template, 'id' | 'title' | 'seen' | 'notes' | 'legend' | 'shapes'>,
  handedness: 'left' | 'right',
): Template {
  const mirrored = (handedness === 'left') !== (t.seen === 'back')
  const turn = (p: Point) => (mirrored ? over(p) : p)
  const shapes = t.shapes.map((s): Shape => {
    if (s.shape === 'path') return { ...s, points: s.points.map(turn) }
    return { ...s, at: turn(s.at) }
  })
  return {
    ...t,
    mirrored,
    notes: [...mirrorNotes(handedness, t.seen), ...t.notes],
    shapes,
    bounds: boxAround(shapes.flatMap(extent), 4),
  }
}

const mirrorNotes = (handedness: 'left' | 'right', seen: Template['seen']): string[] =>
  handedness === 'right' && seen === 'front'
    ? []
    : [
        [handedness === 'left' ? 'LEFT-HANDED' : '', seen === 'back' ? 'SEEN FROM THE BACK' : 'SEEN FROM THE FRONT']
          .filter(Boolean)
          .join(', '),
      ]

function extent(s: Shape): Point[] {
  if (s.shape === 'path') return s.points
  if (s.shape === 'circle') return [pt(s.at.x - s.r, s.at.y - s.r), pt(s.at.x + s.r, s.at.y + s.r)]
  return [s.at]
}

export const closed = (points: Point[], stroke: Stroke = 'shown'): Shape => ({ shape: 'path', stroke, points, closed: true })
export const line = (points: Point[], stroke: Stroke = 'centre'): Shape => ({ shape: 'path', stroke, points, closed: false })
export const words = (at: Point, text: string, anchor: 'start' | 'middle' | 'end' = 'middle'): Shape => ({
  shape: 'text',
  at,
  text,
  anchor,
})

/** A hole as it is marked: its edge, its cross-hair, its name. */
export function hole(at: Point, diameter: number, name: string, there = false): Shape[] {
  const arm = Math.max(4, diameter)
  return [
    { shape: 'circle', stroke: there ? 'shown' : 'cut', at, r: diameter / 2 },
    line([pt(at.x - arm, at.y), pt(at.x + arm, at.y)], 'mark'),
    line([pt(at.x, at.y - arm), pt(at.x, at.y + arm)], 'mark'),
    ...(name ? [words(pt(at.x + diameter / 2 + 1, at.y - diameter / 2 - 1), name, 'start')] : []),
  ]
}

/** A rectangle with rounded corners. */
export function roundedBox({ x, y, width, height }: Box, radius: number): Point[] {
  const r = Math.max(0, Math.min(radius, width / 2, height / 2))
  if (r === 0) return [pt(x, y), pt(x + width, y), pt(x + width, y + height), pt(x, y + height)]
  const corner = (cx: number, cy: number, from: number) =>
    Array.from({ length: 13 }, (_, i) => {
      const a = ((from + i * 7.5) * Math.PI) / 180
      return pt(cx + r * Math.cos(a), cy + r * Math.sin(a))
    })
  return [
    ...corner(x + width - r, y + height - r, 0),
    ...corner(x + r, y + height - r, 90),
    ...corner(x + r, y + r, 180),
    ...corner(x + width - r, y + r, 270),
  ]
}
