import type { Build, PlannedJob } from '../../document/build'
import { boardRef, sizeAt, sizeRef, sizesFor, tiltRef } from '../../document/read'
import { datums } from '../../instrument/datums'
import { riseAt } from '../../instrument/frontRise'
import { mouthLift, saddleHeight, type SideSetting } from '../../instrument/neckAngle'
import { wantedOf } from '../../instrument/targets'
import { sizesIn, sizeToDraw } from '../../judge/known'
import { likelyOf, normal, ofSize, propagate, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import type { sideDrawing } from './sideDrawing'
import { heelOf } from './sideDrawing'
import { heldAt } from './stringHold'

/** How exactly a shim is made, degrees. [practice] */
export const SHIM_DOUBT = 0.05

/** The neck's tilt, shims planned on paper included. */
export const tiltOf = (build: Build): Size => sizeToDraw(build, tiltRef(build))

/** The side of the strings a target is for. */
export type StringSide = 'bass' | 'treble'

/** Action at fret 12 the chosen school aims at, mm. The treble side asks for the lowest saddle, the bass side for the highest. */
export const wantedAction = (build: Build, side: StringSide = 'treble'): number =>
  wantedOf(build)[side === 'bass' ? 'actionBass' : 'actionTreble']

/** "1.25 mm at fret 12 on the treble side": the side only where the school tells them apart. */
export const actionWords = (build: Build, side: StringSide = 'treble'): string =>
  `${printMm(wantedAction(build, side))} mm at fret 12${wantedAction(build, 'bass') === wantedAction(build, 'treble') ? '' : ` on the ${side} side`}`

const heights = (build: Build) => ({
  heel: boardRef(build),
  pocket: sizeRef('body', 'pocket.depth'),
  crown: sizeRef('neck', 'crown'),
  nut: sizeRef('nut', 'slot'),
})

/** Saddle-top height above the front under it that the wanted action asks for, mm; nothing until heel, pocket, crown, nut and an arch’s rise are known. */
export function wantedSaddle(build: Build, side: StringSide = 'treble'): Distribution | undefined {
  const { have, missing } = sizesFor(build, heights(build))
  const rise = riseAt(build, 'bridge')
  if (missing.length || !rise) return undefined
  const d = datums(build)
  const [action, reach] = [wantedAction(build, side), d.scale - d.mouth]
  return propagate(
    ([heel, pocket, crown, nut, phi, up]) =>
      saddleHeight({ board: heel! - pocket!, rise: up!, crown: crown!, reach, tilt: phi!, action, nut: nut! }),
    [ofSize(have.heel), ofSize(have.pocket), ofSize(have.crown), ofSize(have.nut), ofSize(tiltOf(build)), ofSize(rise)],
  )
}

/** How far the saddles stand over the middle of their range for the action wanted, mm; nothing while any of it is unknown. */
export function overMiddle(build: Build): number | undefined {
  const [needed, low, high] = [
    wantedSaddle(build),
    sizeAt(build, sizeRef('bridge', 'height.min')),
    sizeAt(build, sizeRef('bridge', 'height.max')),
  ]
  return needed && low && high && likelyOf(needed) - (low.value + high.value) / 2
}

/** Saddle-top height as the bridge was set, or as the action wanted asks. */
export function saddleNow(build: Build): Distribution | undefined {
  return build.setup.saddle === undefined ? wantedSaddle(build) : normal(build.setup.saddle, 0.05)
}

/** The likeliest of that alone, where every size has an answer, mm. */
export function likelySaddle(build: Build): number {
  if (build.setup.saddle !== undefined) return build.setup.saddle
  const have = sizesIn(build, heights(build))
  const { scale, mouth } = datums(build)
  return saddleHeight({
    board: have.heel.value - have.pocket.value,
    rise: riseAt(build, 'bridge')!.value,
    crown: have.crown.value,
    reach: scale - mouth,
    tilt: tiltOf(build).value,
    action: wantedAction(build),
    nut: have.nut.value,
  })
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

export const sideOf = (build: Build): Parameters<typeof sideDrawing>[1] => {
  const now = saddleNow(build)
  return {
    saddle: now && likelyOf(now),
    tilt: tiltOf(build).value,
    added: build.jobs[TRIAL_TILT]?.delta ?? 0,
    held: sideSetting(build)?.held,
  }
}

/** What a tilt moves: forward, the shim at the mouth also lifts the heel there. */
export const tiltJob = (heel: number, tilt: number): Omit<PlannedJob, 'text'> => ({
  slot: 'body',
  size: 'pocket.tilt',
  delta: tilt,
  doubt: SHIM_DOUBT,
  ...(tilt < 0 ? { also: [{ slot: 'body', size: 'pocket.depth', delta: -mouthLift(heel, tilt), doubt: SHIM_EXACT }] } : {}),
})
/** How exactly a shim's thickness is made, mm. [practice] */
const SHIM_EXACT = 0.05

/** The job a tilt on trial stands under. */
export const TRIAL_TILT = 'bridge-height/trial-tilt'
