import { OUNCE, POUND } from '../../quantity/mass'
import type { SizeUnit } from '../kind'
import { atomsIn, type Atom, type Unit } from './atoms'

/** An amount as a seller's text means it. */
export interface ListedAmount {
  /** Where it stands in the text. */
  start: number
  end: number
  unit: SizeUnit
  /** What it may come to, likeliest first. */
  readings: number[]
  /** It is no better known than this: by its last figure, the tolerance beside it, or because it is "about". */
  within: number
  /** No size but a bound of one: an end of a range, at least, at most. */
  bound?: 'low' | 'high'
}

type Link = 'to' | 'by' | 'or' | 'tolerance'

const PLUS_MINUS = String.raw`(?:±|\+\s*\/?\s*[-–−]|tol(?:erance|\.)?(?:\s+of)?:?\s*±?)`
/** What may stand between two numbers that belong together. */
const LINKS: readonly (readonly [Link, RegExp])[] = [
  ['by', /^\s*(?:[x×*]|by)\s*$/i],
  ['or', /^\s*\/\s*$/],
  ['to', /^\s*(?:[-–—~]|to|through|\.{2,3}|…)\s*$/i],
  ['tolerance', new RegExp(`^\\s*${PLUS_MINUS}\\s*$`, 'i')],
]
/** What may stand before a number. */
const BETWEEN = /\bbetween\s*$/i
const TOLERANCE = /(?:±|\+\s*\/?\s*[-–−]|\btol(?:erance|\.)?(?:\s+of)?:?)\s*$/i
const LOW = /(?:\b(?:min(?:imum|\.)?|at\s+least|no\s+less\s+than|more\s+than|over|above)|[>≥])\s*:?\s*$/i
const HIGH = /(?:\b(?:max(?:imum|\.)?|at\s+most|no\s+more\s+than|less\s+than|up\s+to|under|below)|[<≤])\s*:?\s*$/i
const ABOUT = /(?:\b(?:about|around|approx(?:imately|\.)?|ca\.?|circa|roughly|nearly|almost)|[~≈])\s*:?\s*$/i
const PERCENT = /^(?:\s*%)?/
const DENIED = /\b(?:not|no|never|without|instead\s+of|other\s+than)\s*$/i

/** The amounts of a text, in its order: each number with a unit of its own or that of the next in its row. */
export function amountsIn(text: string): ListedAmount[] {
  const atoms = poundsJoined(text, atomsIn(text))
  const before = (i: number) => text.slice(atoms[i - 1]?.end ?? 0, atoms[i]!.start)
  const links = atoms.map((_, i): Link | undefined => {
    const between = atoms[i + 1] && before(i + 1)
    if (between === undefined) return undefined
    if (/^\s*and\s*$/i.test(between)) return BETWEEN.test(before(i)) ? 'to' : undefined
    return LINKS.find(([, pattern]) => pattern.test(between))?.[0]
  })
  const unitAt = (i: number): Unit | undefined => {
    const own = atoms[i]!.unit
    if (own || !links[i]) return own
    const next = unitAt(i + 1)
    // "10 x 22 nF" are ten of them.
    return links[i] === 'by' && next?.unit !== 'mm' ? undefined : next
  }

  return atoms.flatMap((atom, i): ListedAmount[] => {
    const unit = unitAt(i)
    if (!unit || DENIED.test(before(i)) || TOLERANCE.test(before(i))) return []
    const tolerance = links[i] === 'tolerance' ? atoms[i + 1]! : undefined
    const bound = boundOf(links[i - 1], links[i], before(i))
    const rounded = Math.max(unit.coarse ? atom.half : 0, ABOUT.test(before(i)) ? 2 * atom.half : 0) * unit.factor
    return [
      {
        start: atom.start,
        end: tolerance ? tolerance.end + PERCENT.exec(text.slice(tolerance.end))![0].length : atom.end,
        unit: unit.unit,
        readings: atom.readings.map((r) => r * unit.factor),
        within: Math.max(rounded, tolerance ? tolerated(tolerance, unit, atom, text) : 0),
        ...(bound && { bound }),
      },
    ]
  })
}

function boundOf(last: Link | undefined, next: Link | undefined, before: string): 'low' | 'high' | undefined {
  if (next === 'to') return 'low'
  if (last === 'to') return 'high'
  if (LOW.test(before)) return 'low'
  return HIGH.test(before) ? 'high' : undefined
}

/** "±0.3 mm" or "±5 %", in the unit of what it belongs to. */
function tolerated(tolerance: Atom, unit: Unit, of: Atom, text: string): number {
  const figure = tolerance.readings[0]!
  return PERCENT.exec(text.slice(tolerance.end))![0]
    ? (figure / 100) * of.readings[0]! * unit.factor
    : figure * (tolerance.unit ?? unit).factor
}

/** "4 lb 6 oz" is one amount. */
function poundsJoined(text: string, atoms: readonly Atom[]): Atom[] {
  const joined: Atom[] = []
  for (const atom of atoms) {
    const last = joined.at(-1)
    const ounces = last?.unit?.factor === POUND && atom.unit?.factor === OUNCE
    if (last && ounces && /^\s*,?\s*(?:and\s*)?$/.test(text.slice(last.end, atom.start)))
      joined.splice(-1, 1, { ...last, end: atom.end, readings: [last.readings[0]! + atom.readings[0]! / 16] })
    else joined.push(atom)
  }
  return joined
}
