import type { Build } from '../../document/build'
import { sizeRef, traitAt, valueAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { fallOf, radiusAtSaddle } from '../../instrument/boardArc'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { DetailTable, JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, sizeIn, traitIn } from '../../judge/known'
import { fretPlace } from '../../physics/frets'
import { certain, likelyOf, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'

const refs = { board: sizeRef('neck', 'board.radius'), spread: sizeRef('bridge', 'spread') }
const SADDLE = sizeRef('bridge', 'saddle.radius')

/** Radius the board asks for at the saddle. */
function wantedIn(build: Build): (board: number) => number {
  const end = valueAt(build, sizeRef('neck', 'board.radiusEnd'))
  // A board of one radius has it at the saddle too, be its scale and frets what they may.
  if (end === undefined) return (board) => board
  const { scale } = datums(build)
  const lastFret = fretPlace(scale, drawnAt(build, sizeRef('neck', 'frets')))
  return (board) => radiusAtSaddle(board, end, lastFret, scale)
}

/** Saddle radius against the board's at the saddle. */
export function radiiJoint(build: Build): JudgedJoint {
  const wanted = wantedIn(build)
  return judged(build, {
    id: 'radii',
    condition: true,
    title: 'Saddle radius and board radius',
    slots: ['bridge', 'neck'],
    at: () => pt(datums(build).scale + 4, 30),
    tables: () => [...heightTable(build, wanted), ...spacingCard(build)],
    draw: drawnOnceKnown(build, 'Arcs at the saddle', refs, (have) => arcsDrawing(build, have)),
    asks: [outerStrings],
  })
}

/** Single saddles follow any board; those fixed to an arch have one of their own. */
function outerStrings(build: Build): Question {
  const board = sizeIn(build, refs.board)
  const wanted = wantedIn(build)
  const saddle = traitIn(build, 'bridge', 'saddles') === 'arched' ? sizeIn(build, SADDLE) : undefined
  // How far apart the outer ones are matters only to an arch they cannot leave.
  const off = saddle
    ? propagate(
        ([b, s, w]) => fallOf(wanted(b!), w! / 2) - fallOf(s!, w! / 2),
        [ofSize(board), ofSize(saddle), ofSize(sizeIn(build, refs.spread))],
      )
    : certain(0)
  const v = likelyOf(off)
  return {
    id: 'radius',
    label: 'Outer string off the board’s arc',
    clearance: off.map((n) => ({ ...n, mean: 0.2 - Math.abs(n.mean) })),
    shown: off,
    bands: [
      { upTo: -1, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      !saddle
        ? `Each saddle has its own height: set them to an arc of ${printMm(wanted(board.value), 0)} mm, see the table.`
        : `The board asks for ${printMm(wanted(board.value), 0)} mm at the saddle and the bridge has ${printMm(saddle.value, 0)}: outer strings end ${printMm(Math.abs(v)) === '0' ? 'where they should' : `${printMm(Math.abs(v))} mm too ${v > 0 ? 'high' : 'low'}`}.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            // Further off than that the slots would be deeper than their strings.
            ...(verdict === 'wont-go'
              ? []
              : [
                  {
                    id: 'file-saddles',
                    job: `Deepen the ${v > 0 ? 'outer' : 'inner'} saddle slots by up to ${printMm(Math.abs(v))} mm.`,
                    how: 'Round file of the string’s size; a little at a time, against an arc cut from card.',
                    gives: 'bridge',
                    tools: ['round file, or paper on a pen', 'card arc'],
                  },
                ]),
            {
              id: 'other-radius',
              job: `Or a bridge of about ${printMm(wanted(board.value), 0)} mm radius.`,
              how: 'Or one with single saddles.',
              gives: 'the bridge',
              tools: [],
            },
          ],
  }
}

function arcsDrawing(build: Build, have: Record<keyof typeof refs, Size>) {
  const wanted = wantedIn(build)
  const arched = traitAt(build, 'bridge', 'saddles') === 'arched'
  const half = have.spread.value / 2
  const arc = (r: number) =>
    Array.from({ length: 33 }, (_, i) => {
      const y = -half - 5 + ((2 * half + 10) * i) / 32
      return pt(y, fallOf(r, y) * 4)
    })
  const board = wanted(have.board.value)
  const saddle = valueAt(build, SADDLE) ?? board
  const marks: Mark[] = [
    { mark: 'line', role: 'centre', points: arc(board) },
    { mark: 'line', role: 'string', dashed: true, points: arc(arched ? saddle : board) },
    ...Array.from({ length: build.strings }, (_, i): Mark => {
      const y = have.spread.value * (i / (build.strings - 1) - 0.5)
      return { mark: 'circle', role: 'string', at: pt(y, fallOf(arched ? saddle : board, y) * 4), r: 0.9 }
    }),
    {
      mark: 'label',
      at: pt(0, -3),
      text: `board ${printMm(board, 0)} mm${arched ? ` · saddles ${printMm(saddle, 0)} mm` : ''}`,
      anchor: 'middle',
    },
  ]
  return framed('Arcs at the saddle, seen along the strings', 'heights drawn ×4 · dashed: saddles', marks, [
    { label: 'Board’s arc at the saddle', value: `${printMm(board, 0)} mm` },
    { label: 'Saddles', value: arched ? `${printMm(saddle, 0)} mm` : 'each its own' },
  ])
}

/** A saddle without notches leaves its strings' places open: equal spaces between the strings' edges, so that a thick one takes no more. [practice] */
export function stringPlaces(spread: number, gauges: readonly number[]): number[] {
  const n = gauges.length
  const gap = (spread - gauges.slice(1, -1).reduce((a, b) => a + b, 0) - (gauges[0]! + gauges[n - 1]!) / 2) / (n - 1)
  const places = [0]
  for (let i = 1; i < n; i++) places.push(places[i - 1]! + (gauges[i - 1]! + gauges[i]!) / 2 + gap)
  return places
}

/** Card to mark un-notched saddles by. */
function spacingCard(build: Build): DetailTable[] {
  const spread = valueAt(build, sizeRef('bridge', 'spread'))
  const gauges = Array.from({ length: build.strings }, (_, i) => valueAt(build, { slot: 'strings', size: `gauge.${build.strings - i}` }))
  if (traitAt(build, 'bridge', 'notched') !== 'no' || spread === undefined || gauges.some((g) => g === undefined)) return []
  const places = stringPlaces(spread, gauges as number[])
  return [
    {
      title: 'Spacing card for the saddles, from the lowest string, equal spaces between strings',
      columns: ['string', 'mark at'],
      rows: places.map((p, i) => [String(build.strings - i), `${printMm(p)} mm`]),
    },
  ]
}

/** How far each saddle lies below the highest, to follow the arc. */
function heightTable(build: Build, wanted: (board: number) => number): DetailTable[] {
  const board = valueAt(build, sizeRef('neck', 'board.radius'))
  const spread = valueAt(build, sizeRef('bridge', 'spread'))
  if (board === undefined || spread === undefined) return []
  const r = wanted(board)
  return [
    {
      title: `Saddle heights for an arc of ${printMm(r, 0)} mm`,
      columns: ['string', 'below the middle'],
      rows: Array.from({ length: build.strings }, (_, i) => {
        const y = spread * (i / (build.strings - 1) - 0.5)
        return [String(i + 1), `${printMm(fallOf(r, y))} mm`]
      }),
    },
  ]
}
