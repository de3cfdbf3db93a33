import type { Build } from '../document/build'
import type { Drawing, Mark } from '../drawing/drawing'
import { pt } from '../geometry/point'
import { clearances } from '../physics/clearance'
import { pluckOf, type BuzzCell } from './buzz'
import { levelled } from './levelled'
import type { SetupModel } from './model'

/** Heights are drawn so many times larger. */
const TALL = 40

/** One string held at one fret: its line at rest, the band it sweeps, the crowns under it and the one that comes nearest. */
export function buzzDrawing(build: Build, model: SetupModel, cell: BuzzCell): Drawing {
  const s = model.strings[cell.string - 1]!
  const level = levelled(s.neck)
  const crowns = s.neck.crowns.map(level)
  const saddle = level(s.saddle)
  const from = cell.stop === 0 ? level(s.neck.nut) : crowns[cell.stop - 1]!
  const up = (y: number) => -y * TALL
  const list = clearances(s.neck, s.saddle, cell.stop, pluckOf(build, model))
  const lowest = Math.min(...crowns.map((c) => c.y))
  const sweep = list.map((c) => pt(crowns[c.fret - 1]!.x, up(crowns[c.fret - 1]!.y + Math.min(c.towards, c.away))))
  const hit = crowns[cell.hits - 1]!
  const marks: Mark[] = [
    ...crowns.map((c): Mark => ({ mark: 'line', role: 'fret', points: [pt(c.x, up(c.y)), pt(c.x, up(lowest - 0.4))] })),
    { mark: 'line', role: 'string', points: [pt(from.x, up(from.y)), pt(saddle.x, up(saddle.y))] },
    { mark: 'line', role: cell.margin < 0 ? 'remove' : 'good', dashed: true, points: [pt(from.x, up(from.y)), ...sweep] },
    { mark: 'circle', role: cell.margin < 0 ? 'remove' : 'good', at: pt(hit.x, up(hit.y)), r: 7 },
    {
      mark: 'label',
      at: pt(hit.x, up(hit.y) + 16),
      text: `fret ${cell.hits}: ${cell.margin.toFixed(2)} mm`,
      anchor: 'middle',
      role: cell.margin < 0 ? 'remove' : 'good',
    },
  ]
  const top = Math.max(saddle.y, from.y) + 0.3
  return {
    title: `String ${cell.string}, ${cell.stop ? `held at fret ${cell.stop}` : 'open'}`,
    note: `heights ×${TALL} · dashed: the lowest it swings`,
    marks,
    bounds: { x: -14, y: up(top) - 8, width: saddle.x + 30, height: (top - lowest + 0.4) * TALL + 26 },
    numbers: list.map((c) => ({
      label: `Fret ${c.fret}`,
      value: `${Math.min(c.towards, c.away).toFixed(2)} mm, at rest ${c.rest.toFixed(2)}`,
    })),
  }
}
