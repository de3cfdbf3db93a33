import type { Build } from '../document/build'
import { valueAt, isThrough, UNDER_BOARD } from '../document/read'
import { pt, type Point } from '../geometry/point'
import type { OutlineRow } from '../parts/part'
import { outlinePoints } from './outline'

/** How a body's shape is known: drawn as a table, by a few numbers of it, or not at all. */
export type ShapeKnown = 'drawn' | 'numbers' | 'usual'

/** Usual proportions, when nothing at all is known, of a body whose bridge stands 255 mm from the pocket’s mouth. [ours] */
const USUAL: readonly OutlineRow[] = [
  { x: 0, bass: 120, treble: 100 },
  { x: 80, bass: 138, treble: 126 },
  { x: 150, bass: 118, treble: 116 },
  { x: 240, bass: 158, treble: 158 },
  { x: 320, bass: 120, treble: 120 },
  { x: 345, bass: 30, treble: 30 },
]

const USUAL_BRIDGE = 255
/** No finer, so that few shapes are made however often a place is tried, mm. */
const STEP = 5

/** How far before the place they are counted from the rows of a shape that nobody drew begin further, mm. */
const under = (build: Build): number => (isThrough(build) ? UNDER_BOARD : 0)

/** The usual shape, longer where the bridge stands further back: a bass's does not stand beyond its wood. */
function usualRows(toBridge: number | undefined, under: number): readonly OutlineRow[] {
  const longer = Math.max(1, (STEP * Math.round(((toBridge ?? 0) + under) / STEP)) / USUAL_BRIDGE)
  const key = `usual ${longer} ${under}`
  const made = kept.get(key) ?? USUAL.map((row) => ({ ...row, x: row.x * longer - under }))
  kept.set(key, made)
  return made
}

/** Places of a body's widths along its whole length, from its upper end, as shares: a smooth shape of no pattern's. [ours] */
const UPPER = 0.24
const WAIST = 0.47
const LOWER = 0.76
/** Of its length, what lies beside the neck before the pocket's mouth. [ours] */
const BEFORE_MOUTH = 0.14

/** A body's rows from the pocket's mouth, with how they are known. Four numbers make a shape good for weight and area, not for a template. */
export function bodyShape(build: Build): { rows: readonly OutlineRow[]; known: ShapeKnown } {
  const rows = build.parts.body?.outline
  if (rows && rows.length >= 3) return { rows, known: 'drawn' }
  const value = (size: string) => valueAt(build, { slot: 'body', size })
  const [length, lower] = [value('outline.length'), value('outline.lower')]
  if (length === undefined || lower === undefined) return { rows: usualRows(value('mouthToBridge'), under(build)), known: 'usual' }
  const upper = value('outline.upper') ?? lower * 0.8
  const waist = value('outline.waist') ?? Math.min(upper, lower) * 0.82
  const key = [length, lower, upper, waist, under(build)].join(' ')
  const made = kept.get(key) ?? fromNumbers(length, upper, waist, lower, under(build))
  kept.set(key, made)
  return { rows: made, known: 'numbers' }
}

/** Shapes made once: the same table is asked for by many joints, and curves are kept by table. */
const kept = new Map<string, readonly OutlineRow[]>()

function fromNumbers(length: number, upper: number, waist: number, lower: number, under: number): readonly OutlineRow[] {
  const row = (share: number, width: number): OutlineRow => ({
    x: (share - BEFORE_MOUTH) * length - under,
    bass: width / 2,
    treble: width / 2,
  })
  return [
    row(0, upper * 0.3),
    row(0.08, upper * 0.78),
    row(UPPER, upper),
    row(WAIST, waist),
    row(LOWER, lower),
    row(0.93, lower * 0.72),
    row(1, lower * 0.18),
  ]
}

/** Outline of the body placed on the instrument; usual proportions when none was entered. */
export const bodyOutline = (build: Build, mouth: number): Point[] => outlinePoints(bodyShape(build).rows).map((p) => pt(p.x + mouth, p.y))

/** A strap button needs so much wood round its screw before the end of the horn, mm. [practice] */
const FROM_TIP = 8
/** As far towards the headstock as a strap button can sit on a body of such a shape, mm from the pocket's mouth. */
export const hornTip = ({ rows }: Pick<ReturnType<typeof bodyShape>, 'rows'>): number => Math.min(...rows.map((r) => r.x)) + FROM_TIP
