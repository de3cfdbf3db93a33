import { pt } from '../geometry/point'
import { fretPlace } from './frets'
import type { Crowns } from './heldString'

/** A neck's shape along the strings, mm: x from the nut's edge, y up from the board. */
export interface NeckShape {
  scale: number
  frets: number
  /** Bottom of the slot over the neck's own curve at the nut. */
  slot: number
  /** How far the free neck's end stands up by relief; its reading as relief is about a quarter of it. */
  lift?: number
  /** Fret where the neck meets the body and is straight from there on. */
  joint?: number
  /** The board's end falls away by so much from this fret on. */
  fall?: { by: number; from: number }
  /** Single frets too high or too low. */
  bumps?: Readonly<Record<number, number>>
}

/**
 * Slot and crowns of a neck: the free neck bends as a parabola to the joint and is straight beyond. [ours: parabola; physics: the rest]
 */
export function crownsOf({ scale, frets, slot, lift = 0, joint = 16, fall, bumps }: NeckShape): Crowns {
  const at = (fret: number) => fretPlace(scale, fret)
  const curve = (x: number) => (x < at(joint) ? lift * (1 - x / at(joint)) ** 2 : 0)
  const last = at(frets)
  const fallen = (x: number) => (fall && x > at(fall.from) ? (fall.by * (x - at(fall.from))) / (last - at(fall.from)) : 0)
  return {
    nut: pt(0, curve(0) + slot),
    crowns: Array.from({ length: frets }, (_, i) => pt(at(i + 1), curve(at(i + 1)) - fallen(at(i + 1)) + (bumps?.[i + 1] ?? 0))),
  }
}

/** Gap between a straight edge laid on the first and the last crown and a fret, mm: relief as it is read. */
export function underEdge({ crowns }: Crowns, fret: number): number {
  const [a, b, c] = [crowns[0]!, crowns.at(-1)!, crowns[fret - 1]!]
  return a.y + ((b.y - a.y) * (c.x - a.x)) / (b.x - a.x) - c.y
}

/** The greatest of those, and the fret it is at. */
export function reliefOf(neck: Crowns): { fret: number; gap: number } {
  return neck.crowns
    .map((_, i) => ({ fret: i + 1, gap: underEdge(neck, i + 1) }))
    .reduce((best, at) => (at.gap > best.gap + 1e-12 ? at : best), { fret: 1, gap: 0 })
}

/** The lift that makes a relief read at a fret, mm: the parabola is linear in it. */
export function liftFor(shape: NeckShape, relief: number, fret: number): number {
  const one = underEdge(crownsOf({ ...shape, lift: 1, bumps: {} }), fret) - underEdge(crownsOf({ ...shape, lift: 0, bumps: {} }), fret)
  const none = underEdge(crownsOf({ ...shape, lift: 0, bumps: {} }), fret)
  return Math.abs(one) < 1e-9 ? 0 : (relief - none) / one
}
