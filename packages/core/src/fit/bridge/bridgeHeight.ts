import { willBeGlued } from './neckTaper'
import type { Build } from '../../document/build'
import { boardRef, sizeRef, traitAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { riseAt } from '../../instrument/frontRise'
import { actionAt, afterTilt, SPARE } from '../../instrument/neckAngle'
import { judged } from '../../judge/assemble'
import type { Question, DetailTable, JudgedJoint } from '../../judge/joint'
import { sizesIn, toldAt } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm, printSide } from '../../quantity/length'
import { heightScrewOf, heightTurn, SCREWS, type HeightScrew } from '../../setup/screws'
import { sideDrawing } from './sideDrawing'
import { tiltCures, raiseCures } from './bridgeHeight.cures'
import { actionWords, tiltOf, wantedAction, wantedSaddle, sideSetting, sideOf } from './sideSetting'
import { underStrings } from './underStrings'

/** Bands of what is left to the nearer stop of the bridge, mm. */
const RANGE_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: SPARE, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

/** Tilts people try, degrees: a quarter, half, the plastic card under 70 mm, one. [practice] */
const BY_CARD = 0.62
const TRIED = [0, 0.25, 0.5, BY_CARD, 1]

/** What each of the usual tilts would do: shim, saddle height, what is left to the stops, the string's angle. [physics] */
function tiltTable(build: Build): DetailTable[] {
  const side = sideSetting(build)
  if (!side) return []
  return [
    {
      title: 'Added tilt, and what it gives',
      columns: [
        'tilt',
        willBeGlued(build) ? 'taper at the end' : 'shim at the end',
        'saddle',
        'to lowest',
        'to highest',
        ...(side.held ? ['over the saddle'] : []),
      ],
      rows: TRIED.filter((t) => t !== BY_CARD || !willBeGlued(build)).map((t) => {
        const a = afterTilt(side, t)
        return [
          t === BY_CARD ? `${t}° card` : `${t}°`,
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

const OVER_BODY = ['above', 'under'] as const

const ENDS = { low: sizeRef('bridge', 'height.min'), high: sizeRef('bridge', 'height.max') }
const refsOf = (build: Build) => ({
  heel: boardRef(build),
  pocket: sizeRef('body', 'pocket.depth'),
  crown: sizeRef('neck', 'crown'),
  nut: sizeRef('nut', 'slot'),
  ...ENDS,
})

/** Can the bridge reach the height the action asks for, with the neck as it sits? */
export const bridgeHeightJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'bridge-height',
    condition: true,
    title: 'Neck angle and bridge height',
    slots: ['neck', 'body', 'bridge', 'nut'],
    at: () => pt(datums(build).studs, -48),
    tables: () => tiltTable(build),
    draw: () => sideDrawing(build, sideOf(build)),
    asks: [withinReach, (b) => asItStands(b, screwsOf(build)), ...underStrings],
  })

function withinReach(build: Build): Question[] {
  const have = sizesIn(build, refsOf(build))
  const d = datums(build)
  const tilt = tiltOf(build)
  const reach = d.scale - d.mouth
  const needed = wantedSaddle(build)!
  const highest = wantedSaddle(build, 'bass')!
  const above = linear([
    [1, needed],
    [-1, ofSize(have.low)],
  ])
  const below = linear([
    [1, ofSize(have.high)],
    [-1, highest],
  ])
  const ys = likelyOf(needed)
  const top = likelyOf(highest)
  const range = `${printMm(have.low.value, 1)} to ${printMm(have.high.value, 1)} mm`
  const lowEnd: Question = {
    id: 'low-stop',
    label: 'Above the lowest stop',
    clearance: above,
    bands: RANGE_BANDS,
    says: ({ verdict }) => {
      if (verdict === 'snug')
        return `Saddles stand ${printSide(ys, 1, OVER_BODY)} the body for ${actionWords(build)}; the bridge reaches ${range}.`
      if (ys >= have.low.value)
        return `Saddles stand ${printSide(ys, 1, OVER_BODY)} the body, only ${printMm(likelyOf(above), 1)} mm over the bridge’s lowest stop.`
      const rise = riseAt(build, 'bridge')!.value
      const side = {
        board: have.heel.value - have.pocket.value,
        rise,
        crown: have.crown.value,
        reach,
        tilt: tilt.value,
        nut: have.nut.value,
      }
      return `The action wanted needs saddles ${printSide(ys, 1, OVER_BODY)} the body and the bridge reaches ${range}: at its stop the action stays at ${printMm(
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
      if (verdict === 'snug') return `Saddles stand ${printSide(top, 1, OVER_BODY)} the body; the bridge reaches ${range}.`
      return likelyOf(below) >= 0
        ? `Saddles stand ${printSide(top, 1, OVER_BODY)} the body, only ${printMm(likelyOf(below), 1)} mm under where the bridge ends.`
        : `Strings lie too low: saddles would have to stand at ${printMm(top, 1)} mm and the bridge ends at ${printMm(have.high.value, 1)} mm.`
    },
    cures: ({ verdict }) => (verdict === 'snug' ? [] : raiseCures(build, top + SPARE - have.high.value, below)),
  }
  return likelyOf(above) <= likelyOf(below) ? [lowEnd, highEnd] : [highEnd, lowEnd]
}

/** What carries the saddles, as far as it was said, and how far a turn of it goes, mm. */
interface HeightScrews {
  screw: HeightScrew | undefined
  /** Absent where nobody has said it. */
  pitch?: number
}
/** Of the build as it is known: turns by what was only supposed would be made. */
function screwsOf(build: Build): HeightScrews {
  const pitch = toldAt(build, sizeRef('bridge', 'height.pitch'))?.value
  return { screw: heightScrewOf(traitAt(build, 'bridge', 'mount')), ...(pitch === undefined ? {} : { pitch }) }
}

const SAME: Record<HeightScrew, string> = {
  grub: 'both screws of each saddle the same',
  stud: 'both studs the same',
  wheel: 'both wheels the same',
}

/** What to turn so that the saddles go up by so much; without a turn where nobody has said what carries them. */
function saddleJob({ screw, pitch }: HeightScrews, up: number): { job: string; how: string } {
  const goes = `Saddles ${up > 0 ? 'up' : 'down'} by ${printMm(Math.abs(up), 1)} mm`
  if (!screw) return { job: `${goes}, by the screws that carry them.`, how: 'Strings slack.' }
  const { label, from } = SCREWS[screw]
  if (pitch === undefined)
    return {
      job: `${goes}: the ${label}s ${(SCREWS[screw].clockwise === 'up') === up > 0 ? 'clockwise' : 'counter-clockwise'}, ${from}.`,
      how: `Strings slack; ${SAME[screw]}. How far a turn takes them nobody has said: half a turn at a time, measured after each.`,
    }
  return {
    job: `${goes}: the ${label}s ${heightTurn(screw, up, pitch)}, ${from}.`,
    how: `Strings slack; ${SAME[screw]}. A turn is taken as ${printMm(pitch)} mm: look after the first.`,
  }
}

/** Action as the bridge was set, beside the action wanted; only when its height has been given. */
function asItStands(build: Build, screws: HeightScrews): Question[] {
  const set = build.setup.saddle
  if (set === undefined) return []
  const needed = wantedSaddle(build)!
  const wanted = wantedAction(build)
  // Fret 12 lies halfway: what the saddle is off shows there by half.
  const off = linear([[-0.5, needed]], set / 2)
  const move = -2 * likelyOf(off)
  const { low, high } = sizesIn(build, ENDS)
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
        `With the saddles at ${printMm(set, 1)} mm the action is ${printMm(wanted + likelyOf(off))} mm; ${actionWords(build)} is wanted.`,
      cures: ({ verdict }) =>
        verdict === 'snug' || !inReach
          ? []
          : [
              {
                id: 'set-saddle',
                ...saddleJob(screws, move),
                gives: 'nothing',
                tools: ['key of the height screws'],
              },
            ],
    },
  ]
}
