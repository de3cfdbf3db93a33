import type { Build, NutSchool } from '../document/build'
import { isBass } from './tunings'

/** What a nut is filed to: the gap over fret 1 with the string held at fret 3, mm, at the lowest string and at the highest. */
export interface NutTarget {
  label: string
  bass: number
  treble: number
  why: string
}

/** Two targets, not one: ordinary, and fine. [practice] */
const GUITAR: Record<NutSchool, NutTarget> = {
  ordinary: {
    label: 'ordinary',
    bass: 0.21,
    treble: 0.16,
    why: 'open about 0.46 at the bass and 0.41 at the treble: forgives a firm hand',
  },
  fine: { label: 'fine', bass: 0.12, treble: 0.06, why: 'open 0.21 to 0.37: light to press, level frets needed' },
}
/** The same of a bass. [practice, from memory] */
const BASS: Record<NutSchool, NutTarget> = {
  ordinary: { label: 'ordinary', bass: 0.3, treble: 0.22, why: 'forgives a firm hand' },
  fine: { label: 'fine', bass: 0.18, treble: 0.1, why: 'light to press, level frets needed' },
}
/** Both schools for this instrument. */
export const nutTargetsOf = (build: Build): Record<NutSchool, NutTarget> => (isBass(build) ? BASS : GUITAR)

/** What this build is filed to. */
export const nutTargetOf = (build: Build): NutTarget => nutTargetsOf(build)[build.setup.nutSchool ?? 'ordinary']

/** Less than this left over fret 1 is too deep for anybody, mm. [practice: the fine school's least, less a reading's doubt] */
export const LEAST_SLIVER = 0.02

/** Slot bottom over the fret plane where nobody has read it, mm. [practice] */
export const USUAL_SLOT = 0.45
