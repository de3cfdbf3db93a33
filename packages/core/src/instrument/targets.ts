import type { Build, SetupSchool } from '../document/build'
import { isBass } from './tunings'

/** What a setup aims at, mm. Action is string bottom over the crown of fret 12. */
export interface Targets {
  label: string
  relief: { from: number; to: number }
  actionBass: number
  actionTreble: number
  why: string
}

/** Two schools, both practised; ordinary is the default because it forgives a stronger hand. [practice] */
const GUITAR: Record<SetupSchool, Targets> = {
  ordinary: {
    label: 'ordinary',
    relief: { from: 0.15, to: 0.3 },
    actionBass: 1.59,
    actionTreble: 1.59,
    why: '4/64 in at fret 12 on both sides: plays clean under a firm hand.',
  },
  low: {
    label: 'low',
    relief: { from: 0.1, to: 0.2 },
    actionBass: 1.5,
    actionTreble: 1.25,
    why: '0.059 and 0.049 in at fret 12: a light touch, level frets needed.',
  },
}

/** The same of a bass, whose strings swing wider. [practice, from memory] */
const BASS: Record<SetupSchool, Targets> = {
  ordinary: {
    label: 'ordinary',
    relief: { from: 0.25, to: 0.4 },
    actionBass: 2.4,
    actionTreble: 2,
    why: '6/64 and 5/64 in at fret 12: plays clean under a firm hand.',
  },
  low: {
    label: 'low',
    relief: { from: 0.15, to: 0.25 },
    actionBass: 1.9,
    actionTreble: 1.6,
    why: '0.075 and 0.063 in at fret 12: a light touch, level frets needed.',
  },
}

/** Both schools for this instrument. */
export const targetsOf = (build: Build): Record<SetupSchool, Targets> => (isBass(build) ? BASS : GUITAR)

/** What is wanted: the school's numbers, or the person's own over them. */
export function wantedOf(build: Build): Targets {
  const school = targetsOf(build)[build.setup.school]
  const own = build.setup.wanted ?? {}
  return {
    ...school,
    ...(own.relief === undefined ? {} : { relief: { from: Math.max(0, own.relief - 0.05), to: own.relief + 0.05 } }),
    actionBass: own.actionBass ?? school.actionBass,
    actionTreble: own.actionTreble ?? school.actionTreble,
  }
}
