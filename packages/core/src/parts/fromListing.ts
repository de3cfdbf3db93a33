import { parseFarads, parseOhms } from '../quantity/electrical'
import { parseLength } from '../quantity/length'
import { electricalDoubt, lengthDoubt, type Size } from '../quantity/size'
import type { SizeUnit } from './kind'
import { KINDS, type KindName } from './kinds/index'

/** A number with its unit as it stands in a seller's text, and the sizes of the part it may be, likeliest first. */
export interface ListedNumber {
  /** As it is written there. */
  text: string
  /** The words round it. */
  around: string
  value: number
  unit: SizeUnit
  sizes: string[]
}

/** Where a number ends and its unit begins; a comma may be a decimal point. */
const NUMBER =
  /(?<![\w.])(\d+(?:[.,]\d+)?(?:[ -]\d+\/\d+)?|\d+\/\d+|\.\d+)\s*(mm|cm|inches|inch|in\b|"|″|kohm|k\s?Ω|kΩ|k\b|ohms?|Ω|MΩ|nF|n\b|[µu]F|pF|grams?|g\b)/gi

const WORDS_BEFORE = 6
const WORDS_AFTER = 3

/** Reads every number with a unit out of a text, and offers each to the sizes it may belong to. Nothing is taken for anyone. */
export function readListing(kind: KindName, text: string): ListedNumber[] {
  const found: ListedNumber[] = []
  for (const m of text.matchAll(NUMBER)) {
    const read = valueOf(m[1]!, m[2]!)
    if (!read) continue
    const before = text.slice(0, m.index).split(/\s+/).slice(-WORDS_BEFORE)
    const after = text
      .slice(m.index + m[0].length)
      .split(/\s+/)
      .slice(0, WORDS_AFTER)
    const sizes = candidates(kind, read, [...before, ...after].join(' '))
    if (sizes.length) found.push({ ...read, text: m[0], around: `${before.join(' ')}${m[0]} ${after.join(' ')}`.trim(), sizes })
  }
  return found
}

function valueOf(number: string, unit: string): { value: number; unit: SizeUnit } | undefined {
  const written = number.replace(',', '.')
  const u = unit.toLowerCase().replace(/\s/g, '')
  if (/^(mm|cm|in|inch|inches|"|″)$/.test(u)) {
    const parsed = parseLength(`${written} ${u}`)
    return parsed.ok ? { value: parsed.value, unit: 'mm' } : undefined
  }
  if (/^(k|kω|kohm|ohms?|ω|mω)$/.test(u)) {
    const parsed = parseOhms(`${written}${u.startsWith('k') ? 'k' : unit.startsWith('M') ? 'M' : ''}`)
    return parsed.ok ? { value: parsed.value, unit: 'ohm' } : undefined
  }
  if (/^(nf|n|[µu]f|pf)$/.test(u)) {
    const parsed = parseFarads(`${written}${u.charAt(0).replace('µ', 'u')}`)
    return parsed.ok ? { value: parsed.value, unit: 'farad' } : undefined
  }
  return /^g/.test(u) ? { value: Number(written), unit: 'g' } : undefined
}

/** Words that sellers use where the label has another. [practice] */
const ALSO: Readonly<Record<string, string>> = {
  height: 'depth',
  diameter: 'bore',
  spacing: 'spread',
  wide: 'width',
  long: 'length',
  thick: 'thickness',
}

const stems = (text: string): Set<string> =>
  new Set(
    text
      .toLowerCase()
      .split(/[^a-z0-9]+/)
      .filter((w) => w.length > 2)
      .flatMap((w) => [w.replace(/s$/, ''), ...(ALSO[w] ? [ALSO[w]] : [])]),
  )

/** Sizes of the kind with that unit that may have that value, those whose name is in the words round it first. */
function candidates(kind: KindName, { value, unit }: { value: number; unit: SizeUnit }, words: string): string[] {
  const said = stems(words)
  return Object.entries(KINDS[kind].sizes)
    .filter(([, s]) => s.unit === unit && value >= s.min && value <= s.max)
    .map(([key, s]) => {
      const own = stems(`${s.label} ${key}`)
      const share = [...own].filter((w) => said.has(w)).length / own.size
      // Among equals the nearer to what is usual.
      const far = s.usual ? Math.abs(Math.log(value / s.usual)) : 1
      return { key, score: share - 0.01 * Math.min(far, 5) }
    })
    .toSorted((a, b) => b.score - a.score)
    .map((c) => c.key)
}

/** The size as it is known from a listing. */
export const asListed = (kind: KindName, { value, unit }: Pick<ListedNumber, 'value' | 'unit'>): Size => ({
  value,
  doubt: unit === 'mm' ? lengthDoubt('listed', KINDS[kind].trade) : electricalDoubt('listed', value),
  known: 'listed',
})
