import type { Build, FinishZone } from '../document/build'
import type { Drawing, Mark } from '../drawing/drawing'
import { pt, type Point } from '../geometry/point'
import { PLACES_OF_FILM, takenAt, type Budget } from './filmBudget'
import { filmOfLayers } from './film'
import { layersOf, type Layer } from './stack'
import { EDGE_SHARE } from './film'
import { followsWhole } from './zones'
import { counted } from '../quantity/words'

const tintOf = (l: Layer): string | undefined => l.colour ?? (l.opaque ? (l.name === 'primer' ? '#c8c5bb' : '#8f8f8a') : undefined)

/** Steps the turn of an edge is drawn in. */
const TURN = 16
/** Of the drawing: how wide the wood's flat is, and its edge's radius. Lengths are not to the film's scale. */
const FLAT = 84
const RADIUS = 26
const TALL = 62

/** One side of the film round an edge: from the flat's far end over the turn and down. @param out above the wood, in the drawing's units, on a flat and at the turn */
function around(flat: number, turn: number): Point[] {
  const points = [pt(-FLAT, -flat)]
  for (let i = 0; i <= TURN; i++) {
    const a = (i / TURN) * (Math.PI / 2)
    // Thinnest in the middle of the turn.
    const out = flat + (turn - flat) * Math.sin(2 * a)
    points.push(pt(Math.sin(a) * (RADIUS + out), RADIUS - Math.cos(a) * (RADIUS + out)))
  }
  points.push(pt(RADIUS + flat, RADIUS + 28))
  return points
}

/**
 * The film of a zone round an edge, coat by coat to one scale, with what a planned sanding takes off it and where it goes through.
 * @param sanding what is about to be done; nothing draws the film alone
 */
export function finishDrawing(build: Build, zone?: FinishZone, sanding?: Budget): Drawing {
  const layers = layersOf(build, zone && !followsWhole(build, zone) ? zone : undefined)
  const total = filmOfLayers(layers)
  const scale = TALL / 2 / Math.max(total, 60)
  const marks: Mark[] = [{ mark: 'area', role: 'body-wood', points: [...around(0, 0), pt(-FLAT, RADIUS + 28)] }]
  const numbers: Drawing['numbers'] = []
  let under = 0
  let shade = 0
  for (const l of layers) {
    if (!l.film) {
      numbers.push({ label: `${l.label}, ${l.coats} ×`, value: 'in the wood' })
      continue
    }
    for (let c = 0; c < l.coats; c++) {
      const next = under + l.film
      const tint = tintOf(l)
      marks.push({
        mark: 'area',
        role: shade++ % 2 ? 'film' : 'film-light',
        ...(tint ? { tint } : {}),
        points: [...around(under * scale, under * scale * EDGE_SHARE), ...around(next * scale, next * scale * EDGE_SHARE).toReversed()],
      })
      under = next
    }
    numbers.push({ label: `${l.label}, ${counted(l.coats, 'coat')} of ${l.film} µm`, value: `${l.coats * l.film} µm` })
  }
  if (sanding) marks.push(...sandingMarks(sanding, total, scale))
  marks.push({ mark: 'dimension', from: pt(-FLAT - 8, 0), to: pt(-FLAT - 8, -total * scale), text: `${Math.round(total)}`, emphasis: true })
  // Named in the wood, the outermost first, as they lie above it.
  layers
    .filter((l) => l.film)
    .toReversed()
    .slice(0, 5)
    .forEach((l, i) =>
      marks.push({
        mark: 'label',
        at: pt(-FLAT + 4, 7 + i * 7.5),
        text: `${l.label.toLowerCase()}: ${l.coats} × ${l.film} µm`,
        anchor: 'start',
      }),
    )
  return {
    title: 'The film round an edge',
    note: 'thickness in µm, to one scale; lengths not · edges keep about two thirds',
    marks,
    bounds: { x: -FLAT - 24, y: -TALL / 2 - 6, width: FLAT + RADIUS + TALL / 2 + 30, height: TALL / 2 + RADIUS + 36 },
    numbers: [
      ...numbers,
      { label: 'On the flat', value: `${Math.round(total)} µm` },
      { label: 'On edges', value: `${Math.round(total * EDGE_SHARE)} µm` },
      ...(sanding
        ? (['flat', 'edge', 'corner'] as const).map((p) => ({
            label: `Sanding takes on ${PLACES_OF_FILM[p].label}`,
            value: `${Math.round(takenAt(sanding, p))} µm`,
          }))
        : []),
    ],
  }
}

/** What a sanding leaves, as a line round the edge, with the place where it goes through. */
function sandingMarks(b: Budget, total: number, scale: number): Mark[] {
  const left = (place: 'flat' | 'edge') => total * PLACES_OF_FILM[place].share - takenAt(b, place)
  const clear = ((b.coats.from + b.coats.to) / 2) * b.film
  const [flat, edge] = [left('flat'), left('edge')]
  const colour = (total - clear) * PLACES_OF_FILM.edge.share
  const through = edge < colour
  return [
    { mark: 'line', role: 'remove', dashed: true, points: around(Math.max(0, flat) * scale, Math.max(0, edge) * scale) },
    ...(through ? [{ mark: 'circle' as const, role: 'remove' as const, at: pt(RADIUS * 0.72, RADIUS * 0.3), r: 8 }] : []),
    {
      mark: 'label',
      at: pt(-FLAT + 4, RADIUS + 22),
      text: through ? 'through at the edge' : `${Math.round(edge - colour)} µm left at the edge`,
      anchor: 'start',
      role: through ? 'remove' : 'good',
    },
  ]
}
