import type { Build } from '../../document/build'
import { sizeAt, sizeRef, sizesFor, type SizeRef } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { plannedFilm } from '../../finish/film'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { jointOf, sizeText, waitingJoint } from '../../judge/assemble'
import { check, signed, type Check, type Cure, type DetailTable, type JudgedJoint } from '../../judge/joint'
import type { Band } from '../../judge/verdict'
import { gapChange } from '../../physics/woodMovement'
import { likelyOf, linear, normal, ofSize, shifted, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { pocketSeason, pocketWoods } from './pocketSeason'

/**
 * Pocket width minus heel width, total, mm: firm hand press, no hammer. [practice] About 0.8 mm (1/32 in) has been shaved in
 * practice, so the limit lies beyond it by what two caliper readings may be off. [ours]
 */
export const WIDTH_BANDS: readonly Band[] = [
  { upTo: -0.95, is: 'wont-go' },
  { upTo: 0.05, is: 'tight' },
  { upTo: 0.35, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
/** The gap to aim at when shaving, mm. [practice] */
const WANTED = { from: 0.05, to: 0.3 }
/** Above this a wall is lined with veneer. [practice] */
const SLOPPY = 0.5
/** How exactly a person shaves with chisel and block, mm, 95 %. [ours] */
const SHAVING_DOUBT = 0.1

export type PocketPlace = 'mouth' | 'end'

const refsOf = (place: PocketPlace) => ({
  pocket: sizeRef('body', place === 'mouth' ? 'pocket.widthMouth' : 'pocket.widthEnd'),
  heel: sizeRef('neck', place === 'mouth' ? 'heel.widthMouth' : 'heel.widthEnd'),
})

/** The heel in the pocket, across, at the mouth or at the end; at the end also the corners. */
export function pocketWidthJoint(build: Build, place: PocketPlace): JudgedJoint {
  const refs = refsOf(place)
  const { mouth, heelEnd } = datums(build)
  const base = {
    id: `pocket-${place}`,
    title: place === 'mouth' ? 'Heel in pocket, at the mouth' : 'Heel in pocket, at the end',
    seatsNeck: true as const,
    slots: ['body', 'neck'] as ('body' | 'neck')[],
    at: pt(place === 'mouth' ? mouth : heelEnd, place === 'mouth' ? -40 : 40),
  }
  const { have, missing } = sizesFor(build, refs)
  if (missing.length) return waitingJoint({ ...base, draw: () => pocketDrawing(build, place) }, missing)
  const tables = yearTable(build, have.pocket.value, have.pocket.value - have.heel.value)
  const gap = linear([
    [1, ofSize(have.pocket)],
    [-1, ofSize(have.heel)],
  ])
  const checks = [widthCheck(build, place, gap, refs)]
  if (place === 'end') {
    const corner = cornerCheck(build, gap)
    if (corner) checks.push(corner)
  }
  return jointOf(build, { ...base, tables, draw: () => pocketDrawing(build, place) }, checks)
}

function widthCheck(build: Build, place: PocketPlace, gap: Distribution, refs: ReturnType<typeof refsOf>): Check {
  const width = sizeAt(build, refs.pocket)!.value
  const season = pocketSeason(build, width)
  const atWorst = shifted(gap, season.close)
  const now = likelyOf(gap)
  const worstGap = likelyOf(atWorst)
  const film = plannedFilm(build)
  return check({
    id: 'width',
    label: place === 'mouth' ? 'Gap at the mouth' : 'Gap at the end',
    clearance: atWorst,
    shown: gap,
    // What can be shaved is a matter of today's gap; how it sits, of the dampest day's.
    bands: WIDTH_BANDS.map((b) => (b.is === 'wont-go' ? { ...b, upTo: b.upTo + season.close } : b)),
    // Film lies on both walls; a masked pocket stays raw.
    coats: build.finish.maskPocket ? 0 : (2 * film) / 1000,
    reads: [refs.pocket, refs.heel],
    says: ({ verdict }) => widthSays(place, verdict, now, worstGap, season),
    cures: ({ verdict }) => widthCures(build, place, verdict, atWorst, refs),
  })
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** The gap over the year: the room's humidity swings from its lowest in February to its highest in August. [ours] */
function yearTable(build: Build, width: number, gap: number): DetailTable[] {
  const woods = pocketWoods(build)
  if (!woods) return []
  const { low, high, now } = build.room
  const values = MONTHS.map((_, m) => {
    const humidity = (low + high) / 2 - ((high - low) / 2) * Math.cos(((m - 1) * Math.PI) / 6)
    return gap + gapChange(width, woods.heel, woods.pocket, now, humidity)
  })
  return [
    {
      title: 'The gap over the year',
      columns: ['month', 'gap'],
      rows: MONTHS.map((m, i) => [m, `${signed(values[i]!)} mm`]),
      chart: { labels: MONTHS, values, unit: 'mm', limits: { from: 0.05, to: 0.35 } },
    },
  ]
}

function widthSays(place: PocketPlace, verdict: string, now: number, worstGap: number, season: { close: number; known: boolean }): string {
  const where = place === 'mouth' ? 'at the mouth' : 'at the end'
  const tail = season.known
    ? season.close < -0.005
      ? ` On the dampest days it closes by another ${printMm(-season.close)} mm.`
      : ' The year does not close it further.'
    : ' Name both woods to see what the year does to it.'
  if (now < -0.95) return `Pocket is ${printMm(-now)} mm too narrow ${where}. The neck will not go in; do not drive it.${tail}`
  if (now < 0.05)
    return `Pocket is ${now < 0 ? `${printMm(-now)} mm too narrow` : `only ${printMm(now)} mm wider than the heel`} ${where}. ${
      now < 0 ? 'The neck starts and sticks; forced, the ear can crack.' : 'Pressed in, the ear can crack on a damp day.'
    }${tail}`
  if (verdict === 'tight' || worstGap < 0.05)
    return `It goes today with ${printMm(now)} mm, but damp air closes it to ${signed(worstGap)} mm ${where}.`
  if (worstGap > SLOPPY) return `Gap of ${printMm(now)} mm ${where}: sloppy, the neck can swing.${tail}`
  if (worstGap > 0.35) return `Gap of ${printMm(now)} mm ${where}: it goes, a little loose.${tail}`
  return `Goes in by a firm hand press, ${printMm(now)} mm to spare ${where}.${tail}`
}

/** How much to take off in total so that the season's worst gap lands in the wanted range, mm. */
export function shavingAmount(worstGap: number): { from: number; to: number } {
  return { from: Math.max(0, WANTED.from - worstGap), to: Math.max(0, WANTED.to - worstGap) }
}

/**
 * Which wall to ease. The neck turns about the pocket's middle, so bringing an axis that passes on one side of the
 * bridge back to its middle needs room on that same side at the mouth and on the other at the end. [physics]
 * @param axisAtBridge where the neck's axis passes the bridge, mm, bass positive
 */
export function wallToEase(place: PocketPlace, axisAtBridge: number): 'bass' | 'treble' {
  const towardsBass = axisAtBridge > 0
  return towardsBass === (place === 'mouth') ? 'bass' : 'treble'
}

function widthCures(
  build: Build,
  place: PocketPlace,
  verdict: string,
  atWorst: Distribution,
  refs: { pocket: SizeRef; heel: SizeRef },
): Cure[] {
  const gap = likelyOf(atWorst)
  if (gap > 0.35) {
    return [
      {
        id: 'line-wall',
        job: `Line one wall with ${printMm(Math.max(0.2, gap - 0.2), 1)} mm of veneer.`,
        how: 'Glue it to the pocket wall, not the heel, grain along the neck; trim flush. Takes nothing off either part.',
        gives: 'nothing',
        tools: ['veneer', 'wood glue', 'flat block'],
        plan: { slot: refs.pocket.slot, size: refs.pocket.size, delta: -(gap - 0.2), doubt: SHAVING_DOUBT },
      },
    ]
  }
  if (verdict === 'snug' || gap >= 0.05) return []
  const { from, to } = shavingAmount(gap)
  const amount = `${from.toFixed(2)} to ${to.toFixed(2)} mm`
  const axis = sizeAt(build, sizeRef('body', 'axisAtBridge'))
  const leans = axis && Math.abs(axis.value) > axis.doubt
  const wall = leans ? `the ${wallToEase(place, axis.value)} wall` : 'both walls evenly'
  const why = leans
    ? `The ${wallToEase(place, axis.value)} side, because the neck axis passes the bridge ${printMm(Math.abs(axis.value))} mm to the ${
        axis.value > 0 ? 'bass' : 'treble'
      } side.`
    : 'Half off each, so that the neck’s axis stays where it is; measure the axis at the bridge to choose one wall.'
  const middle = (from + to) / 2
  return [
    {
      id: 'shave-wall',
      job: `Shave ${wall} near the ${place}, ${amount} in all.`,
      how: `Chisel bevel out, then P120 on a flat block; try the neck often. ${why} Before any finish.`,
      gives: 'body',
      tools: ['sharp chisel', 'P120 on a flat block'],
      plan: { slot: 'body', size: refs.pocket.size, delta: middle, doubt: SHAVING_DOUBT },
    },
    {
      id: 'plane-heel',
      job: `Or plane the heel, ${amount} in all.`,
      how: 'Keeps a finished body whole; the heel’s sides show when the guard is off. Same amount, block plane or block and paper.',
      gives: 'neck',
      tools: ['block plane', 'P120 on a flat block'],
      plan: { slot: 'neck', size: refs.heel.size, delta: -middle, doubt: SHAVING_DOUBT },
    },
  ]
}

/**
 * How far the heel stands off the end wall when its corners foul a larger pocket radius, mm.
 * Goes home when pocket radius <= heel radius + gap/2; else s = d - sqrt(d^2 - (d - c/2)^2), d = radius difference.
 * [physics: circle in circle]
 * @param radiusDifference pocket radius minus heel radius, mm
 * @param gap total width clearance, mm (negative counts as none)
 */
export function cornerStandOff(radiusDifference: number, gap: number): number {
  const side = Math.max(0, gap) / 2
  if (radiusDifference <= side) return 0
  return radiusDifference - Math.sqrt(radiusDifference ** 2 - (radiusDifference - side) ** 2)
}

function cornerCheck(build: Build, gap: Distribution): Check | undefined {
  const refs = { pocket: sizeRef('body', 'pocket.radius'), heel: sizeRef('neck', 'heel.radius') }
  const { have, missing } = sizesFor(build, refs)
  if (missing.length) return undefined
  const c = likelyOf(gap)
  const spare = linear([
    [1, ofSize(have.heel)],
    [-1, ofSize(have.pocket)],
    [1, normal(Math.max(0, c) / 2, 0)],
  ])
  const off = cornerStandOff(have.pocket.value - have.heel.value, c)
  return check({
    id: 'corner',
    label: 'Corners',
    clearance: spare,
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    reads: [refs.pocket, refs.heel],
    says: () =>
      off > 0.005
        ? `The corners foul: the heel stands ${printMm(off)} mm off the end wall, and the scale is that much long.`
        : 'The corners clear; the heel goes home against the end wall.',
    cures: () =>
      off <= 0.005
        ? []
        : [
            {
              id: 'ease-corners',
              job: `Round the heel’s corners to ${printMm(have.pocket.value - Math.max(0, c) / 2, 1)} mm, or square the pocket’s with a chisel.`,
              how: 'A file across the heel corner hides under the guard; the pocket corner needs a narrow sharp chisel.',
              gives: 'neck',
              tools: ['file', 'narrow chisel'],
              plan: {
                slot: 'neck',
                size: 'heel.radius',
                delta: have.pocket.value - Math.max(0, c) / 2 - have.heel.value + 0.2,
                doubt: 0.2,
              },
            },
          ],
  })
}

const EXAGGERATION = 8

/** Pocket and heel from above, the gap enlarged by a stated factor; what has to come off is hatched. */
function pocketDrawing(build: Build, place: PocketPlace): Drawing {
  const side = build.handedness === 'left' ? -1 : 1
  const at = (slot: 'body' | 'neck', size: string) => sizeAt(build, { slot, size })
  const size = {
    pocketMouth: at('body', 'pocket.widthMouth'),
    pocketEnd: at('body', 'pocket.widthEnd'),
    heelMouth: at('neck', 'heel.widthMouth'),
    heelEnd: at('neck', 'heel.widthEnd'),
  }
  const length = at('body', 'pocket.length')?.value ?? 76
  const pm = size.pocketMouth?.value ?? 56
  const pe = size.pocketEnd?.value ?? 56
  const gap = { mouth: size.heelMouth ? pm - size.heelMouth.value : 0.2, end: size.heelEnd ? pe - size.heelEnd.value : 0.2 }
  const heel = { mouth: pm - gap.mouth * EXAGGERATION, end: pe - gap.end * EXAGGERATION }
  const wall = 14
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'body-wood',
      points: [
        pt(0, -pm / 2 - wall),
        pt(length + wall, -pe / 2 - wall),
        pt(length + wall, pe / 2 + wall),
        pt(0, pm / 2 + wall),
        pt(0, pm / 2),
        pt(length, pe / 2),
        pt(length, -pe / 2),
        pt(0, -pm / 2),
      ],
    },
    {
      mark: 'area',
      role: 'neck-wood',
      dashed: !size.heelMouth || !size.heelEnd,
      points: [
        pt(-26, -heel.mouth / 2 + 1.2),
        pt(0, -heel.mouth / 2),
        pt(length - 0.6, -heel.end / 2),
        pt(length - 0.6, heel.end / 2),
        pt(0, heel.mouth / 2),
        pt(-26, heel.mouth / 2 - 1.2),
      ],
    },
    { mark: 'line', role: 'centre', points: [pt(-30, 0), pt(length + wall + 4, 0)] },
  ]
  const overlap = gap[place] < 0.05
  if (overlap) {
    const axis = sizeAt(build, sizeRef('body', 'axisAtBridge'))
    const walls = axis && Math.abs(axis.value) > axis.doubt ? [wallToEase(place, axis.value) === 'bass' ? side : -side] : [1, -1]
    for (const w of walls) {
      const y = (w * (place === 'mouth' ? pm : pe)) / 2
      const x = place === 'mouth' ? 0 : length - 34
      marks.push({ mark: 'area', role: 'remove', points: rectangle(x, y - 1.6, x + 34, y + 1.6) })
    }
  }
  const shown = place === 'mouth' ? size.pocketMouth : size.pocketEnd
  const heelShown = place === 'mouth' ? size.heelMouth : size.heelEnd
  const x = place === 'mouth' ? 12 : length - 14
  const half = place === 'mouth' ? pm / 2 : pe / 2
  if (shown) marks.push({ mark: 'dimension', from: pt(x, -half), to: pt(x, half), text: printMm(shown.value), emphasis: true })
  if (heelShown) {
    const hx = place === 'mouth' ? -14 : length - 40
    const h = place === 'mouth' ? heel.mouth / 2 - 0.5 : heel.end / 2
    marks.push({ mark: 'dimension', from: pt(hx, -h), to: pt(hx, h), text: printMm(heelShown.value) })
  }
  marks.push({ mark: 'label', at: pt(length / 2, side * (-half - wall / 2)), text: 'treble wall', anchor: 'middle' })
  marks.push({ mark: 'label', at: pt(length / 2, side * (half + wall / 2)), text: 'bass wall', anchor: 'middle' })
  return {
    title: 'Pocket and heel from above',
    note: `gap drawn ×${EXAGGERATION}${overlap ? ' · hatched: where to shave' : ''}`,
    marks,
    bounds: { x: -30, y: -half - wall - 2, width: length + wall + 36, height: 2 * (half + wall + 2) },
    numbers: [
      { label: `Pocket width, ${place}`, value: shown ? sizeText(shown) : 'not known' },
      { label: `Heel width, ${place}`, value: heelShown ? sizeText(heelShown) : 'not known' },
      { label: 'Gap, total', value: shown && heelShown ? `${signed(gap[place])} mm` : 'not known' },
    ],
  }
}
