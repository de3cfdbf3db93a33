import type { Build, Tuning } from '../document/build'
import { noteName } from '../physics/pitch'

/** Open strings in semitones from A4, the thinnest first. [practice] */
const GUITAR = [-5, -10, -14, -19, -24, -29]
const lower = (notes: readonly number[], by: number) => notes.map((n) => n - by)

/** Standard tuning of so many strings. [practice] */
export function standardTuning(strings: number): number[] {
  if (strings <= 5) return [-26, -31, -36, -41, -46].slice(0, strings)
  if (strings === 12) return [-5, -5, -10, -10, -2, -14, -7, -19, -12, -24, -17, -29]
  return [...GUITAR, -34, -39, -44, -49, -54].slice(0, strings)
}

/** Tunings there are for so many strings, standard first. [practice] */
export function tuningsFor(strings: number): Tuning[] {
  const standard = standardTuning(strings)
  const last = standard.length - 1
  const drop = standard.map((n, i) => (i === last ? n - 2 : n))
  const all: Tuning[] = [
    { name: 'standard', notes: standard },
    { name: 'half a step down', notes: lower(standard, 1) },
    { name: 'a step down', notes: lower(standard, 2) },
    { name: 'lowest string a step down', notes: drop },
  ]
  if (strings === 6)
    all.push(
      { name: 'baritone, a fourth down', notes: lower(standard, 5) },
      { name: 'baritone, a fifth down', notes: lower(standard, 7) },
      { name: 'an octave down', notes: lower(standard, 12) },
    )
  return all
}

/** What the strings of a build are tuned to: as chosen, or standard. A choice for other strings is none. */
export const tuningOf = (build: Build): Tuning => {
  const own = build.setup.tuning
  return own && own.notes.length === build.strings ? own : { name: 'standard', notes: standardTuning(build.strings) }
}

/** "E4 B3 G3 D3 A2 E2" */
export const notesOf = (tuning: Tuning): string => tuning.notes.map(noteName).join(' ')

/** Open E3 or lower on its highest string: an octave under a guitar, however many strings. [practice] */
const BASS_FROM = -17
/** A bass by what it is tuned to: it wants more room under its strings than a guitar does. */
export const isBass = (build: Build): boolean => tuningOf(build).notes[0]! <= BASS_FROM
