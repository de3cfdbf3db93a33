import type { Build } from '../../document/build'
import { sizeAt, sizeRef, sizesFor, traitAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { actionAt, afterTilt, CARD, riseOver, saddleHeight, SPARE, STRIP, tiltFor, type SideSetting } from '../../instrument/neckAngle'
import { TARGETS } from '../../instrument/targets'
import { jointOf, waitingJoint } from '../../judge/assemble'
import { check, type Check, type Cure, type DetailTable, type JudgedJoint } from '../../judge/joint'
import { landing, sizeOr } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { fretPlace } from '../../physics/frets'
import { likelyOf, linear, normal, ofSize, propagate, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { heelOf, sideDrawing } from './sideDrawing'
import { heldAt } from './stringHold'

/** Bands of what is left to the nearer stop of the bridge, mm. */
const RANGE_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: SPARE, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
/** How exactly a shim is made, degrees. [practice] */
const SHIM_DOUBT = 0.05

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

/** Saddle-top height as the bridge was set, or as the action wanted asks. */
export function saddleNow(build: Build): Distribution | undefined {
  return build.setup.saddle === undefined ? wantedSaddle(build) : normal(build.setup.saddle, 0.05)
}

/** What the goals and the drags reckon from; nothing until heel, pocket, crown, nut and the bridge's range are known. */
export function sideSetting(build: Build): SideSetting | undefined {
  const now = wantedSaddle(build)
  const low = sizeAt(build, sizeRef('bridge', 'height.min'))
  const high = sizeAt(build, sizeRef('bridge', 'height.max'))
  if (!now || !low || !high) return undefined
  const d = datums(build)
  const held = heldAt(build)
  return {
    saddle: likelyOf(now),
    action: wantedAction(build),
    low: low.value,
    high: high.value,
    reach: d.scale - d.mouth,
    heel: heelOf(build),
    ...(held ? { held: { height: held.height.value, distance: held.distance.value } } : {}),
  }
}

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
function coverChecks(build: Build): Check[] {
  const ys = saddleNow(build)
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
    const crownAt = board + crown + riseOver(last - d.mouth, tiltOf(build).value)
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
  if (missing.length) return waitingJoint({ ...base, draw: () => sideDrawing(build, sideOf(build)) }, missing)
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
  })
  const highEnd = check({
    id: 'high-stop',
    label: 'Below the highest stop',
    clearance: below,
    bands: RANGE_BANDS,
    reads,
    says: ({ verdict }) => {
      if (verdict === 'snug') return `Saddles stand ${printMm(ys, 1)} mm above the body; the bridge reaches ${range}.`
      return likelyOf(below) >= 0
        ? `Saddles stand ${printMm(ys, 1)} mm above the body, only ${printMm(likelyOf(below), 1)} mm under where the bridge ends.`
        : `Strings lie too low: saddles would have to stand at ${printMm(ys, 1)} mm and the bridge ends at ${printMm(have.high.value, 1)} mm.`
    },
    cures: ({ verdict }) => (verdict === 'snug' ? [] : raiseCures(build, ys + SPARE - have.high.value, below)),
  })
  const nearer = likelyOf(above) <= likelyOf(below) ? [lowEnd, highEnd] : [highEnd, lowEnd]
  return jointOf(build, { ...base, draw: () => sideDrawing(build, sideOf(build)) }, [
    ...nearer,
    ...asItStands(build, needed),
    ...coverChecks(build),
  ])
}

const sideOf = (build: Build): Parameters<typeof sideDrawing>[1] => {
  const now = saddleNow(build)
  return {
    saddle: now && likelyOf(now),
    tilt: tiltOf(build).value,
    added: build.jobs[TRIAL_TILT]?.delta ?? 0,
    held: sideSetting(build)?.held,
  }
}

/** The job a tilt on trial stands under. */
export const TRIAL_TILT = 'bridge-height/trial-tilt'

/** Action as the bridge was set, beside the action wanted; only when its height has been given. */
function asItStands(build: Build, needed: Distribution): Check[] {
  const set = build.setup.saddle
  if (set === undefined) return []
  const wanted = wantedAction(build)
  // Fret 12 lies halfway: what the saddle is off shows there by half.
  const off = linear([[-0.5, needed]], set / 2)
  const pitch = sizeAt(build, sizeRef('bridge', 'height.pitch'))?.value ?? 0.5
  const move = -2 * likelyOf(off)
  return [
    check({
      id: 'as-set',
      label: 'Action as the bridge is set, over the action wanted',
      clearance: off,
      bands: [
        { upTo: -0.8, is: 'wont-go' },
        { upTo: -0.25, is: 'tight' },
        { upTo: 0.25, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      reads: [sizeRef('neck', 'heel.thickness'), sizeRef('body', 'pocket.depth')],
      says: () =>
        `With the saddles at ${printMm(set, 1)} mm the action is ${printMm(wanted + likelyOf(off))} mm at fret 12; ${printMm(wanted)} is wanted.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
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
    }),
  ]
}

function tiltCures(build: Build, above: Distribution): Cure[] {
  const side = sideSetting(build)
  const least = side && tiltFor(side, { reach: 'least', beyond: landing(above, riseOver(side.reach, SHIM_DOUBT)) })
  if (!side || !least) return []
  const card = (Math.atan(CARD / side.heel) * 180) / Math.PI
  const plan = { slot: 'body' as const, size: 'pocket.tilt', delta: least.tilt, doubt: SHIM_DOUBT }
  return [
    ...(traitAt(build, 'neck', 'tiltScrew') === 'screw'
      ? [
          {
            id: 'tilt-screw',
            job: `Turn the heel’s tilt screw in until the pocket’s end opens by ${printMm(least.shim)} mm.`,
            how: 'Slacken the neck screws half a turn first, tighten them after; check the side play.',
            gives: 'nothing',
            tools: ['key of the tilt screw', 'screwdriver'],
            plan,
          },
        ]
      : []),
    {
      id: 'taper-shim',
      job: `Tilt the neck ${least.tilt.toFixed(2)}° back: a tapered shim, ${printMm(least.shim)} mm at the pocket’s end.`,
      how: `A full-length taper supports the whole heel. A plastic card (${CARD} mm) at the end would give ${card.toFixed(2)}° and raise the plane ${printMm(riseOver(side.reach, card), 1)} mm at the saddle.`,
      gives: 'nothing',
      tools: ['tapered shim', 'screwdriver'],
      plan,
    },
    {
      id: 'strip-shim',
      job: `Or a strip ${printMm(least.strip)} mm thick and ${STRIP} mm wide at the back of the pocket.`,
      how: 'Quick and easy to undo; the heel lies on its front edge and is hollow before it. Both ways are practised.',
      gives: 'nothing',
      tools: ['card or veneer', 'scissors'],
      plan,
    },
    ...middleCure(side),
  ]
}

/** The other goal: the bridge in the middle of its range, room to spare either way. */
function middleCure(side: SideSetting): Cure[] {
  const middle = tiltFor(side, { reach: 'middle' })
  if (!middle) return []
  return [
    {
      id: 'shim-to-middle',
      job: `Or tilt it ${middle.tilt.toFixed(2)}° (${printMm(middle.shim)} mm at the end): the bridge then stands mid-range.`,
      how: 'More shim than needed now; leaves room both ways and a steeper string over the saddles.',
      gives: 'nothing',
      tools: ['tapered shim', 'screwdriver'],
      plan: { slot: 'body', size: 'pocket.tilt', delta: middle.tilt, doubt: SHIM_DOUBT },
    },
  ]
}

/** Strings too low: a plate under the bridge, or the neck tipped forward. */
function raiseCures(build: Build, lack: number, below: Distribution): Cure[] {
  const side = sideSetting(build)
  const least = side && tiltFor(side, { reach: 'least', beyond: landing(below, riseOver(side.reach, SHIM_DOUBT)) })
  const missing = lack + landing(below, 0.1)
  const screw = sizeAt(build, sizeRef('bridge', 'screw.length'))
  return [
    {
      id: 'bridge-plate',
      job: `Put a plate ${printMm(missing, 1)} mm thick under the bridge, with ${screw ? `screws of ${printMm(screw.value + missing, 0)} mm` : 'longer screws'}.`,
      how: 'It must conduct where the string ground runs through it. Takes nothing off the body.',
      gives: 'nothing',
      tools: ['plate', 'longer screws'],
      plan: { slot: 'bridge', size: 'height.max', delta: missing, doubt: 0.1 },
    },
    ...(least && least.tilt < 0
      ? [
          {
            id: 'less-tilt',
            job: `Or tip the neck ${Math.abs(least.tilt).toFixed(2)}° forward: a shim of ${printMm(least.shim)} mm at the pocket’s mouth.`,
            how: 'Takes out a shim at the end first, where there is one. The strings get flatter over the saddles.',
            gives: 'nothing',
            tools: ['tapered shim', 'screwdriver'],
            plan: { slot: 'body' as const, size: 'pocket.tilt', delta: least.tilt, doubt: SHIM_DOUBT },
          },
        ]
      : []),
  ]
}
