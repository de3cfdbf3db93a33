import type { Size } from '../quantity/size'
import type { KindName } from './kinds/index'

/** One row of an outline: half-widths at a place along the centre line, mm, bass and treble side. */
export interface OutlineRow {
  x: number
  bass: number
  treble: number
  /** Inner edge of a horn beside a cutaway; absent where the wood reaches the centre line. */
  bassInner?: number
  trebleInner?: number
}

/** In place: mounted where it belongs, as it came, and it stays so; what is taken off to be worked on or to go on again is in hand. */
export const PART_STATES = ['planned', 'ordered', 'in hand', 'in place'] as const
export const METALS = ['nickel', 'chrome', 'black', 'gold', 'brass', 'steel'] as const
export type Metal = (typeof METALS)[number]
export type PartState = (typeof PART_STATES)[number]
/** Is it here, on the bench or on the instrument? */
export const isPartHere = (part: { state: PartState } | undefined): boolean => part?.state === 'in hand' || part?.state === 'in place'

/** A thing with sizes. Sizes that are not known are simply absent. */
export interface Part {
  kind: KindName
  name: string
  seller?: string
  state: PartState
  /** Price asked or paid, in the build's currency. */
  price?: number
  /** What the original costs that it stands in for, same currency. */
  original?: number
  /** Day a parcel is promised, ISO date. */
  arrives?: string
  colour?: string
  metal?: Metal
  note?: string
  sizes: Record<string, Size>
  /** What the seller promised, kept when a size is measured: the ground of a claim. */
  promised?: Record<string, Size>
  traits: Record<string, string>
  outline?: OutlineRow[]
}
