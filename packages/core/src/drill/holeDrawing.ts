import type { Drawing, Mark } from '../drawing/drawing'
import { rectangle } from '../geometry/box'
import { pt } from '../geometry/point'
import { printMm } from '../quantity/length'

/** Section through a hole: wood, bit with its tape flag, and what is left under the tip; true proportion. */
export function holeDrawing(hole: { title: string; bit: number; wood: number; depth?: number; flag?: number; left?: number }): Drawing {
  const { bit, wood, depth, flag, left } = hole
  const half = Math.max(14, wood * 0.7)
  const full = depth ?? wood
  const r = bit / 2
  const tip = flag ?? wood + 1
  const marks: Mark[] = [
    { mark: 'area', role: 'neck-wood', points: rectangle(-half, 0, half, wood) },
    {
      mark: 'area',
      role: 'cavity',
      points: depth === undefined ? rectangle(-r, 0, r, wood) : [pt(-r, 0), pt(r, 0), pt(r, full), pt(0, tip), pt(-r, full)],
    },
  ]
  if (flag !== undefined) {
    const dx = -half + 7
    const shank = 12
    marks.push({
      mark: 'area',
      role: 'bit',
      points: [pt(dx - r, -shank), pt(dx + r, -shank), pt(dx + r, full), pt(dx, tip), pt(dx - r, full)],
    })
    marks.push({ mark: 'area', role: 'tape', points: rectangle(dx - r - 2.2, -5, dx + r + 2.2, 0) })
    marks.push({ mark: 'label', at: pt(dx + r + 3.4, -1.5), text: 'tape', anchor: 'start' })
    marks.push({ mark: 'dimension', from: pt(r + 5, 0), to: pt(r + 5, tip), text: printMm(flag, 1), emphasis: true })
  }
  if (left !== undefined) marks.push({ mark: 'dimension', from: pt(r + 5, tip), to: pt(r + 5, wood), text: printMm(left, 1) })
  marks.push({ mark: 'dimension', from: pt(half - 3, 0), to: pt(half - 3, wood), text: printMm(wood, 1) })
  marks.push({ mark: 'label', at: pt(0, -3), text: `⌀ ${printMm(bit, 1)}`, anchor: 'middle' })
  return {
    title: hole.title,
    note: 'true proportion · tape flag includes the tip cone',
    marks,
    bounds: { x: -half - 3, y: -15, width: 2 * half + 6, height: wood + 20 },
    numbers: [
      { label: 'Bit', value: `${printMm(bit, 1)} mm` },
      { label: 'Wood', value: `${printMm(wood, 1)} mm` },
      ...(flag === undefined ? [] : [{ label: 'Tape flag from the tip', value: `${printMm(flag, 1)} mm` }]),
      ...(left === undefined
        ? [{ label: 'Depth', value: 'right through' }]
        : [{ label: 'Wood left under the tip', value: `${printMm(left, 1)} mm` }]),
    ],
  }
}
