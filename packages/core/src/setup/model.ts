import type { Build, SetupReading } from '../document/build'
import { isGlued, sizeAt, valueAt } from '../document/read'
import { bassString, readingsOf, setupReading, type Asked } from '../document/setupReadings'
import { radiusAtSaddle } from '../instrument/boardArc'
import { wantedOf } from '../instrument/targets'
import { fretPlace } from '../physics/frets'
import { crownsOf, liftFor, type NeckShape } from '../physics/neckCurve'
import { actionAt, saddleFor, slotForSliver } from '../physics/nutAction'
import type { Crowns } from '../physics/heldString'
import type { Point } from '../geometry/point'
import { isAfter } from '../quantity/moments'
import { readingAsOf } from './asOf'
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

/** The neck, and every string's action over fret 12, as they are or were. */
interface Stood {
  relief: number
  shape: NeckShape
  /** Read at the outer strings, both of them. */
  read: boolean
  actionOf: (string: number) => number
}

/** How neck and strings stood by what was read of them. @param pick which reading counts @param tried a relief instead of what was read, mm */
function stood(build: Build, slot: number, pick: (asked: Asked) => SetupReading | undefined, tried?: number): Stood {
  const targets = wantedOf(build)
  const relief = tried ?? pick({ what: 'relief' })?.value ?? (targets.relief.from + targets.relief.to) / 2
  const shape = shapeOf(build, slot, relief)
  const read = (string: number) => over12(pick({ what: 'action', string }), shape)
  const [treble, bass] = [read(1), read(bassString(build))]
  const actionOf = (string: number) => {
    const own = read(string)
    if (own !== undefined) return own
    if (treble === undefined || bass === undefined) return actionWanted(build, string, targets)
    return treble + ((bass - treble) * (string - 1)) / Math.max(1, build.strings - 1)
  }
  return { relief, shape, read: treble !== undefined && bass !== undefined, actionOf }
}

/** The whole setup as a model. @param other what is tried instead: relief, mm */
export function setupModel(build: Build, other: { relief?: number } = {}): SetupModel {
  const usual = sizeAt(build, { slot: 'nut', size: 'slot' })?.value ?? USUAL_SLOT
  const now = stood(build, usual, (asked) => readingsOf(build, asked).at(-1), other.relief)
  const { relief, shape } = now
  const strings = Array.from({ length: build.strings }, (_, i): StringModel => {
    const number = i + 1
    const action = now.actionOf(number)
    const slot = slotRead(build, number, usual)
    const own = crownsOf({ ...shape, slot: slot ?? usual })
    return { number, neck: own, saddle: saddleFor(own, shape.scale, action, 12), action, slot: slot ?? usual, slotRead: slot !== undefined }
  })
  return {
    scale: shape.scale,
    frets: shape.frets,
    relief,
    reliefRead: setupReading(build, { what: 'relief' }) !== undefined,
    actionRead: now.read,
    reliefHolds: holds(build, { what: 'relief' }),
    actionHolds: [1, bassString(build)].every((string) => holds(build, { what: 'action', string })),
    shape,
    strings,
  }
}

/** The action over fret 12 by a reading of it, wherever along the neck it was taken. */
function over12(last: SetupReading | undefined, shape: NeckShape): number | undefined {
  if (!last) return undefined
  const fret = last.fret ?? 12
  if (fret === 12 || fret > shape.frets) return last.value
  const neck = crownsOf(shape)
  return actionAt(neck, saddleFor(neck, shape.scale, last.value, fret), 12)
}

/**
 * The slot over the curve by the newer of both ways of reading it; nothing where neither was read. Relief and saddles were where they were
 * when it was read: whatever was turned since, the nut is cut as it is.
 */
function slotRead(build: Build, string: number, usual: number): number | undefined {
  const sliver = readingsOf(build, { what: 'sliver', string }).at(-1)
  const gap = readingsOf(build, { what: 'gap', string }).at(-1)
  const newest = sliver && (!gap || !isAfter(gap.at, sliver.at)) ? sliver : gap
  if (!newest) return undefined
  const { shape, actionOf } = stood(build, usual, (asked) => readingAsOf(build, asked, newest.at))
  const plain = crownsOf({ ...shape, slot: 0 })
  if (newest === sliver) return slotForSliver(plain, sliver.fret ?? SLIVER_AT, sliver.value) - plain.nut.y
  // The open gap depends on the saddle, and the saddle on the slot: a few rounds settle it.
  const action = actionOf(string)
  let slot = USUAL_SLOT
  for (let i = 0; i < 12; i++) {
    const neck = crownsOf({ ...shape, slot })
    slot += newest.value - actionAt(neck, saddleFor(neck, shape.scale, action, 12), 1)
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
