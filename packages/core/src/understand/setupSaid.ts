import type { Build, SetupScrew, SetupWhat } from '../document/build'
import type { Change } from '../document/change'
import { SETUP_BOUNDS } from '../document/setupReadings'
import { parseLength, printMm, type LengthSystem } from '../quantity/length'
import { lengthWords, noteReading, noteTurns } from '../setup/noting'
import { turnWords } from '../setup/screws'
import { numberIn, words } from './said'

/** What was understood of a setup: in words, and what it changes. */
export interface SetupSaid {
  says: string
  change: (build: Build, at: string) => Change
}

const string = (said: readonly string[], build: Build): number | undefined => {
  if (said.includes('bass')) return build.strings
  if (said.includes('treble')) return 1
  const at = said.indexOf('string')
  const n = at < 0 ? NaN : Number(said[at + 1])
  return n >= 1 && n <= build.strings ? n : undefined
}

const LENGTHS: readonly [word: string, what: SetupWhat, ofString: boolean][] = [
  ['relief', 'relief', false],
  ['float', 'float', false],
  ['action', 'action', true],
  ['sliver', 'sliver', true],
]

/** "relief 0.3", "action bass 1.6", "string 3 is 4 cents sharp". */
export function readingSaid(build: Build, text: string, system: LengthSystem): SetupSaid | undefined {
  const said = words(text)
  const noted = (what: SetupWhat, value: number, of: number | undefined, shown: string): SetupSaid | undefined => {
    const { from, to } = SETUP_BOUNDS[what]
    if (value < from || value > to) return undefined
    const says = `${what[0]!.toUpperCase()}${what.slice(1)}${of === undefined ? '' : ` of string ${of}`}: ${shown}`
    return { says, change: (b, at) => noteReading(b, { what, value, at, ...(of === undefined ? {} : { string: of }) }, says) }
  }
  const cents = /([+-]?\d+(?:[.,]\d+)?)\s*cents?/i.exec(text)
  if (cents) {
    const of = string(said, build)
    const value = Number(cents[1]!.replace(',', '.')) * (said.includes('flat') ? -1 : 1)
    return of === undefined ? undefined : noted('cents', value, of, `${value} cents`)
  }
  const found = LENGTHS.find(([word]) => said.includes(word))
  if (!found) return undefined
  const [, what, ofString] = found
  const of = ofString ? string(said, build) : undefined
  if (ofString && of === undefined) return undefined
  const number = /([.,]?\d[\d.,/-]*(?:\s*(?:mm|in|inch|thou|mil|"))?)/i.exec(text.replace(/string\s+\d+/i, ''))
  const parsed = number && parseLength(number[1]!, system)
  return parsed?.ok ? noted(what, parsed.value, of, `${printMm(parsed.value)} mm`) : undefined
}

const SCREW: readonly [RegExp, SetupScrew, string][] = [
  [/\btruss\b/i, 'truss', 'Truss nut'],
  [/\bclaw\b/i, 'claw', 'Claw screws'],
  [/\b(bass (post|side|screw|stud|wheel)|(post|stud|wheel) (on the )?bass)\b/i, 'bass', 'Height, bass side'],
  [/\b(treble (post|side|screw|stud|wheel)|(post|stud|wheel) (on the )?treble)\b/i, 'treble', 'Height, treble side'],
]

/** "truss 1/4 turn clockwise", "claw half a turn looser", "bass post a quarter turn counter-clockwise", "saddle of string 3 one turn back". */
export function turnsSaid(text: string, strings: number): SetupSaid | undefined {
  if (!/\bturns?\b/i.test(text)) return undefined
  const length = /\b(?:saddle|length screw|string)\b(?:\s+of)?(?:\s+string)?\s+(\d+)/i.exec(text)
  if (length) return lengthSaid(text.replace(length[0], ' '), Number(length[1]), strings)
  const [, screw, name] = SCREW.find(([word]) => word.test(text)) ?? []
  const amount = numberIn(text)
  const height = screw === 'bass' || screw === 'treble'
  const back = /counter|anti/i.test(text) || (!height && /loose|looser|loosened|left/i.test(text))
  const forth = /clockwise/i.test(text) || (!height && /tight|tighter|tightened|right/i.test(text))
  // Which way is half of it: without it nothing is certain.
  if (!screw || !amount || amount > 10 || (!back && !forth)) return undefined
  const turns = back ? -amount : amount
  return { says: `${name}: ${turnWords(turns)}`, change: (b, at) => noteTurns(b, [{ screw, turns }], at) }
}

/** A length screw is told by where its saddle goes: which way that turns the screw depends on the side it is turned from. */
function lengthSaid(text: string, string: number, strings: number): SetupSaid | undefined {
  const amount = numberIn(text)
  const back = /\b(back|longer|towards the tail)/i.test(text)
  const forward = /\b(forward|shorter|towards the nut)/i.test(text)
  if (!amount || amount > 20 || back === forward || string < 1 || string > strings) return undefined
  const turns = back ? amount : -amount
  return {
    says: `Length screw of string ${string}: ${lengthWords(turns)}`,
    change: (b, at) => noteTurns(b, [{ screw: 'length', string, turns }], at),
  }
}
