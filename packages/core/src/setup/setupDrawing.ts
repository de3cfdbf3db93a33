import type { Build } from '../document/build'
import { sizeAt } from '../document/read'
import { bassString, setupReading } from '../document/setupReadings'
import type { Drawing, Mark } from '../drawing/drawing'
import { rectangle } from '../geometry/box'
import { pt } from '../geometry/point'
import { TARGETS } from '../instrument/targets'
import { fretPlaces } from '../physics/frets'
import { printMm } from '../quantity/length'

const TALL = 30

/** Outer strings over the frets from the side, heights enlarged: measured beside wanted. */
export function setupDrawing(build: Build): Drawing {
  const targets = TARGETS[build.setup.school]
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const count = sizeAt(build, { slot: 'neck', size: 'frets' })?.value ?? 22
  const slot = sizeAt(build, { slot: 'nut', size: 'slot' })?.value ?? 0.5
  const readRelief = setupReading(build, { what: 'relief' })
  const relief = readRelief ?? (targets.relief.from + targets.relief.to) / 2
  const end = scale
  const up = (h: number) => -h * TALL
  const dip = (x: number) => (x > 0.72 * scale ? 0 : -4 * relief * (x / (0.72 * scale)) * (1 - x / (0.72 * scale)))
  const x12 = scale / 2
  // Action is measured over the crown, which relief has let down: the string passes fret 12 that much lower.
  const saddle = (action: number) => 2 * (action + dip(x12)) - slot
  const line = (action: number) => [pt(0, up(slot)), pt(end, up(saddle(action)))]
  const marks: Mark[] = fretPlaces(scale, count).map((x) => ({
    mark: 'area',
    role: 'fret',
    points: rectangle(x - 1.3, up(dip(x)), x + 1.3, up(dip(x) - 0.5)),
  }))
  const board = fretPlaces(scale, count).map((x) => pt(x, up(dip(x) - 0.5)))
  marks.unshift({ mark: 'area', role: 'board', points: [pt(0, up(-0.5)), ...board, pt(board.at(-1)!.x, up(-1.3)), pt(0, up(-1.3))] })
  const measured = setupReading(build, { what: 'action', string: bassString(build) })
  marks.push({ mark: 'line', role: 'good', dashed: true, points: line(targets.actionBass) })
  if (measured !== undefined) marks.push({ mark: 'line', role: 'string', points: line(measured) })
  const shown = measured ?? targets.actionBass
  marks.push({ mark: 'dimension', from: pt(x12, up(dip(x12))), to: pt(x12, up(shown + dip(x12))), text: printMm(shown), emphasis: true })
  marks.push({ mark: 'area', role: 'metal', points: rectangle(end - 3, up(saddle(shown)), end + 5, up(-1.3)) })
  marks.push({ mark: 'area', role: 'metal', points: rectangle(-5, up(slot), 0, up(-1.3)) })
  marks.push(
    { mark: 'label', at: pt(-5, up(slot) - 8), text: 'nut', anchor: 'start' },
    { mark: 'label', at: pt(end + 4, up(saddle(shown)) - 8), text: 'saddle', anchor: 'end' },
  )
  return {
    title: 'Lowest string over the frets',
    note: `heights drawn ×${TALL} · dashed: wanted`,
    marks,
    bounds: {
      x: -14,
      y: up(Math.max(shown, targets.actionBass) * 2) - 22,
      width: end + 28,
      height: (Math.max(shown, targets.actionBass) * 2 + 1.4) * TALL + 26,
    },
    numbers: [
      { label: 'Action at fret 12, bass', value: measured === undefined ? 'not measured' : `${printMm(measured)} mm` },
      { label: 'Wanted', value: `${printMm(targets.actionBass)} mm` },
      { label: 'Relief', value: readRelief === undefined ? 'not measured' : `${printMm(relief)} mm` },
    ],
  }
}
