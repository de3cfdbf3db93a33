import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, valueAt, type SizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import { check, type DetailTable, type JudgedJoint } from '../../judge/joint'
import { fretPlace } from '../../physics/frets'
import { likelyOf, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** How far an arc of radius R falls below its middle at a place y across, mm. [physics: circle] */
export const fallOf = (radius: number, y: number): number => radius - Math.sqrt(Math.max(0, radius * radius - y * y))

/** Board radius carried on to the saddle: constant, or the cone's straight line where it changes along the board. [physics] */
export function radiusAtSaddle(nut: number, end: number | undefined, lastFret: number, scale: number): number {
  return end === undefined ? nut : nut + ((end - nut) * scale) / lastFret
}

/** Saddle radius against the board's at the saddle. */
export function radiiJoint(build: Build): JudgedJoint {
  const refs = { board: sizeRef('neck', 'board.radius'), spread: sizeRef('bridge', 'spread') }
  const d = datums(build)
  const arched = traitAt(build, 'bridge', 'saddles') === 'arched'
  const saddleRef = sizeRef('bridge', 'saddle.radius')
  const endRef = sizeRef('neck', 'board.radiusEnd')
  const wanted = (board: number) =>
    radiusAtSaddle(board, valueAt(build, endRef), fretPlace(d.scale, valueAt(build, sizeRef('neck', 'frets')) ?? 22), d.scale)
  return judged(build, {
    id: 'radii',
    title: 'Saddle radius and board radius',
    slots: ['bridge', 'neck'],
    at: pt(d.scale + 4, 30),
    refs: (arched ? { ...refs, saddle: saddleRef } : refs) as Record<'board' | 'spread', SizeRef>,
    tables: [...heightTable(build, wanted), ...spacingCard(build)],
    checks: (have) => {
      const saddle = arched ? sizeAt(build, saddleRef) : undefined
      const off = saddle
        ? propagate(
            ([b, s, w]) => fallOf(wanted(b!), w! / 2) - fallOf(s!, w! / 2),
            [ofSize(have.board), ofSize(saddle), ofSize(have.spread)],
          )
        : [{ weight: 1, mean: 0, sigma: 0 }]
      const v = likelyOf(off)
      return [
        check({
          id: 'radius',
          label: 'Outer string off the board’s arc',
          clearance: off.map((n) => ({ ...n, mean: 0.2 - Math.abs(n.mean) })),
          shown: off,
          bands: [
            { upTo: -1, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: saddle ? [refs.board, saddleRef] : [refs.board],
          says: () =>
            !saddle
              ? `Each saddle has its own height: set them to an arc of ${printMm(wanted(have.board.value), 0)} mm, see the table.`
              : `The board asks for ${printMm(wanted(have.board.value), 0)} mm at the saddle and the bridge has ${printMm(saddle.value, 0)}: outer strings end ${printMm(Math.abs(v))} mm too ${v > 0 ? 'high' : 'low'}.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'file-saddles',
                    job: `Deepen the ${v > 0 ? 'outer' : 'inner'} saddle slots by up to ${printMm(Math.abs(v))} mm.`,
                    how: 'Round file of the string’s size; a little at a time, against an arc cut from card.',
                    gives: 'bridge',
                    tools: ['round file, or paper on a pen', 'card arc'],
                  },
                  {
                    id: 'other-radius',
                    job: `Or a bridge of about ${printMm(wanted(have.board.value), 0)} mm radius.`,
                    how: 'Or one with single saddles.',
                    gives: 'the bridge',
                    tools: [],
                  },
                ],
        }),
      ]
    },
    draw: (have) => {
      const half = have.spread.value / 2
      const arc = (r: number) =>
        Array.from({ length: 33 }, (_, i) => {
          const y = -half - 5 + ((2 * half + 10) * i) / 32
          return pt(y, fallOf(r, y) * 4)
        })
      const board = wanted(have.board.value)
      const saddle = valueAt(build, saddleRef) ?? board
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
    },
  })
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
