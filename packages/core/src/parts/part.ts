import type { Size } from '../quantity'
import type { KindName } from './kinds'

/** One row of an outline: half-widths at a place along the centre line, mm, bass and treble side. */
export interface OutlineRow {
  x: number
  bass: number
  treble: number
  /** Inner edge of a horn beside a cutaway; absent where the wood reaches the centre line. */
  bassInner?: number
  trebleInner?: number
}

export const PART_STATES = ['planned', 'ordered', 'in hand'] as const
export type PartState = (typeof PART_STATES)[number]

/** A thing with sizes. Sizes that are not known are simply absent. */
export interface Part {
  kind: KindName
  name: string
  seller?: string
  state: PartState
  /** Price asked or paid, in the build's currency. */
  price?: number
  /** Day a parcel is promised, ISO date. */
  arrives?: string
  colour?: string
  note?: string
  sizes: Record<string, Size>
  traits: Record<string, string>
  outline?: OutlineRow[]
}
