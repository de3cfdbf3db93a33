import { readsTwoWays } from '../quantity/plain'

/** A number as it was said or written, with the unit behind it. */
export interface Amount {
  value: number
  /** With its unit, as lengths, ohms and farads are read everywhere. */
  written: string
  /** As it was said, in small letters; empty where none was. */
  unit: string
  /** "third", "3rd": one in a row, not so many. */
  ordinal: boolean
  /** A plus or minus was written before it. */
  signed: boolean
}

/** What was said, in its order: words in small letters, and amounts. */
export type Said = readonly (string | Amount)[]

const ONES = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine']
const TEENS = ['ten', 'eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen']
const WHOLE = [
  ...[...ONES, ...TEENS].map((word, i) => [word, i + 1] as const),
  ...['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'].flatMap((word, i) =>
    ['', ...ONES].map((one, n) => [`${word}${one && ` ${one}`}`, 20 + 10 * i + n] as const),
  ),
].toReversed()
const COUNT: ReadonlyMap<string, number> = new Map(WHOLE)
const IN_A_ROW = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth', 'eleventh', 'twelfth']
const FRACTION: Record<string, number> = { half: 1 / 2, quarter: 1 / 4, eighth: 1 / 8 }

const any = (names: readonly string[]) => names.join('|')
const NUMBER_WORD = any(WHOLE.map(([word]) => word.replace(' ', '[ -]')))
const END = String.raw`(?![\p{L}\d])`
const COINS = 'euros?|eur|dollars?|usd|pounds?|gbp'
/** "4 in the pocket" are no inches. */
const INCHES = String.raw`in(?!\s+(?:the|an?|my|this|its|position|tune)(?!\p{L}))`
const UNITS = String.raw`(?:mm|cm|millimetres?|inch(?:es)?|thou|mil|kg|g|grams?|lbs?|oz|deg(?:rees?)?|henr(?:y|ies)|newtons?|kohms?|ohms?|[km]?ω|[kmr]|[nupµ]f?|cents?|(?:of\s+an?\s+)?turns?|${COINS})${END}|["″°€$£]`

/** One of these at a time, the longest first. */
const TOKEN = new RegExp(
  [
    String.raw`(?<date>\d{4}-\d\d-\d\d|\d{1,2}:\d\d)|(?<many>dozen|hundred|thousand)s?${END}`,
    // The number that names a string, a saddle, a fret: "saddle 3 1/2 turn" is the third by a half, but "4 cents" is so many.
    String.raw`(?<=(?:string|saddle|fret|position|coat)s?\s+)(?<name>\d{1,2})(?![.,/]?\d)(?!\s*(?:${UNITS}))(?!\s\d+/\d+\s+turns)`,
    String.raw`(?<pounds>\d+\s*lbs?\s+\d+(?:\.\d+)?\s*oz)${END}`,
    String.raw`(?<row>\d+)(?:st|nd|rd|th)${END}|(?<nth>${any(IN_A_ROW)})(?=\s+(?:string|saddle|fret|position|coat))`,
    String.raw`(?:(?:(?<whole>${NUMBER_WORD}|\d+)\s+and\s+)?(?:(?<parts>an?|${NUMBER_WORD})\s+)?(?<part>half|quarter|eighth)s?${END}(?:\s+of)?(?:\s+an?(?!\p{L}))?|(?<spoken>${NUMBER_WORD})${END}|(?:(?<coin>[€$£])\s*)?(?<number>(?<![\p{L}\d])[+-]?(?:\d+(?:\s+and)?[ -]\d+/\d+|\d+/\d+|\d+[kmrnupµ]\d+|\d+(?:[.,]\d+)?|[.,]\d+)|[+-]?\d+(?:[.,]\d+)?))(?:\s*(?<unit>${INCHES}${END}|${UNITS}))?`,
    String.raw`(?<word>\p{L}+(?:['’]\p{L}+)*|[?~≈<>≤≥±*])`,
  ].join('|'),
  'gu',
)

const tidy = (text: string) =>
  text
    .toLowerCase()
    .replace(/[−–](?=[\d.,])/g, '-')
    .replace(/[½¼¾⅛]/g, (f) => ` ${{ '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8' }[f]!}`)
    .replace(/\b(counter|anti)[\s-]*clockwise/g, 'counterclockwise')
    .replace(/(?:\b(?:no\.?|number|nr\.?)|#)\s*(?=\d)/g, '')

/** Reads words and amounts out of a text: "saddle 3 three quarters of a turn back" is a word, 3, 0.75 turns and a word. */
export function saidIn(text: string): Said {
  const found: (string | Amount)[] = []
  for (const { groups: g = {} } of tidy(text).matchAll(TOKEN)) {
    const row = g.nth === undefined ? Number(g.row) : IN_A_ROW.indexOf(g.nth) + 1
    if (row > 0) found.push({ ...plain(row), ordinal: true })
    else if (g.word !== undefined) found.push(g.word)
    else if (g.pounds !== undefined) found.push({ ...plain(NaN), written: g.pounds, unit: 'lb' })
    else if (g.date ?? g.many) found.push({ ...plain(NaN), unit: g.date ? 'date' : g.many! })
    else if (g.name !== undefined) found.push(plain(Number(g.name)))
    else found.push(amount(g))
  }
  return found
}

const plain = (value: number): Amount => ({ value, written: String(value), unit: '', ordinal: false, signed: false })
const count = (word: string) => COUNT.get(word.replace('-', ' ')) ?? (/^\d+$/.test(word) ? Number(word) : 1)

function amount(g: Record<string, string | undefined>): Amount {
  const unit = (g.unit ?? g.coin ?? '').replace(/^of\s+an?\s+/, '')
  if (g.number === undefined) {
    const value = g.part ? (g.whole ? count(g.whole) : 0) + count(g.parts ?? 'a') * FRACTION[g.part]! : count(g.spoken!)
    return { ...plain(value), written: `${value} ${unit}`.trim(), unit }
  }
  const number = g.number.replace(/\s+and/, '')
  if (readsTwoWays(number)) return { ...plain(NaN), unit: 'thousands' }
  return { value: valueOf(number), written: `${number} ${unit}`.trim(), unit, ordinal: false, signed: /^[+-]/.test(number) }
}

function valueOf(number: string): number {
  const [, sign, whole = '0', top, bottom] = /^([+-]?)(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(number) ?? []
  if (top === undefined) return Number(number.replace(',', '.'))
  return (sign === '-' ? -1 : 1) * (Number(whole) + Number(top) / Number(bottom))
}

export const isAmount = (t: string | Amount): t is Amount => typeof t !== 'string'
export const amountsOf = (said: Said): Amount[] => said.filter(isAmount)
export const wordsOf = (said: Said): string[] => said.filter((t): t is string => !isAmount(t))

/** Words that say nothing about what is meant. */
const FILLER = new Set(
  'is are was were reads read measured measures the a an at of in on now it its and for with my by has have i we this today tonight again still just here comes came'.split(
    ' ',
  ),
)

/** Words in small letters, without what joins them. */
export const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter(Boolean)

/** Words that could name something. */
export const meant = (said: readonly string[]): string[] => said.filter((w) => !FILLER.has(w))

/** Nothing was said besides these words: what is not understood may turn it round. */
export const saysOnly = (said: Said, ...known: readonly ReadonlySet<string>[]): boolean =>
  meant(wordsOf(said)).every((w) => known.some((k) => k.has(w)))

export const wordSet = (list: string): ReadonlySet<string> => new Set(list.split(' '))

/** "string 3", "3rd string": which one, and the rest of what was said. */
export function numbered(said: Said, name: string): { n?: number; rest: Said } {
  const at = said.indexOf(name)
  const [before, after] = [said[at - 1], said[at + 1]]
  const without = (...gone: number[]) => said.filter((_, i) => !gone.includes(i))
  if (at >= 0 && after && isAmount(after) && !after.unit && !after.signed && Number.isInteger(after.value))
    return { n: after.value, rest: without(at, at + 1) }
  if (at > 0 && before && isAmount(before) && before.ordinal) return { n: before.value, rest: without(at - 1, at) }
  return { rest: said }
}
