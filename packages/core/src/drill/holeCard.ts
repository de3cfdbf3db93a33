import type { SizeRef } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import type { Point } from '../geometry/point'
import type { TraitRef } from '../judge/completed'
import type { Verdict } from '../judge/verdict'
import type { Slot } from '../parts/slots'
import type { Hollow } from './hollows'

/** Where the hand with the drill is. */
export const SIDES = ['front', 'back', 'rim', 'heel', 'head front', 'head back', 'guard', 'control plate'] as const
export type Side = (typeof SIDES)[number]

export const SIDE_WORDS: Record<Side, string> = {
  front: 'from the front',
  back: 'from the back',
  rim: 'into the rim',
  heel: 'into the heel, through the body’s holes',
  'head front': 'from the headstock’s face',
  'head back': 'from the back of the headstock',
  guard: 'in the guard, off the instrument',
  'control plate': 'in the control plate, off the instrument',
}

/** What has to be done about a hole: it is there and stays, is opened up, is plugged and made anew, or is made. */
export type Work = 'keep' | 'ream' | 'plug' | 'new'

/** May it be done now as the card says? Waiting is for something nobody knows, done is ticked off. */
export type Standing = 'ready' | 'mind' | 'refused' | 'waiting' | 'done'

/** One thing a hole must not do, with its numbers. */
export interface Guard {
  id: string
  label: string
  verdict: Verdict
  says: string
  /** Wood to spare, mm, and its doubt; nothing where it cannot be told. */
  spare?: { value: number; doubt: number }
  /** Sizes nobody has read without which it cannot be told. */
  missing?: readonly SizeRef[]
}

/** Everything about one hole or a row of equal holes. */
export interface HoleCard {
  id: string
  title: string
  /** The part it is made for. */
  slot: Slot
  side: Side
  /** Nothing where nobody has said whether it is there. */
  work?: Work
  stands: Standing
  says: string
  /** What goes in. */
  goesIn: string
  /** What says where it comes. */
  located: string
  /** What must be in place before it is marked. */
  first: string[]
  /** Centres, mm from the nut and across, bass side positive; none where nobody can say them. */
  places: Point[]
  /** How surely those places are known, 95 %, mm. */
  placeDoubt?: number
  /** The places in words: from two things within reach. */
  from: string[]
  /** What is done, in order. */
  steps: string[]
  /** Diameter of the hole, mm; nothing while it is not known. */
  bit?: number
  /** The same as it stands in a list: a single number, or a band that scrap decides. */
  size: string
  /** Depth of full diameter, mm; nothing right through. */
  depth?: number
  flag?: number
  left?: number
  with: string
  guards: Guard[]
  /** Kept in mind while at it. */
  mind: string[]
  /** What to do when it has gone wrong. */
  back: string
  cautions: string[]
  missing: SizeRef[]
  untold: TraitRef[]
  /** Sizes of what is there that the work gives another value: Dry fit may ask for the same. */
  alters?: readonly SizeRef[]
}

/** Where a passage runs, as far as anybody can say: straight from end to end. */
export interface Way {
  from: Point
  to: Point
  /** Its middle below the top, mm; nothing where it slants from the top down. */
  level?: number
  wide: number
  /** How far beside the straight line it may run, 95 %, mm. */
  doubt: number
  /** Cards whose holes it was led round. */
  clears?: readonly string[]
  /** The card of the bore it is begun in. */
  startsIn?: string
}

/** A switch's slot with the holes of the screws that hold its frame, on one line. */
export interface Slit {
  /** From its middle to the outer edge of a screw's hole, mm. */
  half: number
  /** How it lies to the strings, rad; nothing where nobody says: about its middle it may be turned any way. */
  turn?: number
}

/** A card as worked out; its drawing is made only for those who look. */
export interface DrawnCard extends HoleCard {
  /** Marked through the part alone: it has no place in numbers and needs none. */
  byPart?: true
  /** A bore along the wood rather than into it. */
  way?: Way
  /** It is no round hole but a switch's slot, about its place. */
  slit?: Slit
  /** The hollow it makes, where it is not made yet and its place is known in numbers. */
  cuts?: Hollow
  /** Diameter other holes keep clear of, where that is more than the hole's own, mm. */
  takes?: number
  /** What is pressed in for good: the last of the steps, after any film. */
  lasts?: string
  /** @param made whether it is to be made at all: where not, what is in its way is drawn, and no bit */
  draw: (made: boolean) => Drawing
}

/** Shown with every card where a bit turns. [practice] */
export const DRILL_CAUTIONS = [
  'Eye protection; clamp the work; no loose sleeves.',
  'Dust mask for wood dust: hardwood dust is a recognised carcinogen (IARC). Follow the tool maker’s instructions and local rules.',
]
