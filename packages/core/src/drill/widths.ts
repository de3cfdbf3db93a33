import { ofHand } from '../drawing/turnedOver'
import type { Drawing, Handle, Mark } from '../drawing/drawing'
import { boxAround } from '../geometry/box'
import { pt } from '../geometry/point'
import { areaOf } from '../geometry/polygon'
import { outlinePoints } from '../instrument/outline'
import type { OutlineRow } from '../parts/part'
import { printMm } from '../quantity/length'

/** Half-widths reach so far at most, mm. */
const MOST = 400
export type WidthSide = 'bass' | 'treble' | 'bassInner' | 'trebleInner'
const SIDE: Record<WidthSide, { sign: number; words: string }> = {
  bass: { sign: 1, words: 'bass side' },
  treble: { sign: -1, words: 'treble side' },
  bassInner: { sign: 1, words: 'bass horn, inner edge' },
  trebleInner: { sign: -1, words: 'treble horn, inner edge' },
}
const SIDES = Object.keys(SIDE) as WidthSide[]

/** Rows in the order of their places, one width changed. */
export const widthSet = (rows: readonly OutlineRow[], at: number, side: WidthSide | 'x', value: number): OutlineRow[] =>
  rows.map((r, i) => (i === at ? { ...r, [side]: value } : r)).toSorted((a, b) => a.x - b.x)

/** Another row in the middle of the longest stretch without one, on the edge as it runs there. */
export function rowBetween(rows: readonly OutlineRow[]): OutlineRow[] {
  if (rows.length < 2) return [...rows, { x: (rows[0]?.x ?? -20) + 20, bass: 100, treble: 100 }]
  const gaps = rows.slice(1).map((r, i) => r.x - rows[i]!.x)
  const i = gaps.indexOf(Math.max(...gaps))
  const [a, b] = [rows[i]!, rows[i + 1]!]
  const middle = (p: number, q: number) => Math.round(((p + q) / 2) * 10) / 10
  return [...rows, { x: middle(a.x, b.x), bass: middle(a.bass, b.bass), treble: middle(a.treble, b.treble) }].toSorted((p, q) => p.x - q.x)
}

/** Names a width among those of a table, for a handle on its drawing. */
export const widthId = (at: number, side: WidthSide): string => `${at}.${side}`
export function widthOf(id: string): { at: number; side: WidthSide } | undefined {
  const [at, side] = id.split('.')
  return SIDES.some((s) => s === side) ? { at: Number(at), side: side as WidthSide } : undefined
}

/** The edge through a table of half-widths, each width a ring to drag: the neck's end at the left, the bass side below. */
export function widthsDrawing(rows: readonly OutlineRow[], title: string, hand: 'left' | 'right'): Drawing {
  const edge = outlinePoints(rows)
  const places = [...edge, ...rows.flatMap((r) => [pt(r.x, r.bass), pt(r.x, -r.treble)]), pt(0, 0)]
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: edge },
    {
      mark: 'line',
      role: 'centre',
      points: [pt(Math.min(...places.map((p) => p.x)) - 10, 0), pt(Math.max(...places.map((p) => p.x)) + 10, 0)],
    },
    ...rows.map((r): Mark => ({ mark: 'line', role: 'guide', points: [pt(r.x, r.bass), pt(r.x, -r.treble)] })),
  ]
  const handles = rows.flatMap((r, i) =>
    SIDES.flatMap((side): Handle[] => {
      const value = r[side]
      const { sign, words } = SIDE[side]
      // A row beyond the mouth belongs to one horn alone: the other side has no edge there.
      const otherHorn = value === 0 && (side === 'bass' ? r.trebleInner : side === 'treble' ? r.bassInner : undefined) !== undefined
      return value === undefined || otherHorn
        ? []
        : [
            {
              id: widthId(i, side),
              label: `${words}, ${printMm(r.x, 1)} mm along, mm from the centre line`,
              at: pt(r.x, sign * value),
              value,
              min: -MOST,
              max: MOST,
              step: 0.5,
              unit: 'mm',
              // The bass side lies below: up is narrower there, wider on the other.
              perUp: -sign,
            },
          ]
    }),
  )
  const drawing: Drawing = {
    title,
    note: `neck’s end at the left, bass side ${hand === 'left' ? 'above' : 'below'}`,
    marks,
    handles,
    bounds: boxAround(places, 15),
    numbers: [
      { label: 'Rows', value: String(rows.length) },
      { label: 'Area', value: `${printMm(areaOf(edge) / 100, 0)} cm²` },
    ],
  }
  return ofHand(drawing, hand)
}
