import { pt, type Point } from '../geometry/point'
import { nearestOnEdge } from '../geometry/polygon'
import { printMm } from '../quantity/length'
import { called, MOVES_ONE } from './called'
import { guarded, NEWS, untellable, WOOD_LEFT } from './guard'
import type { DrawnCard, Guard, Slit } from './holeCard'

/** Half a screw's hole in its frame, mm; the slot between them is narrower. [practice] */
export const SCREW = 1.7

/** @param apart its screws, middle to middle, mm */
export const slitOf = (apart: number, turn?: number): Slit => ({ half: apart / 2 + SCREW, ...(turn === undefined ? {} : { turn }) })

/** Where its middle line ends. */
export function endsOf({ half, turn }: Slit & { turn: number }, middle: Point): [Point, Point] {
  const [x, y] = [(half - SCREW) * Math.cos(turn), (half - SCREW) * Math.sin(turn)]
  return [pt(middle.x - x, middle.y - y), pt(middle.x + x, middle.y + y)]
}

/** From a place to the slot's edge, mm: to what it is where it is known how it lies, else from the nearest to the furthest it can be. */
export function toSlit(slit: Slit, middle: Point, at: Point): { least: number; most: number } {
  const far = Math.hypot(at.x - middle.x, at.y - middle.y)
  if (slit.turn === undefined) return { least: far - slit.half, most: far - SCREW }
  const free = nearestOnEdge(endsOf({ ...slit, turn: slit.turn }, middle), at).distance - SCREW
  return { least: free, most: free }
}

/** What a slot may meet: places, and how far from each a hole reaches at least and at most, mm. */
function reachOf(card: DrawnCard): { places: readonly Point[]; least: number; most: number } | undefined {
  const { slit, places } = card
  const wide = card.takes ?? card.bit
  if (!places.length || (!slit && wide === undefined)) return undefined
  if (!slit) return { places, least: wide! / 2, most: wide! / 2 }
  if (slit.turn === undefined) return { places, least: SCREW, most: slit.half }
  return { places: [places[0]!, ...endsOf({ ...slit, turn: slit.turn }, places[0]!)], least: SCREW, most: SCREW }
}

/** A slot and another hole in the same piece, told on the card of either. */
export function slitGuard(card: DrawnCard, other: DrawnCard): Guard[] {
  const [slot, hole] = card.slit ? [card, other] : [other, card]
  const [middle] = slot.places
  const reach = reachOf(hole)
  const [id, what] = [`near-${other.id}`, called(other)]
  if (!middle || !reach) return [untellable(id, `Left to ${what}`, `the place of ${what} is not known`)]
  const all = reach.places.map((at) => toSlit(slot.slit!, middle, at))
  const least = Math.min(...all.map((d) => d.least)) - reach.most
  const most = Math.min(...all.map((d) => d.most)) - reach.least
  const doubt = Math.hypot((most - least) / 2, card.placeDoubt ?? 0, other.placeDoubt ?? 0)
  const value = (least + most) / 2
  if (value > NEWS + doubt) return []
  const guard = guarded(
    id,
    `Left to ${what}`,
    { value, doubt },
    WOOD_LEFT,
    most <= 0 ? `It would break into ${what}.` : `${stay(least, most)} to ${what}.`,
    MOVES_ONE,
  )
  // What hangs on how a slot is turned no measuring tells.
  return [
    guard.verdict === 'cant-tell' && most - least > 2 * SCREW
      ? { ...guard, says: `${stay(least, most)} to ${what}, by how the slot is turned: pencil its line and both its screws first.` }
      : guard,
  ]
}

const stay = (least: number, most: number): string => {
  const [from, to] = [least, most].map((v) => printMm(Math.max(0, v), 1))
  return from === to ? `${from} mm stay` : `${from} to ${to} mm stay`
}
