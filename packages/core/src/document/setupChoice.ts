import type { Slot } from '../parts/slots'

export const SETUP_SCHOOLS = ['low', 'ordinary'] as const
export type SetupSchool = (typeof SETUP_SCHOOLS)[number]

export const SETUP_READINGS = ['relief', 'slack', 'action', 'cents', 'gap', 'sliver', 'float', 'pickup', 'dive', 'raise', 'level'] as const
export type SetupWhat = (typeof SETUP_READINGS)[number]

/** One number of a setup, as it was read. */
export interface SetupReading {
  /**
   * Relief: gap at fret 8, mm. Action: string to crown, mm. Cents: fret 12 against the open string's octave. Gap: open string over fret 1,
   * sliver: what is left over fret 1 while it is held further up, mm. Float: under the back edge of a vibrato, mm. Pickup: string held at the
   * last fret to the pole, mm. Slack: gap at fret 8 with no string pulling, mm. Dive, raise: cents off pitch after the arm went down, up, and
   * was let go. Level: of a string through a pickup, dB under full.
   */
  what: SetupWhat
  /** The fret it was read at, where that is not the usual one: 12 for the action, 3 for the sliver. */
  fret?: number
  /** The pickup it was read at. */
  slot?: Slot
  /** Of which string, from the thinnest; none for the relief and the float. */
  string?: number
  value: number
  /** When it was read; unknown for what was written down before times were kept. */
  at?: string
  /** The string set it was read with, by id. */
  set?: string
  /** What all strings together pulled when it was read, N; with another pull it is stale. */
  pull?: number
  /** How thick its own string was, mm, and what that pulled, N; nothing where nobody had said. */
  gauge?: number
  newton?: number
}

/** Screws whose advance is learned from what their turns did. */
export const SETUP_SCREWS = ['truss', 'claw', 'bass', 'treble', 'length'] as const
export type SetupScrew = (typeof SETUP_SCREWS)[number]

/** A turn of a screw as it was made: clockwise positive, seen from where the hand is; of a length screw, so that its saddle goes back. */
export interface ScrewTurn {
  screw: SetupScrew
  /** Of which string, where each has its own. */
  string?: number
  turns: number
  at: string
}

/** What is wrong at playing, and what checks on the way to its cause have shown. */
export interface PlayingTrouble {
  symptom: string
  at: string
  /** By check: it showed what it asks for, or not. */
  found?: Record<string, boolean>
  /** What it was, once found. */
  cause?: string
}

export interface SetupChoice {
  school: SetupSchool
  /** Every reading that was taken; the newest of its kind and string is the one that counts. */
  readings: Record<string, SetupReading>
  /** String sets this instrument has worn, by id, and the day each went on. */
  sets?: Record<string, { name: string; on: string }>
  /** Saddle-top height above the body as the bridge stands, mm; absent: where the action wanted puts it. */
  saddle?: number
  /** mm of relief taken out by a quarter turn on this neck, once seen. */
  reliefPerQuarter?: number
  /** Notes the strings are tuned to, semitones from A4, the thinnest first; absent: standard. */
  tuning?: Tuning
  /** Numbers of one's own, over those of the school, mm. */
  wanted?: { actionBass?: number; actionTreble?: number; relief?: number; float?: number }
  nutSchool?: NutSchool
  /** Depth of a pluck, mm. */
  attack?: number
  /** Fret the neck meets the body at. */
  joint?: number
  /** How far a rocker tips over three frets, mm, by string and middle fret ("1-9"). */
  rocks?: Record<string, number>
  vibrato?: VibratoSetup
  /** Lines that were looked at and ticked, by their place or name. */
  first?: Record<string, true>
  /** Turns of screws between the readings. */
  turns?: Record<string, ScrewTurn>
  troubles?: Record<string, PlayingTrouble>
}

export interface Tuning {
  name: string
  notes: number[]
}

export const NUT_SCHOOLS = ['ordinary', 'fine'] as const
export type NutSchool = (typeof NUT_SCHOOLS)[number]

export const VIBRATO_SCHOOLS = ['float', 'deck', 'block'] as const
export type VibratoSchool = (typeof VIBRATO_SCHOOLS)[number]
/** How a vibrato stands and is sprung: what nobody measured is left out. Lengths in mm, x to the tail and y up from the knife edge. */
export interface VibratoSetup {
  school?: VibratoSchool
  springs?: number
  rate?: number
  preload?: number
  closed?: number
  claw?: { x: number; y: number }
  block?: { x: number; y: number }
  saddle?: { x: number; y: number }
  back?: { x: number; y: number }
  pitch?: number
}
