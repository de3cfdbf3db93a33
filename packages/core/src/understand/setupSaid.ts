import type { Build, SetupScrew, SetupWhat } from '../document/build'
import type { Change } from '../document/change'
import { SETUP_BOUNDS } from '../document/setupReadings'
import { parseLength, printMm, type LengthSystem } from '../quantity/length'
import { noteReading, noteTurns } from '../setup/noting'
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

const SCREW: readonly [RegExp, SetupScrew][] = [
  [/\btruss\b/i, 'truss'],
  [/\bclaw\b/i, 'claw'],
]

/** "truss 1/4 turn clockwise", "claw half a turn looser". */
export function turnsSaid(text: string): SetupSaid | undefined {
  if (!/\bturns?\b/i.test(text)) return undefined
  const screw = SCREW.find(([word]) => word.test(text))?.[1]
  const amount = numberIn(text)
  const back = /counter|anti|loose|looser|loosened|left/i.test(text)
  const forth = /clockwise|tight|tighter|tightened|right/i.test(text)
  // Which way is half of it: without it nothing is certain.
  if (!screw || !amount || amount > 10 || (!back && !forth)) return undefined
  const turns = back ? -amount : amount
  return {
    says: `${screw === 'truss' ? 'Truss nut' : 'Claw screws'}: ${turnWords(turns)}`,
    change: (b, at) => noteTurns(b, [{ screw, turns }], at),
  }
}
