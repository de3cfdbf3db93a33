import type { SizeRef } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import type { Point } from '../geometry/point'
import type { Slot } from '../parts/slots'

export type Face = 'front' | 'back' | 'head back' | 'heel'

/** Everything about drilling one hole or a row of equal holes. */
export interface HoleCard {
  id: string
  title: string
  slot: Slot
  face: Face
  places: Point[]
  /** Two things a person can reach to measure from. */
  measureFrom: string
  /** What goes in. */
  goesIn: string
  bits: string[]
  bit: number
  /** mm, and undefined right through. */
  depth?: number
  flag?: number
  left?: number
  state: 'ready' | 'mind' | 'refused' | 'waiting'
  says: string
  tools: string
  cautions: string[]
  missing: SizeRef[]
}

/** A card as worked out; its drawing is made only for those who look. */
export interface DrawnCard extends HoleCard {
  draw: () => Drawing
}

/** Shown with every card where a bit turns. [practice] */
export const DRILL_CAUTIONS = [
  'Eye protection; clamp the work; no loose sleeves.',
  'Dust mask for wood dust: hardwood dust is a recognised carcinogen (IARC). Follow the tool maker’s instructions and local rules.',
]
