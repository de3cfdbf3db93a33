import type { Drawing, Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { printMm } from '../../quantity/length'
import { POST_EDGE } from '../../fit/head/tunerRow'
import { ofHand } from '../../drawing/turnedOver'
import type { HeadTask, PostView, Row } from './layout'

/** The headstock from the front with its posts, strings and what is too near; the first and the last post can be dragged across. */
export function headDrawing(task: HeadTask, posts: readonly PostView[], row: Row, bore: number, hand: 'left' | 'right'): Drawing {
  return ofHand(rightHeaded(task, posts, row, bore), hand)
}

function rightHeaded(task: HeadTask, posts: readonly PostView[], row: Row, bore: number): Drawing {
  const marks: Mark[] = [
    { mark: 'area', role: 'neck-wood', points: [...task.outline] },
    ...posts.map((p, i): Mark => ({ mark: 'line', role: 'string', points: [pt(0, task.strings[i] ?? 0), p.at] })),
    ...task.marks.map((m): Mark => ({ mark: 'circle', role: 'guide', at: m, r: bore / 2, dashed: true })),
    ...posts.map((p): Mark => ({ mark: 'circle', role: p.edge < POST_EDGE ? 'remove' : 'cavity', at: p.at, r: bore / 2 })),
    { mark: 'line', role: 'centre', points: [pt(Math.min(...task.outline.map((p) => p.x)) - 6, 0), pt(8, 0)] },
  ]
  const drawing = framed(
    'Headstock from the front',
    'dashed: as it is marked now · hatched: too near the edge',
    marks,
    [
      ...posts.map((p, i) => ({
        label: `Post ${i + 1}`,
        value: `${printMm(p.edge, 1)} mm to the edge, string bends ${printMm(Math.abs(p.bend), 1)} degrees`,
      })),
    ],
    0.03,
  )
  if (task.rows === 'two') return drawing
  const side = task.side === 'treble' ? -1 : 1
  const last = side === 1 ? posts.at(-1)! : posts[0]!
  const first = side === 1 ? posts[0]! : posts.at(-1)!
  const reach = Math.max(1, (task.count - 1) * row.pitch)
  return {
    ...drawing,
    handles: [
      {
        id: 'offset',
        label: 'First post from the centre line',
        at: first.at,
        value: row.offset,
        min: -10,
        max: 40,
        step: 0.1,
        unit: 'mm',
        perUp: -side,
      },
      {
        id: 'slant',
        label: 'Slant of the row',
        at: last.at,
        value: row.slant,
        min: -15,
        max: 30,
        step: 0.05,
        unit: 'deg',
        perUp: (side * 180) / Math.PI / reach,
      },
    ],
  }
}
