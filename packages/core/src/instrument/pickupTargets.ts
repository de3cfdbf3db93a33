import type { Build } from '../document/build'
import { traitAt, valueAt } from '../document/read'
import type { Slot } from '../parts/slots'
import { isBass } from './tunings'

/** String held at the last fret to the pole, mm: a start, not a law. [practice] */
const GUITAR = {
  single: { bass: 2.0, treble: 1.6 },
  soapbar: { bass: 2.0, treble: 1.8 },
  humbucker: { bass: 2.2, treble: 1.8 },
} as const
/** The same of a bass: its strings swing wider. [practice, from memory: 8/64 and 6/64 in] */
const BASS = {
  single: { bass: 3.0, treble: 2.4 },
  soapbar: { bass: 3.0, treble: 2.4 },
  humbucker: { bass: 3.2, treble: 2.4 },
} as const

/** What a pickup is set to, at its bass end and at its treble end. */
export function poleDistanceOf(build: Build, slot: Slot): { bass: number; treble: number } {
  // A wide single coil is a soapbar.
  const wide = (valueAt(build, { slot, size: 'length' }) ?? 0) > 30
  const kind = traitAt(build, slot, 'coils') === 'two' ? 'humbucker' : wide ? 'soapbar' : 'single'
  return (isBass(build) ? BASS : GUITAR)[kind]
}

/** The nearest any kind of pickup is set to its string, mm: so much air a cover must leave. */
export const nearestPole = (build: Build): number => (isBass(build) ? BASS : GUITAR).single.treble
