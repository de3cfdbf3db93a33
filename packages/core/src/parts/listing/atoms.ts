import { parseFarads, parseOhms } from '../../quantity/electrical'
import { INCH, THOU } from '../../quantity/length'
import { OUNCE, POUND } from '../../quantity/mass'
import type { SizeUnit } from '../kind'

export interface Unit {
  unit: SizeUnit
  /** From what is written to `unit`. */
  factor: number
  /** Rounded to it, a size is worse known than listings are: a body of 45 cm. Inches are nominal, however few figures they have. */
  coarse: boolean
}

/** A number as it is written, with its unit where one stands behind it. */
export interface Atom {
  start: number
  end: number
  /** What it may be, likeliest first: "2,100" is two and a bit in one country, two thousand in another. */
  readings: number[]
  /** Half of its last figure's place, in its own unit; 0 for fractions. */
  half: number
  unit?: Unit
}

/** "6 in line" are no inches. */
const NO_INCH =
  '(?!\\s+(?:line|row|stock|total|all|set|each|one|the|an?|its?|very|good|excellent|great|perfect|mint|new|used|\\d)(?!\\p{L}))'

/** How sellers write units. Capitals matter: 3 m are metres, 1 M is a megohm. */
const UNITS: readonly (readonly [pattern: string, unit: SizeUnit, factor: number])[] = [
  ['mm|MM|[Mm]illimet(?:er|re)s?', 'mm', 1],
  ['cm|CM|[Cc]entimet(?:er|re)s?', 'mm', 10],
  ['m|[Mm]et(?:er|re)s?', 'mm', 1000],
  [`[Ii]nch(?:es)?|(?:in|IN)${NO_INCH}|["″”]|''|’’`, 'mm', INCH],
  ['ft|feet|foot', 'mm', 12 * INCH],
  ['thou|mil', 'mm', THOU],
  ['[kK](?:\\s?(?:Ω|[oO]hms?))?', 'ohm', 1e3],
  ['M(?:\\s?(?:Ω|[oO]hms?))?|[Mm]eg(?:ohms?)?', 'ohm', 1e6],
  ['[ΩR]|[oO]hms?', 'ohm', 1],
  ['[µμu][fF]?|mfd|MFD', 'farad', 1e-6],
  ['n[fF]?', 'farad', 1e-9],
  ['p[fF]?', 'farad', 1e-12],
  ['mH', 'henry', 1e-3],
  ['H|[Hh]enr(?:ys?|ies)', 'henry', 1],
  ['kg|KG|[Kk]ilo(?:gram)?s?', 'g', 1000],
  ['gr?|[Gg]ram(?:me)?s?', 'g', 1],
  ['lbs?|LBS?|[Pp]ounds?', 'g', POUND],
  ['oz|OZ|[Oo]unces?', 'g', OUNCE],
  ['N|[Nn]ewtons?', 'newton', 1],
  ['°|[Dd]eg(?:rees?)?', 'deg', 1],
]
const COARSE = new Set(['cm', 'm', 'kg'])
const KNOWN = UNITS.map(([pattern, unit, factor]) => ({
  whole: new RegExp(`^(?:${pattern})$`, 'u'),
  unit: { unit, factor, coarse: COARSE.has(pattern.split('|')[0]!) },
}))

const VULGAR: Readonly<Record<string, number>> = { '½': 1 / 2, '¼': 1 / 4, '¾': 3 / 4, '⅛': 1 / 8, '⅜': 3 / 8, '⅝': 5 / 8, '⅞': 7 / 8 }
const SIGN = `[${Object.keys(VULGAR).join('')}]`
const SPACE = '[ \\u00a0\\u202f]'
/** Nobody divides by anything else, and 20/18 are two numbers. */
const PARTS = '(?:2|4|8|16|32|64)(?!\\d)'
const FRACTION = `\\d+[ -]\\d+/${PARTS}|\\d+/${PARTS}|\\d*${SIGN}`
const THOUSANDS = `[1-9]\\d{0,2}(?:(?:${SPACE}\\d{3})+|(?:,\\d{3})+|(?:\\.\\d{3})+)(?!\\d)`
/** 4k7, 2n2: the unit's letter where the point would be. [published: IEC 60062] */
const LETTERED = '\\d+[kKMRunp]\\d+'
const MARK = '\\d{3}[JKM]'
const END = '(?![\\p{L}\\d])'
/** A number starts no word and no other number; but a taper's letter may stand before a pot's ohms: A500k. */
const START = '(?<![\\p{L}\\d.,#])|(?<=(?<![\\p{L}\\d])[ABCW])'

const ATOM = new RegExp(
  `(?:${START})(?:(?<letters>${LETTERED}|${MARK})${END}|(?<number>${FRACTION}|${THOUSANDS}|\\d+(?:[.,]\\d+)?|[.,]\\d+)` +
    // "42 mm", "25.5-inch", "9.5"": a sign needs no end, a word does.
    `(?:(?:\\s|-(?=[a-z]))?(?<unit>(?:${UNITS.map(([pattern]) => pattern).join('|')})(?:(?<=["″”’'°])|${END})))?)`,
  'gu',
)

/** Every number of a text, in its order. */
export function atomsIn(text: string): Atom[] {
  return [...text.matchAll(ATOM)].flatMap((m) => {
    const { letters, number, unit } = m.groups!
    const at = { start: m.index, end: m.index + m[0].length }
    if (letters) return lettered(letters).map((read) => ({ ...at, ...read }))
    const known = unit && KNOWN.find((k) => k.whole.test(unit))
    return [{ ...at, ...numberOf(number!), ...(known && { unit: known.unit }) }]
  })
}

/** A mark may be a capacitor's or a resistor's; the part says which. */
function lettered(text: string): Pick<Atom, 'readings' | 'half' | 'unit'>[] {
  const ohms = parseOhms(text)
  const farads = parseFarads(text)
  return [
    ...(farads.ok ? [{ readings: [farads.value], half: 0, unit: { unit: 'farad' as const, factor: 1, coarse: false } }] : []),
    ...(ohms.ok ? [{ readings: [ohms.value], half: 0, unit: { unit: 'ohm' as const, factor: 1, coarse: false } }] : []),
  ]
}

function numberOf(text: string): Pick<Atom, 'readings' | 'half'> {
  const fraction = new RegExp(`^(\\d*?)[ -]?(?:(\\d+)/(\\d+)|(${SIGN}))$`).exec(text)
  if (fraction) {
    const [, whole, top, bottom, sign] = fraction
    const part = sign ? VULGAR[sign]! : Number(top) / Number(bottom)
    return { readings: [Number(whole) + part].filter(Number.isFinite), half: 0 }
  }
  const written = text.replace(',', '.')
  const places = written.split('.')[1]?.length ?? 0
  if (!new RegExp(`^${THOUSANDS}$`).test(text)) return { readings: [Number(written)], half: 0.5 * 10 ** -places }
  const thousands = Number(text.replace(/\D/g, ''))
  // With a space it may be so many of another number: "2 250k pots".
  if (/\s/.test(text)) return { readings: [thousands, Number(/\d+$/.exec(text)![0])], half: 0.5 }
  const asDecimal = Number(written)
  return { readings: Number.isFinite(asDecimal) ? [asDecimal, thousands] : [thousands], half: 0.5 * 10 ** -places }
}
