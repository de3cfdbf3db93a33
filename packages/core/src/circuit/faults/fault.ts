import type { Harness } from '../model/harness'

export const FAULT_KINDS = [
  'open',
  'cold',
  'short',
  'swapped',
  'jack-swapped',
  'reversed',
  'coil-open',
  'coil-short',
  'link-grounded',
  'cap-short',
  'cap-open',
  'cap-wrong',
  'pot-wrong',
  'track-open',
  'switch-mirrored',
  'battery',
] as const
export type FaultKind = (typeof FAULT_KINDS)[number]

/** One thing that may be wrong with a harness. */
export interface Fault {
  id: string
  kind: FaultKind
  /** What is wrong, for a person with the iron in hand. */
  says: string
  /** What is done about it. */
  cure: string
  /** How likely it is before anything is measured, against the others. [ours] */
  prior: number
  /** Lugs it is at: joints touched since the last good reading weigh more. */
  at: string[]
  apply: (harness: Harness) => Harness
}
