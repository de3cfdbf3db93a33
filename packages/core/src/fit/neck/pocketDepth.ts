import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { goesRound } from '../../instrument/guardRound'
import { judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, sizesIn } from '../../judge/known'
import { likelyOf, ofSize } from '../../quantity/distribution'
import { printMm, printSide } from '../../quantity/length'

/** A floor that dips more than this rocks the neck or acts as a hidden shim, mm. [practice] */
const DIP_BANDS = [
  { upTo: 0.1, is: 'snug' },
  { upTo: 0.8, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
] as const
/** Room between the board's overhang and what lies under it, mm. [practice] */
const CLEARS = 0.2
const UNDER_BANDS = [
  { upTo: -2, is: 'wont-go' },
  { upTo: CLEARS, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
] as const

/**
 * How high the board stands: board above body = heel thickness - pocket depth, above the guard less its thickness.
 * The overhanging end must clear what lies under it, and the floor must be flat. [physics]
 */
export function pocketDepthJoint(build: Build): JudgedJoint {
  return judged(build, {
    id: 'pocket-depth',
    title: 'Pocket depth and floor',
    seatsNeck: true,
    slots: ['body', 'neck', ...(goesRound(build) ? (['guard'] as const) : [])],
    at: () => pt(datums(build).heelEnd - 18, -34),
    draw: () => depthDrawing(build),
    asks: [overhang, dip],
  })
}

/** The board's end, where it reaches beyond the heel, over what lies under it. */
function overhang(build: Build): Question | undefined {
  const { reach, heelEnd } = sizesIn(build, { reach: sizeRef('neck', 'boardLength'), heelEnd: sizeRef('neck', 'nutToHeelEnd') })
  if (reach.value - heelEnd.value <= 0.5) return undefined
  const have = sizesIn(build, {
    heel: sizeRef('neck', 'heel.thickness'),
    pocket: sizeRef('body', 'pocket.depth'),
    board: sizeRef('neck', 'board.thickness'),
  })
  const guard = goesRound(build) && sizeIn(build, sizeRef('guard', 'thickness'))
  const above = have.heel.value - have.pocket.value
  const stands = `Board stands ${printSide(above, 1, ['above', 'under'])} the body${guard ? `, ${printSide(above - guard.value, 1, ['above', 'under'])} the guard` : ''}.`
  const under = gapOf([[1, have.heel], [-1, have.pocket], [-1, have.board], ...(guard ? ([[-1, guard]] as const) : [])])
  // With the guard out of its way the board may still meet the body.
  const guardAlone = guard && above - have.board.value > CLEARS
  return {
    id: 'overhang',
    label: 'Under the board’s end',
    clearance: under,
    bands: UNDER_BANDS,
    says: ({ verdict }) =>
      verdict === 'snug'
        ? stands
        : `${stands} Its overhanging end meets the ${guard ? 'guard' : 'body'} ${printMm(Math.max(0, CLEARS - likelyOf(under)), 1)} mm before the heel is down.`,
    cures: ({ verdict }) => {
      const lift = Math.max(0.1, 0.3 - likelyOf(under))
      return verdict === 'snug'
        ? []
        : [
            {
              id: 'lift-heel',
              job: `Put a flat plate ${printMm(lift, 1)} mm thick under the whole heel.`,
              how: 'Full length and full width, so that the heel is carried; the bridge goes up by as much. Easy to undo.',
              gives: 'nothing',
              tools: ['veneer or plate', 'knife'],
              plan: { slot: 'body', size: 'pocket.depth', delta: -lift, doubt: 0.1 },
            },
            ...(guardAlone
              ? [
                  {
                    id: 'trim-guard',
                    job: 'Or cut the guard back so that it ends at the heel, not under the board.',
                    how: 'Knife and file along the board’s end; plastic is cheaper than wood.',
                    gives: 'guard',
                    tools: ['knife', 'file'],
                  },
                ]
              : []),
          ]
    },
  }
}

function dip(build: Build): Question {
  const deep = sizeIn(build, sizeRef('body', 'pocket.dip'))
  return {
    id: 'dip',
    label: 'Floor dip',
    clearance: ofSize(deep),
    bands: DIP_BANDS,
    says: ({ verdict }) =>
      verdict === 'snug'
        ? 'The floor is flat.'
        : `The floor dips ${printMm(deep.value)} mm: the neck rocks, or sits on a hidden shim. Write the tilt down before you scrape, so that a shim of ${printMm(deep.value)} mm can bring it back.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'flatten-floor',
              job: `Scrape chips and paint lumps level, or fill the dip of ${printMm(deep.value)} mm with veneer.`,
              how: 'Scraper or chisel laid flat, straight-edge both ways and across the corners. Before any coat goes on.',
              gives: 'body',
              tools: ['scraper or chisel', 'straight-edge'],
              plan: { slot: 'body', size: 'pocket.dip', delta: -deep.value, doubt: 0.03 },
            },
          ],
  }
}

/** Heel on the pocket floor from the side, with board, overhang and guard. */
function depthDrawing(build: Build) {
  const depth = drawnAt(build, sizeRef('body', 'pocket.depth'))
  const heel = drawnAt(build, sizeRef('neck', 'heel.thickness'))
  const board = drawnAt(build, sizeRef('neck', 'board.thickness'))
  const length = drawnAt(build, sizeRef('body', 'pocket.length'))
  const over = Math.max(0, drawnAt(build, sizeRef('neck', 'boardLength')) - drawnAt(build, sizeRef('neck', 'nutToHeelEnd')))
  const guard = goesRound(build) ? drawnAt(build, sizeRef('guard', 'thickness')) : 0
  const top = -(heel - depth)
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'body-wood',
      points: [pt(0, depth), pt(length, depth), pt(length, 0), pt(length + 34, 0), pt(length + 34, 30), pt(0, 30)],
    },
    { mark: 'area', role: 'neck-wood', points: rectangle(-26, top + board, length, depth) },
    { mark: 'area', role: 'board', points: rectangle(-26, top, length + over, top + board) },
    { mark: 'dimension', from: pt(-8, depth), to: pt(-8, top), text: printMm(heel, 1) },
    { mark: 'dimension', from: pt(length - 14, depth), to: pt(length - 14, 0), text: printMm(depth, 1), emphasis: true },
    { mark: 'dimension', from: pt(length + 28, 0), to: pt(length + 28, top), text: printMm(-top, 1) },
  ]
  if (guard) marks.push({ mark: 'area', role: 'plastic', points: rectangle(length + 0.4, -guard, length + 34, 0) })
  return framed('Heel on the pocket floor, from the side', 'true proportion', marks, [
    { label: 'Board above the body', value: `${printMm(-top)} mm` },
    ...(guard ? [{ label: 'Board above the guard', value: `${printMm(-top - guard)} mm` }] : []),
    { label: 'Overhang of the board', value: `${printMm(over, 1)} mm` },
  ])
}
