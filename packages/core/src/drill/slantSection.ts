import type { Drawing, Mark } from '../drawing/drawing'
import { framed } from '../drawing/sections'
import { rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { printMm } from '../quantity/length'

export interface Slant {
  title: string
  thick: number
  /** Along the top from where it goes in to where it comes out, and how deep it comes out, mm. */
  run: number
  depth: number
  bit: number
  /** The hollow it comes out in: from and to below the top, mm. */
  hollow: { from: number; to: number; label: string }
}

/** So much wood and hollow is shown beyond either end, mm. */
const BEYOND = 16
const ROOM = 26

/** Section along a bore that slants from the top down into a hollow, true proportion. */
export function slantSection({ title, thick, run, depth, bit, hollow }: Slant): Drawing {
  const long = Math.hypot(run, depth)
  const [ux, uy] = [run / long, depth / long]
  const r = bit / 2
  // Its two edges, begun where each comes up through the top.
  const edge = (side: number): [Point, Point] => {
    const at = (t: number) => pt(-side * uy * r + ux * t, side * ux * r + uy * t)
    return [at((-side * ux * r) / uy), at(long)]
  }
  const [[a, b], [d, c]] = [edge(-1), edge(1)]
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: rectangle(-BEYOND, 0, run + ROOM, thick) },
    { mark: 'area', role: 'cavity', points: rectangle(run, hollow.from, run + ROOM, hollow.to) },
    { mark: 'area', role: 'cavity', points: [a, b, c, d] },
    { mark: 'dimension', from: pt(0, -7), to: pt(run, -7), text: printMm(run, 0) },
    { mark: 'dimension', from: pt(run + ROOM + 6, 0), to: pt(run + ROOM + 6, depth), text: printMm(depth, 0), emphasis: true },
    { mark: 'label', at: pt(run + ROOM / 2, thick + 5), text: hollow.label, anchor: 'middle' },
  ]
  const degrees = (Math.atan2(depth, run) * 180) / Math.PI
  return framed(title, 'true proportion · along the bore', marks, [
    { label: 'Bit', value: `${printMm(bit)} mm` },
    { label: 'Long', value: `${printMm(long, 0)} mm` },
    { label: 'Below the top', value: `${printMm(degrees, 0)}°` },
    { label: 'Comes out under the top', value: `${printMm(depth, 0)} mm` },
  ])
}
