import type { Build } from '../document/build'
import { sizeRef, traitAt, valueAt, type SizeRef } from '../document/read'
import { pt, type Point } from '../geometry/point'
import { printMm } from '../quantity/length'
import { datums } from './datums'

/** Where a control plate lies: the middle of its front end, mm from the pocket's mouth and across, and its turn, rad; bass side positive. */
export interface PlatePose {
  front: Point
  turn: number
}

/** What says where it lies, in the order `poseFrom` takes them. */
export const PLATE_PLACE: readonly SizeRef[] = [
  sizeRef('body', 'plate.x'),
  sizeRef('body', 'plate.y'),
  sizeRef('body', 'plate.tail'),
  sizeRef('control-plate', 'length'),
]

/** From the places of its two ends: a tail end further to the bass side turns it that way. [physics] */
export const poseFrom = (x: number, y: number, tail: number, length: number): PlatePose => ({
  front: pt(x, y),
  turn: Math.asin(Math.max(-1, Math.min(1, (tail - y) / length))),
})

/** What its length leaves between its two ends' places across, mm: less than nothing is said of no plate. [physics] */
export const leftOfTurn = (y: number, tail: number, length: number): number => length - Math.abs(tail - y)
/** Said where its length leaves nothing. */
export const saidTooFar = (y: number, tail: number, length: number): string =>
  `The plate’s ends are told to be ${printMm(Math.abs(tail - y), 1)} mm apart across the body, and it is ${printMm(length, 1)} mm long.`
/** What says so, in the order both take them. */
export const PLATE_TURN = PLATE_PLACE.slice(1)

/** Where a plate usually lies on an instrument like this, for a drawing until somebody has said: along the strings. [practice] */
const USUAL = { x: 180, y: -78, length: 160 } as const

/** The same where nobody has said of either end, or of one alone. */
export function usualPlace(build: Build): { 'plate.x': number; 'plate.y': number; 'plate.tail': number } {
  const [, y, tail] = PLATE_PLACE.map((ref) => valueAt(build, ref))
  return { 'plate.x': USUAL.x, 'plate.y': tail ?? USUAL.y, 'plate.tail': y ?? USUAL.y }
}

export function platePose(build: Build): PlatePose {
  const [x, y, tail, length] = PLATE_PLACE.map((ref) => valueAt(build, ref))
  const usual = usualPlace(build)
  return poseFrom(x ?? usual['plate.x'], y ?? usual['plate.y'], tail ?? usual['plate.tail'], length ?? USUAL.length)
}

/** How the control route lies: along its plate, and along the strings where no plate covers it, rad. */
export const routeTurn = (build: Build): number => (build.parts['control-plate'] ? platePose(build).turn : 0)

/** A place on the plate, from the pocket's mouth. */
export function onBody({ front, turn }: PlatePose, { x, y }: Point): Point {
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  return pt(front.x + x * c - y * s, front.y + x * s + y * c)
}

/** The way back: a place counted from the pocket's mouth, on the plate. */
export function onPlate({ front, turn }: PlatePose, p: Point): Point {
  const [c, s] = [Math.cos(turn), Math.sin(turn)]
  const [x, y] = [p.x - front.x, p.y - front.y]
  return pt(x * c + y * s, y * c - x * s)
}

/** Its edge on its own marks: square, or with half a circle at either end, a place every few millimetres. */
export function plateEdge(long: number, wide: number, round: boolean): Point[] {
  const r = round ? Math.min(wide, long) / 2 : 0
  const half = (at: number, from: number) =>
    round
      ? Array.from({ length: ARC + 1 }, (_, i) => {
          const a = from + (i * Math.PI) / ARC
          return pt(at + r * Math.cos(a), r * Math.sin(a))
        })
      : [pt(at, from < 0 ? -wide / 2 : wide / 2), pt(at, from < 0 ? wide / 2 : -wide / 2)]
  const side = (from: number, to: number, y: number) =>
    Array.from({ length: SIDE - 1 }, (_, i) => pt(from + ((to - from) * (i + 1)) / SIDE, y))
  return [...half(long - r, -Math.PI / 2), ...side(long - r, r, wide / 2), ...half(r, Math.PI / 2), ...side(r, long - r, -wide / 2)]
}
const ARC = 12
const SIDE = 12

/** The same from the pocket's mouth. */
export const laidEdge = (pose: PlatePose, long: number, wide: number, round: boolean): Point[] =>
  plateEdge(long, wide, round).map((p) => onBody(pose, p))

/** Its four corners from the pocket's mouth; a rounded end reaches as far in its middle alone. */
export const plateCorners = (pose: PlatePose, length: number, width: number): Point[] =>
  [pt(0, -width / 2), pt(length, -width / 2), pt(length, width / 2), pt(0, width / 2)].map((p) => onBody(pose, p))

/** Corners of a box round its middle, turned with the plate, rad. */
export const askew = (middle: Point, long: number, wide: number, turn: number): Point[] =>
  plateCorners({ front: onBody({ front: middle, turn }, pt(-long / 2, 0)), turn }, long, wide)

/** Its edge from the nut, for a drawing: where and as it usually is until somebody has said. */
export function plateOutline(build: Build): Point[] {
  const { mouth } = datums(build)
  const [long, wide] = SIZE.map((ref, i) => valueAt(build, ref) ?? USUAL_SIZE[i]!) as [number, number]
  return laidEdge(platePose(build), long, wide, hasRoundEnds(build) ?? true).map((p) => pt(mouth + p.x, p.y))
}
/** Nothing where nobody has said. */
export function hasRoundEnds(build: Build): boolean | undefined {
  const told = traitAt(build, 'control-plate', 'ends')
  return told === undefined ? undefined : told === 'round'
}
const SIZE = [sizeRef('control-plate', 'length'), sizeRef('control-plate', 'width')] as const
const USUAL_SIZE = [160, 32] as const

/** The same only where everything that says where it lies is known. */
export const platePoints = (build: Build): Point[] | undefined =>
  [...PLATE_PLACE, ...SIZE].some((ref) => valueAt(build, ref) === undefined) ? undefined : plateOutline(build)

/** Its corners from the nut, only where everything that says so is known. */
export function plateBox(build: Build): Point[] | undefined {
  const [long, wide] = SIZE.map((ref) => valueAt(build, ref))
  if (long === undefined || wide === undefined || !platePoints(build)) return undefined
  const { mouth } = datums(build)
  return plateCorners(platePose(build), long, wide).map((p) => pt(mouth + p.x, p.y))
}
