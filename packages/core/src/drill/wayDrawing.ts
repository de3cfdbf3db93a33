import type { Drawing } from '../drawing/drawing'
import { ofHand } from '../drawing/turnedOver'
import { framed } from '../drawing/sections'
import { rectangle, type Box } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { printMm } from '../quantity/length'

export interface WayIn {
  title: string
  from: Point
  to: Point
  wide: number
  /** What it comes out in. */
  hollow: Box
  names: { from: string; hollow: string }
}

/** A bore along the wood seen from the front: where it begins, the hollow it runs into, how long it is at most. */
export function wayDrawing({ title, from, to, wide, hollow, names }: WayIn, hand: 'left' | 'right'): Drawing {
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const [nx, ny] = [(-(to.y - from.y) / long) * (wide / 2), ((to.x - from.x) / long) * (wide / 2)]
  const beside = (p: Point, by: number) => pt(p.x + nx * by, p.y + ny * by)
  // The figure stands on the side away from the hollow's name.
  const off = (wide / 2 + 7) / (wide / 2)
  const drawing = framed(
    title,
    'from the front, true proportion',
    [
      { mark: 'area', role: 'cavity', points: rectangle(hollow.x, hollow.y, hollow.x + hollow.width, hollow.y + hollow.height) },
      { mark: 'area', role: 'bit', points: [beside(from, 1), beside(to, 1), beside(to, -1), beside(from, -1)] },
      { mark: 'dimension', from: beside(from, off), to: beside(to, off), text: printMm(long, 0), emphasis: true },
      { mark: 'label', at: pt(hollow.x + hollow.width / 2, hollow.y - 5), text: names.hollow, anchor: 'middle' },
      { mark: 'label', at: pt(from.x, from.y + 12), text: names.from, anchor: 'middle' },
    ],
    [
      { label: 'Bit', value: `${printMm(wide)} mm` },
      { label: 'Long, at most', value: `${printMm(long, 0)} mm` },
    ],
  )
  return ofHand(drawing, hand)
}
