/** Words that say nothing about which size is meant. */
const FILLER = new Set([
  'is',
  'are',
  'was',
  'reads',
  'read',
  'measured',
  'measures',
  'the',
  'a',
  'an',
  'at',
  'of',
  'in',
  'on',
  'now',
  'about',
  'it',
  'its',
  'to',
  'and',
  'for',
  'with',
  'my',
  'by',
  'position',
  'has',
  'mm',
])

const NUMBER_WORDS: Record<string, number> = {
  half: 0.5,
  quarter: 0.25,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
}

/** Words in small letters, without what joins them. */
export const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\d.]+/u)
    .filter(Boolean)

/** Words that could name something. */
export const meant = (text: string): string[] => words(text).filter((w) => !FILLER.has(w) && !/^[\d.]/.test(w))

/** The first number in a text, written or spoken: "24", "1 1/4", "two", "half". */
export function numberIn(text: string): number | undefined {
  const mixed = /(?:^|\s)([+-]?)(?:(\d+)\s+)?(\d+)\/(\d+)(?=\s|$)/.exec(text)
  if (mixed) return (mixed[1] === '-' ? -1 : 1) * (Number(mixed[2] ?? 0) + Number(mixed[3]) / Number(mixed[4]))
  const plain = /(?:^|\s)([+-]?\d+(?:[.,]\d+)?|[+-]?[.,]\d+)/.exec(text)
  if (plain) return Number(plain[1]!.replace(',', '.'))
  const word = words(text).find((w) => w in NUMBER_WORDS)
  return word === undefined ? undefined : NUMBER_WORDS[word]
}
