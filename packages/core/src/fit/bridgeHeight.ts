import { sizeAt, sizeRef, sizesFor, type Build } from '../build'
import { pt, rectangle, type Drawing, type Mark } from '../drawing'
import { datums } from '../layout/datums'
import { fretPlace } from '../layout/frets'
import { likelyOf, linear, ofSize, printMm, propagate, type Distribution, type Size } from '../quantity'
import { TARGETS } from '../setup/targets'
import { jointOf, waitingJoint } from './assemble'
import { sizeOr } from './known'
import { check, signed, type Check, type Cure, type DetailTable, type JudgedJoint } from './joint'
import type { Band } from './verdict'

/** Height kept free at either end of the bridge's range, mm. [practice] */
const SPARE = 0.5
/** Bands of what is left to the nearer stop of the bridge, mm. */
const RANGE_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: SPARE, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
/** Thickness of a plastic card used as a shim, mm. [published: ISO/IEC 7810 ID-1] */
export const CARD = 0.76

const rad = (deg: number) => (deg * Math.PI) / 180
const deg = (r: number) => (r * 180) / Math.PI

export interface SideView {
  /** Board surface above the body top at the pocket mouth, mm. */
  board: number
  /** Fret crown height, mm. */
  crown: number
  /** Pocket mouth to saddle, mm. */
  reach: number
  /** Neck tilt, degrees, headstock back positive. */
  tilt: number
  /** Action at fret 12 and string height over the fret plane at the nut, mm. */
  action: number
  nut: number
}

/**
 * Saddle-top height above the body that gives the action wanted, mm:
 * ys = b + tf + D tan(phi) + 2 a12 - a0. [physics: the fret plane is a straight line, fret 12 lies halfway]
 */
export const saddleHeight = (v: SideView): number => v.board + v.crown + v.reach * Math.tan(rad(v.tilt)) + 2 * v.action - v.nut

/** Action at fret 12 that a saddle height gives, mm: the same line solved the other way. [physics] */
export const actionAt = (v: Omit<SideView, 'action'>, saddle: number): number =>
  (saddle - v.board - v.crown - v.reach * Math.tan(rad(v.tilt)) + v.nut) / 2

/**
 * Tilt in degrees and shim thickness in mm at the back of the pocket that raise the fret plane by `rise` mm at the
 * saddle. Shim t = l tan(phi). [physics]
 * @param reach pocket mouth to saddle, mm
 * @param heel usable heel length, mm
 */
export function shimFor(rise: number, reach: number, heel: number): { tilt: number; shim: number } {
  const phi = Math.atan(rise / reach)
  return { tilt: deg(phi), shim: heel * Math.tan(phi) }
}

/** Tilt of the pocket's floor, shims planned on paper included. */
const tiltOf = (build: Build): Size => sizeOr(build, sizeRef('body', 'pocket.tilt'), 0, 0.2)

/** Action at fret 12 the chosen school aims at, mm, middle of both sides. */
function wantedAction(build: Build): number {
  const target = TARGETS[build.setup.school]
  return (target.actionBass + target.actionTreble) / 2
}

/** Saddle-top height above the body that the wanted action asks for, mm; nothing until heel, pocket, crown and nut are known. */
export function wantedSaddle(build: Build): Distribution | undefined {
  const { have, missing } = sizesFor(build, {
    heel: sizeRef('neck', 'heel.thickness'),
    pocket: sizeRef('body', 'pocket.depth'),
    crown: sizeRef('neck', 'crown'),
    nut: sizeRef('nut', 'slot'),
  })
  if (missing.length) return undefined
  const d = datums(build)
  const [action, reach] = [wantedAction(build), d.scale - d.mouth]
  return propagate(
    ([heel, pocket, crown, nut, phi]) => saddleHeight({ board: heel! - pocket!, crown: crown!, reach, tilt: phi!, action, nut: nut! }),
    [ofSize(have.heel), ofSize(have.pocket), ofSize(have.crown), ofSize(have.nut), ofSize(tiltOf(build))],
  )
}

/** Tilts people try, degrees: a quarter, half, the plastic card under 70 mm, one. [practice] */
const TRIED = [0, 0.25, 0.5, 0.62, 1]

/** What each of the usual tilts would do: shim, saddle height, what is left to the stops. [physics] */
function tiltTable(build: Build): DetailTable[] {
  const now = wantedSaddle(build)
  const low = sizeAt(build, sizeRef('bridge', 'height.min'))
  const high = sizeAt(build, sizeRef('bridge', 'height.max'))
  if (!now || !low || !high) return []
  const d = datums(build)
  const heel = sizeAt(build, sizeRef('body', 'pocket.length'))?.value ?? 76
  return [
    {
      title: 'Added tilt, and what it gives',
      columns: ['tilt', 'shim at the end', 'saddle', 'to lowest', 'to highest'],
      rows: TRIED.map((t) => {
        const ys = likelyOf(now) + (d.scale - d.mouth) * Math.tan(rad(t))
        return [
          t === 0.62 ? '0.62° card' : `${t}°`,
          `${printMm(heel * Math.tan(rad(t)))} mm`,
          `${printMm(ys, 1)} mm`,
          `${printMm(ys - low.value, 1)} mm`,
          `${printMm(high.value - ys, 1)} mm`,
        ]
      }),
    },
  ]
}

/** Strings over the pickup covers with the bridge at the height wanted: held at the last fret they sink further. */
function coverChecks(build: Build): Check[] {
  const ys = wantedSaddle(build)
  if (!ys) return []
  const d = datums(build)
  const board =
    (sizeAt(build, sizeRef('neck', 'heel.thickness'))?.value ?? 25.4) - (sizeAt(build, sizeRef('body', 'pocket.depth'))?.value ?? 16)
  const crown = sizeAt(build, sizeRef('neck', 'crown'))?.value ?? 1.1
  const last = fretPlace(d.scale, sizeAt(build, sizeRef('neck', 'frets'))?.value ?? 22)
  const guard = build.parts.guard ? (sizeAt(build, sizeRef('guard', 'thickness'))?.value ?? 2.5) : 0
  return (['neck', 'bridge'] as const).flatMap((place) => {
    const above = sizeAt(build, sizeRef(`pickup-${place}`, 'above'))
    const centre = sizeAt(build, sizeRef('body', `route.${place}.centre`))
    if (!above || !centre) return []
    const x = d.mouth + centre.value
    // The string held at the last fret runs straight from that crown to the saddle.
    const share = (x - last) / (d.scale - last)
    const crownAt = board + crown + (last - d.mouth) * Math.tan(rad(tiltOf(build).value))
    const free = linear(
      [
        [share, ys],
        [-1, ofSize(above)],
      ],
      (1 - share) * crownAt - guard - CLEAR_OF_POLES,
    )
    return [
      check({
        id: `cover-${place}`,
        label: `Strings over the ${place} cover, held at the last fret`,
        clearance: free,
        shown: linear([[1, free]], CLEAR_OF_POLES),
        bands: [
          { upTo: -CLEAR_OF_POLES, is: 'wont-go' },
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        reads: [sizeRef(`pickup-${place}`, 'above'), sizeRef('neck', 'heel.thickness'), sizeRef('body', 'pocket.depth')],
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
      }),
    ]
  })
}

/** Pole-to-string distance to start from, mm. [practice] */
const CLEAR_OF_POLES = 1.6

/** Can the bridge reach the height the action asks for, with the neck as it sits? */
export function bridgeHeightJoint(build: Build): JudgedJoint {
  const refs = {
    heel: sizeRef('neck', 'heel.thickness'),
    pocket: sizeRef('body', 'pocket.depth'),
    crown: sizeRef('neck', 'crown'),
    nut: sizeRef('nut', 'slot'),
    low: sizeRef('bridge', 'height.min'),
    high: sizeRef('bridge', 'height.max'),
  }
  const d = datums(build)
  const base = {
    tables: tiltTable(build),
    id: 'bridge-height',
    title: 'Neck angle and bridge height',
    slots: ['neck', 'body', 'bridge', 'nut'] as ('neck' | 'body' | 'bridge' | 'nut')[],
    at: pt(d.studs, -48),
  }
  const { have, missing } = sizesFor(build, refs)
  if (missing.length) return waitingJoint({ ...base, draw: () => sideDrawing(build, undefined) }, missing)
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
  const reads = [...Object.values(refs), sizeRef('body', 'pocket.tilt')]
  const range = `${printMm(have.low.value, 1)} to ${printMm(have.high.value, 1)} mm`
  const lowEnd = check({
    id: 'low-stop',
    label: 'Above the lowest stop',
    clearance: above,
    bands: RANGE_BANDS,
    reads,
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `Saddles stand ${printMm(ys, 1)} mm above the body for ${printMm(action)} mm at fret 12; the bridge reaches ${range}.`
        : `The action wanted needs saddles at ${printMm(ys, 1)} mm and the bridge reaches ${range}: at its stop the action stays at ${printMm(
            actionAt(
              { board: have.heel.value - have.pocket.value, crown: have.crown.value, reach, tilt: tilt.value, nut: have.nut.value },
              have.low.value + SPARE,
            ),
          )} mm.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [...tiltCures(build, have.low.value + SPARE - ys, reach), middleCure(build, (have.low.value + have.high.value) / 2 - ys, reach)],
  })
  const highEnd = check({
    id: 'high-stop',
    label: 'Below the highest stop',
    clearance: below,
    bands: RANGE_BANDS,
    reads,
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `Saddles stand ${printMm(ys, 1)} mm above the body; the bridge reaches ${range}.`
        : `Strings lie too low: saddles would have to stand at ${printMm(ys, 1)} mm and the bridge ends at ${printMm(have.high.value, 1)} mm.`,
    cures: ({ verdict }) => (verdict === 'snug' ? [] : raiseCures(ys + SPARE - have.high.value)),
  })
  const nearer = likelyOf(above) <= likelyOf(below) ? [lowEnd, highEnd] : [highEnd, lowEnd]
  return jointOf(build, { ...base, draw: () => sideDrawing(build, ys) }, [...nearer, ...coverChecks(build)])
}

function tiltCures(build: Build, rise: number, reach: number): Cure[] {
  const heel = sizeAt(build, sizeRef('body', 'pocket.length'))?.value ?? 76
  const { tilt, shim } = shimFor(Math.max(0, rise), reach, heel)
  const card = deg(Math.atan(CARD / heel))
  const cardRise = reach * Math.tan(rad(card))
  const plan = { slot: 'body' as const, size: 'pocket.tilt', delta: tilt, doubt: 0.05 }
  return [
    {
      id: 'taper-shim',
      job: `Tilt the neck ${tilt.toFixed(2)}° back: a tapered shim, ${printMm(shim)} mm at the pocket’s end.`,
      how: `A full-length taper supports the whole heel. A plastic card (${CARD} mm) at the end would give ${card.toFixed(2)}° and raise the plane ${printMm(cardRise, 1)} mm at the saddle.`,
      gives: 'nothing',
      tools: ['tapered shim', 'screwdriver'],
      plan,
    },
    {
      id: 'strip-shim',
      job: `Or a strip ${printMm(shim)} mm thick at the back of the pocket.`,
      how: 'Quick and easy to undo; leaves a hollow under the heel. Both ways are practised.',
      gives: 'nothing',
      tools: ['card or veneer', 'scissors'],
      plan,
    },
  ]
}

/** The other goal: the bridge in the middle of its range, room to spare either way. */
function middleCure(build: Build, rise: number, reach: number): Cure {
  const heel = sizeAt(build, sizeRef('body', 'pocket.length'))?.value ?? 76
  const { tilt, shim } = shimFor(Math.max(0, rise), reach, heel)
  return {
    id: 'shim-to-middle',
    job: `Or tilt it ${tilt.toFixed(2)}° (${printMm(shim)} mm at the end): the bridge then stands mid-range.`,
    how: 'More shim than needed now; leaves room both ways and a steeper string over the saddles.',
    gives: 'nothing',
    tools: ['tapered shim', 'screwdriver'],
    plan: { slot: 'body', size: 'pocket.tilt', delta: tilt, doubt: 0.05 },
  }
}

const raiseCures = (missing: number): Cure[] => [
  {
    id: 'bridge-plate',
    job: `Put a plate ${printMm(missing, 1)} mm thick under the bridge, with longer screws.`,
    how: 'It must conduct where the string ground runs through it. Takes nothing off the body.',
    gives: 'nothing',
    tools: ['plate', 'longer screws'],
    plan: { slot: 'bridge', size: 'height.max', delta: missing, doubt: 0.1 },
  },
]

const TALL = 6

/** The instrument from the side, heights enlarged: body top, board, string, saddle and the bridge's reach. */
export function sideDrawing(build: Build, ys: number | undefined): Drawing {
  const d = datums(build)
  const value = (slot: 'neck' | 'body' | 'bridge' | 'nut', size: string, otherwise: number) =>
    sizeAt(build, { slot, size })?.value ?? otherwise
  const board = value('neck', 'heel.thickness', 25.4) - value('body', 'pocket.depth', 16)
  const crown = value('neck', 'crown', 1.1)
  const tilt = tiltOf(build).value
  const nut = value('nut', 'slot', 0.5)
  const low = value('bridge', 'height.min', 9)
  const high = value('bridge', 'height.max', 15)
  const up = (h: number) => -h * TALL
  // Height of the board's surface at x, the neck turning about the pocket mouth.
  const surface = (x: number) => board + (x - d.mouth) * Math.tan(rad(tilt))
  const start = d.scale * 0.44
  const saddle = d.scale
  const s = ys ?? (low + high) / 2
  const string = (x: number) => {
    const atNut = surface(0) + crown + nut
    return atNut + ((s - atNut) * x) / saddle
  }
  const end = saddle + 24
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: rectangle(d.mouth, up(0), end, up(-5)) },
    {
      mark: 'area',
      role: 'board',
      points: [
        pt(start, up(surface(start))),
        pt(d.heelEnd, up(surface(d.heelEnd))),
        pt(d.heelEnd, up(Math.max(0, surface(d.heelEnd) - 6))),
        pt(start, up(surface(start) - 6)),
      ],
    },
    { mark: 'line', role: 'guide', dashed: true, points: [pt(start, up(surface(start) + crown)), pt(saddle, up(surface(saddle) + crown))] },
    { mark: 'line', role: 'string', points: [pt(start, up(string(start))), pt(saddle, up(s))] },
    { mark: 'area', role: 'doubt', points: rectangle(saddle + 6, up(low), saddle + 12, up(high)) },
    { mark: 'area', role: 'metal', points: rectangle(saddle - 3, up(s), saddle + 5, up(0)) },
    {
      mark: 'dimension',
      from: pt(saddle - 30, up(0)),
      to: pt(saddle - 30, up(string(saddle - 30))),
      text: `${printMm(s, 1)}`,
      emphasis: true,
    },
    {
      mark: 'dimension',
      from: pt(d.heelEnd + 14, up(0)),
      to: pt(d.heelEnd + 14, up(surface(d.heelEnd + 14) + crown)),
      text: printMm(board + crown, 1),
    },
    { mark: 'label', at: pt(saddle + 14, up(high)), text: printMm(high, 1), anchor: 'start' },
    { mark: 'label', at: pt(saddle + 14, up(low)), text: printMm(low, 1), anchor: 'start' },
  ]
  return {
    title: 'Fret plane, string and bridge from the side',
    note: `heights drawn ×${TALL} · hatched: reach of the bridge`,
    marks,
    bounds: { x: start - 6, y: up(Math.max(high, s) + 3), width: end - start + 26, height: (Math.max(high, s) + 9) * TALL },
    numbers: [
      { label: 'Board above body', value: `${printMm(board)} mm` },
      { label: 'Neck tilt', value: `${signed(tilt)}°` },
      { label: 'Saddle height needed', value: ys === undefined ? 'not known' : `${printMm(ys)} mm` },
      { label: 'Bridge reach', value: `${printMm(low, 1)} to ${printMm(high, 1)} mm` },
    ],
  }
}
