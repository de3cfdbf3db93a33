import type { SetupScrew } from '../document/build'

/** A screw to turn, clockwise positive, to an eighth, and where it is seen from. */
export interface AdvisedTurn {
  screw: SetupScrew
  label: string
  turns: number
  from: string
}

/** One number of the setup: what was read, what is wanted, and what brings the one to the other. */
export interface Move {
  id: string
  title: string
  measured?: string
  target: string
  /** What to turn and how far; absent until measured. */
  says: string
  done: boolean
  /** Read before a screw was turned or the strings changed: it is read again first. */
  stale?: boolean
  /** What the words say, as turns that can be written down as made. */
  turns?: AdvisedTurn[]
  /** What else moves with it. */
  moves: string
}
