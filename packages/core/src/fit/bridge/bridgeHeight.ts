import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { actionAt, afterTilt, riseOver, SPARE } from '../../instrument/neckAngle'
import { judged } from '../../judge/assemble'
import { type Question, type DetailTable, type JudgedJoint } from '../../judge/joint'
import { drawnAt, sizeIn, sizesIn } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { fretPlace } from '../../physics/frets'
import { certain, likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { sideDrawing } from './sideDrawing'
import { tiltCures, raiseCures } from './bridgeHeight.cures'
import { tiltOf, wantedAction, wantedSaddle, saddleNow, sideSetting, sideOf } from './sideSetting'

/** Bands of what is left to the nearer stop of the bridge, mm. */
const RANGE_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: SPARE, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

/** Tilts people try, degrees: a quarter, half, the plastic card under 70 mm, one. [practice] */
const TRIED = [0, 0.25, 0.5, 0.62, 1]

/** What each of the usual tilts would do: shim, saddle height, what is left to the stops, the string's angle. [physics] */
function tiltTable(build: Build): DetailTable[] {
  const side = sideSetting(build)
  if (!side) return []
  return [
    {
      title: 'Added tilt, and what it gives',
      columns: ['tilt', 'shim at the end', 'saddle', 'to lowest', 'to highest', ...(side.held ? ['over the saddle'] : [])],
      rows: TRIED.map((t) => {
        const a = afterTilt(side, t)
        return [
          t === 0.62 ? '0.62° card' : `${t}°`,
          `${printMm(a.shim)} mm`,
          `${printMm(a.saddle, 1)} mm`,
          `${printMm(a.toLowest, 1)} mm`,
          `${printMm(a.toHighest, 1)} mm`,
          ...(a.breaks === undefined ? [] : [`${a.breaks.toFixed(1)}°`]),
        ]
      }),
    },
  ]
}

/** Strings over the pickup covers with the bridge as it stands: held at the last fret they sink further. */
function overCovers(build: Build): Question[] {
  const ys = saddleNow(build)!
  const d = datums(build)
  const board = drawnAt(build, sizeRef('neck', 'heel.thickness')) - drawnAt(build, sizeRef('body', 'pocket.depth'))
  const crown = drawnAt(build, sizeRef('neck', 'crown'))
  const last = fretPlace(d.scale, drawnAt(build, sizeRef('neck', 'frets')))
  const guard = build.parts.guard ? drawnAt(build, sizeRef('guard', 'thickness')) : 0
  return (['neck', 'bridge'] as const).flatMap((place): Question[] => {
    if (!build.parts[`pickup-${place}`]) return []
    const above = sizeIn(build, sizeRef(`pickup-${place}`, 'above'))
    const centre = sizeIn(build, sizeRef('body', `route.${place}.centre`))
    const x = d.mouth + centre.value
    // The string held at the last fret runs straight from that crown to the saddle.
    const share = (x - last) / (d.scale - last)
    const crownAt = board + crown + riseOver(last - d.mouth, tiltOf(build).value)
    const free = certain(share * likelyOf(ys) - above.value + (1 - share) * crownAt - guard - CLEAR_OF_POLES)
    return [
      {
        id: `cover-${place}`,
        spread: true,
        label: `Strings over the ${place} cover, held at the last fret`,
        clearance: free,
        shown: linear([[1, free]], CLEAR_OF_POLES),
        bands: [
          { upTo: -CLEAR_OF_POLES, is: 'wont-go' },
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        says: ({ verdict }) =>
          verdict === 'snug'
            ? `Strings clear the ${place} cover by ${printMm(likelyOf(free) + CLEAR_OF_POLES, 1)} mm.`
            : `Run right down the ${place} cover still stands ${printMm(Math.max(0, likelyOf(free) + CLEAR_OF_POLES), 1)} mm under the strings held at the last fret; ${CLEAR_OF_POLES} is wanted.`,
        cures: ({ verdict }) =>
          verdict === 'snug'
            ? []
            : [
                {
                  id: `lower-cover-${place}`,
                  job: `Let the ${place} pickup ${printMm(-likelyOf(free), 1)} mm deeper: deepen its route, or raise the strings with a plate under the heel.`,
                  how: 'A lower ring does it too, where there is a ring.',
                  gives: 'body',
                  tools: ['router', 'bearing bit'],
                  plan: { slot: `pickup-${place}`, size: 'above', delta: likelyOf(free) - 0.2, doubt: 0.2 },
                },
              ],
      },
    ]
  })
}

/** Pole-to-string distance to start from, mm. [practice] */
const CLEAR_OF_POLES = 1.6

const refs = {
  heel: sizeRef('neck', 'heel.thickness'),
  pocket: sizeRef('body', 'pocket.depth'),
  crown: sizeRef('neck', 'crown'),
  nut: sizeRef('nut', 'slot'),
  low: sizeRef('bridge', 'height.min'),
  high: sizeRef('bridge', 'height.max'),
}

/** Can the bridge reach the height the action asks for, with the neck as it sits? */
export const bridgeHeightJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'bridge-height',
    condition: true,
    title: 'Neck angle and bridge height',
    slots: ['neck', 'body', 'bridge', 'nut'],
    at: pt(datums(build).studs, -48),
    tables: tiltTable(build),
    draw: () => sideDrawing(build, sideOf(build)),
    asks: [withinReach, asItStands, overCovers],
  })

function withinReach(build: Build): Question[] {
  const have = sizesIn(build, refs)
  const d = datums(build)
  const tilt = tiltOf(build)
  const action = wantedAction(build)
  const reach = d.scale - d.mouth
  const needed = wantedSaddle(build)!
  const above = linear([
    [1, needed],
    [-1, ofSize(have.low)],
  ])
  const below = linear([
    [1, ofSize(have.high)],
    [-1, needed],
  ])
  const ys = likelyOf(needed)
  const range = `${printMm(have.low.value, 1)} to ${printMm(have.high.value, 1)} mm`
  const lowEnd: Question = {
    id: 'low-stop',
    label: 'Above the lowest stop',
    clearance: above,
    bands: RANGE_BANDS,
    says: ({ verdict }) => {
      if (verdict === 'snug')
        return `Saddles stand ${printMm(ys, 1)} mm above the body for ${printMm(action)} mm at fret 12; the bridge reaches ${range}.`
      if (ys >= have.low.value)
        return `Saddles stand ${printMm(ys, 1)} mm above the body, only ${printMm(likelyOf(above), 1)} mm over the bridge’s lowest stop.`
      const side = { board: have.heel.value - have.pocket.value, crown: have.crown.value, reach, tilt: tilt.value, nut: have.nut.value }
      return `The action wanted needs saddles at ${printMm(ys, 1)} mm and the bridge reaches ${range}: at its stop the action stays at ${printMm(
        actionAt(side, have.low.value),
      )} mm.`
    },
    cures: ({ verdict }) => (verdict === 'snug' ? [] : tiltCures(build, above)),
  }
  const highEnd: Question = {
    id: 'high-stop',
    label: 'Below the highest stop',
    clearance: below,
    bands: RANGE_BANDS,
    says: ({ verdict }) => {
      if (verdict === 'snug') return `Saddles stand ${printMm(ys, 1)} mm above the body; the bridge reaches ${range}.`
      return likelyOf(below) >= 0
        ? `Saddles stand ${printMm(ys, 1)} mm above the body, only ${printMm(likelyOf(below), 1)} mm under where the bridge ends.`
        : `Strings lie too low: saddles would have to stand at ${printMm(ys, 1)} mm and the bridge ends at ${printMm(have.high.value, 1)} mm.`
    },
    cures: ({ verdict }) => (verdict === 'snug' ? [] : raiseCures(build, ys + SPARE - have.high.value, below)),
  }
  return likelyOf(above) <= likelyOf(below) ? [lowEnd, highEnd] : [highEnd, lowEnd]
}

/** Action as the bridge was set, beside the action wanted; only when its height has been given. */
function asItStands(build: Build): Question[] {
  const set = build.setup.saddle
  if (set === undefined) return []
  const needed = wantedSaddle(build)!
  const wanted = wantedAction(build)
  // Fret 12 lies halfway: what the saddle is off shows there by half.
  const off = linear([[-0.5, needed]], set / 2)
  const pitch = drawnAt(build, sizeRef('bridge', 'height.pitch'))
  const move = -2 * likelyOf(off)
  const { low, high } = sizesIn(build, { low: refs.low, high: refs.high })
  // Beyond a stop no screw turns: the joint's other checks say what to do instead.
  const inReach = set + move >= low.value && set + move <= high.value
  return [
    {
      id: 'as-set',
      label: 'Action as the bridge is set, over the action wanted',
      clearance: off,
      bands: [
        { upTo: -0.8, is: 'wont-go' },
        { upTo: -0.25, is: 'tight' },
        { upTo: 0.25, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: () =>
        `With the saddles at ${printMm(set, 1)} mm the action is ${printMm(wanted + likelyOf(off))} mm at fret 12; ${printMm(wanted)} is wanted.`,
      cures: ({ verdict }) =>
        verdict === 'snug' || !inReach
          ? []
          : [
              {
                id: 'set-saddle',
                job: `Turn the saddles ${move > 0 ? 'up' : 'down'} by ${printMm(Math.abs(move), 1)} mm: ${(Math.abs(move) / pitch).toFixed(2)} turns of their height screws.`,
                how: 'Strings slack; both screws of a saddle the same.',
                gives: 'nothing',
                tools: ['key of the height screws'],
              },
            ],
    },
  ]
}
