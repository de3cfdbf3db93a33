import type { Build } from '../document/build'
import type { Drawing, Mark } from '../drawing/drawing'
import { pt } from '../geometry/point'
import { wantedOf } from '../instrument/targets'
import { actionAt, saddleFor } from '../physics/nutAction'
import { doubtOf, saddleMoves } from './actionMove'
import { printMm, sayMm } from '../quantity/length'
import { levelled } from './levelled'
import { setupModel } from './model'

const TALL = 30
/** Less than this a saddle does not have to move, mm. */
const STAYS = 0.1

/** The lowest string over the crowns from the side, heights enlarged: as the model has it beside what is wanted, and which way the saddle goes. */
export function setupDrawing(build: Build): Drawing {
  const model = setupModel(build)
  const targets = wantedOf(build)
  const bass = model.strings.at(-1)!
  const level = levelled(bass.neck)
  const nut = level(bass.neck.nut)
  const crowns = bass.neck.crowns.map(level)
  const wanted = level(saddleFor(bass.neck, model.scale, targets.actionBass, 12))
  const stands = level(bass.saddle)
  const up = (h: number) => -h * TALL
  const at = (p: { x: number; y: number }) => pt(p.x, up(p.y))
  const lowest = Math.min(...crowns.map((c) => c.y))
  const floor = lowest - 0.9
  const twelve = crowns[11]!
  const over = actionAt(bass.neck, bass.saddle, 12)
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'board',
      points: [
        pt(0, up(nut.y - bass.slot - 0.5)),
        ...crowns.map((c) => pt(c.x, up(c.y - 0.5))),
        pt(crowns.at(-1)!.x, up(floor)),
        pt(0, up(floor)),
      ],
    },
    ...crowns.map((c): Mark => ({ mark: 'line', role: 'fret', points: [pt(c.x, up(c.y)), pt(c.x, up(c.y - 0.5))] })),
    { mark: 'line', role: 'good', dashed: true, points: [at(nut), at(wanted)] },
  ]
  if (model.actionRead) marks.push({ mark: 'line', role: 'string', points: [at(nut), at(stands)] })
  const saddle = model.actionRead ? stands : wanted
  const shown = model.actionRead ? over : targets.actionBass
  marks.push(
    { mark: 'dimension', from: at(twelve), to: pt(twelve.x, up(twelve.y + shown)), text: printMm(shown), emphasis: true },
    { mark: 'line', role: 'metal', points: [at(saddle), pt(saddle.x, up(floor))] },
    { mark: 'line', role: 'metal', points: [at(nut), pt(nut.x, up(floor))] },
    { mark: 'label', at: pt(4, up(nut.y) - 8), text: 'nut', anchor: 'start' },
  )
  const off = wanted.y - saddle.y
  const read = { bass: over, treble: model.strings[0]!.action }
  const move = saddleMoves(build, { bass: targets.actionBass - over, treble: targets.actionTreble - read.treble })
  // What no screw should be turned for is not drawn as a way to go.
  const doubted = model.actionRead && doubtOf(build, read, move) !== undefined
  if (model.actionHolds && !doubted && Math.abs(off) > STAYS) {
    const x = saddle.x + 9
    const tip = up(wanted.y)
    const back = off > 0 ? 7 : -7
    marks.push(
      { mark: 'line', role: 'remove', points: [pt(x, up(saddle.y)), pt(x, tip)] },
      { mark: 'line', role: 'remove', points: [pt(x - 4, tip + back), pt(x, tip), pt(x + 4, tip + back)] },
      {
        mark: 'label',
        at: pt(x + 6, up(Math.max(saddle.y, wanted.y)) - 8),
        text: `saddle ${printMm(Math.abs(move.bass))} ${off > 0 ? 'up' : 'down'}`,
        anchor: 'end',
        role: 'remove',
      },
    )
  } else marks.push({ mark: 'label', at: pt(saddle.x + 4, up(saddle.y) - 8), text: 'saddle', anchor: 'end' })
  const top = Math.max(saddle.y, wanted.y, nut.y)
  return {
    title: 'Lowest string over the frets',
    note: `heights drawn ×${TALL} · dashed: wanted`,
    marks,
    bounds: { x: -14, y: up(top) - 26, width: model.scale + 34, height: (top - floor) * TALL + 30 },
    numbers: [
      { label: 'Action at fret 12, bass', value: asRead(over, model.actionRead, model.actionHolds) },
      { label: 'Wanted', value: `${printMm(targets.actionBass)} mm` },
      { label: 'Relief', value: asRead(model.relief, model.reliefRead, model.reliefHolds) },
      { label: 'Saddle', value: saddleSays(off, model.actionHolds, doubted) },
    ],
  }
}

function saddleSays(off: number, holds: boolean, doubted: boolean): string {
  if (doubted) return 'read again first'
  return holds ? `${printMm(Math.abs(off))} mm ${off > 0 ? 'up' : 'down'}` : 'not known'
}

const asRead = (mm: number, read: boolean, holds: boolean): string =>
  read ? `${sayMm(mm)} mm${holds ? '' : ', old: read again'}` : 'not measured'
