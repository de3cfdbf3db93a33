import type { Station } from '../document/station'
import type { Slot } from '../parts/slots'

/** A "before" with its reason: what is at risk when it is passed over, and the way back. */
export interface Before {
  id: string
  why: string
  risk: string
  wayBack: string
}

/** One thing to do at the bench. */
export interface Step {
  id: string
  title: string
  why: string
  station: Station
  /** Joint, hole card, coat or slot it belongs to. */
  thing?: string
  slot?: Slot
  minutes: number
  /** Waiting afterwards, minutes. */
  wait: number
  tools?: string
  cautions: string[]
  befores: Before[]
}

/** Waiting: nothing stands before it but a parcel that is still on its way. */
export type StepState = 'done' | 'ready' | 'blocked' | 'waiting'
export interface PlannedStep extends Step {
  state: StepState
  done?: string
  /** Befores not yet done. */
  open: Before[]
  /** Evening it falls on when worked in order, and the day its wait is over. */
  date?: string
  clear?: string
}
