import type { Build, SetupWhat } from '../document/build'
import type { Change } from '../document/change'
import { SETUP_BOUNDS } from '../document/setupReadings'
import { tuningOf } from '../instrument/tunings'
import { noteName } from '../physics/pitch'
import { parseLength, type LengthSystem, sayMm } from '../quantity/length'
import { counted } from '../quantity/words'
import { noteReading } from '../setup/noting'
import { amountsOf, isAmount, numbered, saysOnly, wordSet, wordsOf, type Said } from './said'

/** What was understood of a setup: in words, and what it changes. */
export interface SetupSaid {
  says: string
  change: (build: Build, at: string) => Change
}

/** Readings of the whole neck or bridge, and those of one string; with the frets they may be read at. */
const LENGTHS = {
  relief: { ofString: false, frets: (n: number) => n >= 7 && n <= 9 },
  float: { ofString: false, frets: () => false },
  action: { ofString: true, frets: (n: number) => n >= 1 && n <= 24 },
  sliver: { ofString: true, frets: (n: number) => n >= 1 && n <= 24 },
} as const satisfies Partial<Record<SetupWhat, { ofString: boolean; frets: (n: number) => boolean }>>
type Length = keyof typeof LENGTHS

const OF_STRING = wordSet('string side bass treble low high')
const CENTS = wordSet('sharp flat octave intonation fretted')

/** "relief 0.3", "action bass 1.6", "string 3 is 4 cents sharp": only where nothing else was said that could turn it round. */
export function readingSaid(build: Build, said: Said, system: LengthSystem): SetupSaid | undefined {
  const fret = numbered(said, 'fret')
  const of = stringSaid(build, fret.rest)
  const [amount, ...more] = amountsOf(of.rest)
  if (!amount || more.length || amount.ordinal) return undefined
  const noted = (what: SetupWhat, value: number, says: string, at12: boolean): SetupSaid | undefined => {
    const { from, to } = SETUP_BOUNDS[what]
    if (!(value >= from && value <= to)) return undefined
    const reading = {
      what,
      value,
      ...(of.n === undefined ? {} : { string: of.n }),
      ...(fret.n === undefined || at12 ? {} : { fret: fret.n }),
    }
    return { says, change: (b, at) => noteReading(b, { ...reading, at }, says) }
  }
  if (/^cents?$/.test(amount.unit)) {
    const sense = wordsOf(of.rest).filter((w) => w === 'sharp' || w === 'flat')
    // Which way is half of it: said once, by a word or by a sign.
    if (sense.length + Number(amount.signed) !== 1 && amount.value !== 0) return undefined
    if (of.n === undefined || (fret.n ?? 12) !== 12 || !saysOnly(of.rest, CENTS)) return undefined
    const value = sense[0] === 'flat' ? -amount.value : amount.value
    const off = value === 0 ? 'in tune' : `${counted(Math.abs(value), 'cent')} ${value < 0 ? 'flat' : 'sharp'}`
    return noted('cents', value, `String ${of.n}, fretted at 12: ${off}`, true)
  }
  const what = (Object.keys(LENGTHS) as Length[]).find((w) => of.rest.includes(w))
  if (!what || !saysOnly(of.rest, new Set([what]), wordSet('neck over crown gap'))) return undefined
  const { ofString, frets } = LENGTHS[what]
  if (ofString !== (of.n !== undefined) || (fret.n !== undefined && !frets(fret.n))) return undefined
  const parsed = parseLength(amount.written, system)
  const at = fret.n === undefined || !ofString ? '' : ` at fret ${fret.n}`
  const name = `${what[0]!.toUpperCase()}${what.slice(1)}${ofString ? ` of string ${of.n}` : ''}${at}`
  return parsed.ok ? noted(what, parsed.value, `${name}: ${sayMm(parsed.value)} mm`, !ofString) : undefined
}

/** Which string: by its number, by its side, or by its note where one string alone has it. */
function stringSaid(build: Build, said: Said): { n?: number; rest: Said } {
  const byNumber = numbered(said, 'string')
  if (byNumber.n !== undefined) return byNumber.n >= 1 && byNumber.n <= build.strings ? byNumber : { rest: said }
  const rest = said.filter((t) => isAmount(t) || !OF_STRING.has(t))
  const side = wordsOf(said).filter((w) => w === 'bass' || w === 'treble')
  const note = said.findIndex(
    (t, i) =>
      typeof t === 'string' &&
      /^[a-g]$/.test(t) &&
      (said[i - 1] === 'low' || said[i - 1] === 'high' || (said[i + 1] === 'string' && (t !== 'a' || said[i - 1] === 'the'))),
  )
  if (side.length === 1) return note < 0 ? { n: side[0] === 'bass' ? build.strings : 1, rest } : { rest: said }
  if (note < 0) return { rest: said }
  const named = tuningOf(build).notes.flatMap((semitones, i) =>
    noteName(semitones).replace(/\d+$/, '') === (said[note] as string).toUpperCase() ? [i + 1] : [],
  )
  const n = said[note - 1] === 'low' ? named.at(-1) : said[note - 1] === 'high' || named.length === 1 ? named[0] : undefined
  return n === undefined ? { rest: said } : { n, rest: rest.filter((t) => t !== said[note]) }
}
