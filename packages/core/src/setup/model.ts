import type { Build } from '../document/build'
import { isGlued, sizeAt, valueAt } from '../document/read'
import { bassString, readingsOf, setupReading } from '../document/setupReadings'
import { radiusAtSaddle } from '../instrument/boardArc'
import { wantedOf } from '../instrument/targets'
import { fretPlace } from '../physics/frets'
import { crownsOf, liftFor, type NeckShape } from '../physics/neckCurve'
import { actionAt, saddleFor, slotForSliver } from '../physics/nutAction'
import type { Crowns } from '../physics/heldString'
import type { Point } from '../geometry/point'
import { isAfter } from '../quantity/moments'
import { holds } from './staleness'
import { toldAt } from '../judge/known'
import { USUAL_SLOT } from '../instrument/nutTargets'

/** Fret a neck meets its body at, by how it is joined. [practice] */
const JOINT = { bolted: 16, glued: 16 } as const
/** Fret a sliver is read at, held down. */
export const SLIVER_AT = 3

/** One string as the setup sees it: the neck under it with its own slot, and the saddle's top. */
export interface StringModel {
  number: number
  neck: Crowns
  saddle: Point
  /** Action over fret 12, mm. */
  action: number
  /** Slot bottom over the neck's curve, mm, and whether anybody read it. */
  slot: number
  slotRead: boolean
}

/** One model of strings, frets, nut and saddles; each reading moves it, and all of the station reads it. */
export interface SetupModel {
  scale: number
  frets: number
  relief: number
  reliefRead: boolean
  actionRead: boolean
  /** Read, and nothing was turned, levelled or strung otherwise since: what is said to be so may rest on it. */
  reliefHolds: boolean
  actionHolds: boolean
  shape: NeckShape
  strings: StringModel[]
}

/** Action wanted of a string over fret 12: a straight line from the treble to the bass. */
export const actionWanted = (build: Build, number: number, targets = wantedOf(build)): number =>
  targets.actionTreble + ((targets.actionBass - targets.actionTreble) * (number - 1)) / Math.max(1, build.strings - 1)

/** The neck's shape by what was read of it. @param slot over its curve, mm */
export function shapeOf(build: Build, slot: number, relief: number): NeckShape {
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const frets = Math.round(sizeAt(build, { slot: 'neck', size: 'frets' })?.value ?? 22)
  const joint = build.setup.joint ?? (isGlued(build) ? JOINT.glued : JOINT.bolted)
  const bumps = Object.fromEntries(highFrets(build).map((h) => [h.fret, h.by]))
  const straight: NeckShape = { scale, frets, slot, joint: Math.min(joint, frets - 1), bumps }
  return { ...straight, lift: liftFor(straight, relief, Math.min(8, frets - 2)) }
}

/** The whole setup as a model. @param other what is tried instead: relief, mm */
export function setupModel(build: Build, other: { relief?: number } = {}): SetupModel {
  const targets = wantedOf(build)
  const read = setupReading(build, { what: 'relief' })
  const relief = other.relief ?? read ?? (targets.relief.from + targets.relief.to) / 2
  const usual = sizeAt(build, { slot: 'nut', size: 'slot' })?.value ?? USUAL_SLOT
  const shape = shapeOf(build, usual, relief)
  const outer = (string: number) => readAction(build, string, shape, usual)
  const [treble, bass] = [outer(1), outer(bassString(build))]
  const at = (number: number) => {
    const own = readAction(build, number, shape, usual)
    if (own !== undefined) return own
    if (treble === undefined || bass === undefined) return actionWanted(build, number, targets)
    return treble + ((bass - treble) * (number - 1)) / Math.max(1, build.strings - 1)
  }
  const strings = Array.from({ length: build.strings }, (_, i): StringModel => {
    const number = i + 1
    const action = at(number)
    const slot = slotRead(build, number, shape, action)
    const own = crownsOf({ ...shape, slot: slot ?? usual })
    return { number, neck: own, saddle: saddleFor(own, shape.scale, action, 12), action, slot: slot ?? usual, slotRead: slot !== undefined }
  })
  return {
    scale: shape.scale,
    frets: shape.frets,
    relief,
    reliefRead: read !== undefined,
    actionRead: treble !== undefined && bass !== undefined,
    reliefHolds: holds(build, { what: 'relief' }),
    actionHolds: [1, bassString(build)].every((string) => holds(build, { what: 'action', string })),
    shape,
    strings,
  }
}

/** The action over fret 12 by the newest reading of a string, wherever along the neck it was taken. */
export function readAction(build: Build, string: number, shape: NeckShape, slot: number): number | undefined {
  const last = readingsOf(build, { what: 'action', string }).at(-1)
  if (!last) return undefined
  const fret = last.fret ?? 12
  if (fret === 12 || fret > shape.frets) return last.value
  const neck = crownsOf({ ...shape, slot })
  return actionAt(neck, saddleFor(neck, shape.scale, last.value, fret), 12)
}

/** The slot over the curve by the newer of both ways of reading it; nothing where neither was read. */
function slotRead(build: Build, string: number, shape: NeckShape, action: number): number | undefined {
  const sliver = readingsOf(build, { what: 'sliver', string }).at(-1)
  const gap = readingsOf(build, { what: 'gap', string }).at(-1)
  const plain = crownsOf({ ...shape, slot: 0 })
  if (sliver && (!gap || !isAfter(gap.at, sliver.at))) return slotForSliver(plain, sliver.fret ?? SLIVER_AT, sliver.value) - plain.nut.y
  if (!gap) return undefined
  // The open gap depends on the saddle, and the saddle on the slot: a few rounds settle it.
  let slot = USUAL_SLOT
  for (let i = 0; i < 12; i++) {
    const neck = crownsOf({ ...shape, slot })
    slot += gap.value - actionAt(neck, saddleFor(neck, shape.scale, action, 12), 1)
  }
  return slot
}

/** Frets a rocker tips over on some string, with by how much, the worst first. */
export function highFrets(build: Build): { fret: number; by: number; strings: number[] }[] {
  const found = new Map<number, { by: number; strings: number[] }>()
  for (const [key, mm] of Object.entries(build.setup.rocks ?? {})) {
    const [string, fret] = key.split('-').map(Number)
    if (!mm || string === undefined || fret === undefined) continue
    // A rocker over three frets tips twice as far as the middle one stands up.
    const at = found.get(fret) ?? { by: 0, strings: [] }
    found.set(fret, { by: Math.max(at.by, mm / 2), strings: [...at.strings, string] })
  }
  return [...found].map(([fret, h]) => ({ fret, ...h })).toSorted((a, b) => b.by - a.by)
}

/** Board radius under the saddles, mm: of a compound board carried on to there. Nothing where it is not known. */
export function radiusAtSaddles(build: Build): number | undefined {
  const nut = toldAt(build, { slot: 'neck', size: 'board.radius' })?.value
  if (nut === undefined) return undefined
  const end = valueAt(build, { slot: 'neck', size: 'board.radiusEnd' })
  if (end === undefined) return nut
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const frets = Math.round(sizeAt(build, { slot: 'neck', size: 'frets' })?.value ?? 22)
  return radiusAtSaddle(nut, end, fretPlace(scale, frets), scale)
}
