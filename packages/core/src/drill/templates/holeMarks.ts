import { printMm } from '../../quantity/length'
import type { HoleCard, Side } from '../holeCard'
import { type Shape, hole } from './template'

/** Holes of these sides as they are marked; what is there is shown and not cut. */
export const holesOn = (cards: readonly HoleCard[], sides: readonly Side[]): Shape[] =>
  cards
    .filter((c) => sides.includes(c.side) && c.bit !== undefined && c.stands !== 'refused')
    .flatMap((c) => c.places.flatMap((p, i) => hole(p, c.bit!, nameOf(c, i), c.work === 'keep')))

/** On the drawing each hole has its number; the row's name and size stand once at its foot. */
export const nameOf = (c: HoleCard, i: number) =>
  c.places.length > 1 ? `${MARK[c.id] ?? ''}${i + 1}` : (MARK[c.id] ?? c.title.toLowerCase())

/** A letter before the number tells rows apart that lie near each other. */
const MARK: Record<string, string> = {
  'tuner-screws': 's',
  'bridge-screws': 'b',
  'string-holes': 'h',
  'ferrule-bores': 'f',
  'neck-clearance': 'n',
  'tail-bores': 't',
  'pot-holes': 'p',
  'ground-wire': 'g',
  'toggle-hole': 'w',
  'toggle-hole-2': 'w2-',
}

export const legend = (cards: readonly HoleCard[], sides: readonly Side[]): string[] =>
  cards
    .filter((c) => sides.includes(c.side) && c.bit !== undefined && c.places.length && c.stands !== 'refused')
    .map(
      (c) =>
        `${c.places.length > 1 ? `${nameOf(c, 0)} to ${nameOf(c, c.places.length - 1)}` : nameOf(c, 0)}: ${c.title.toLowerCase()}, ${printMm(c.bit!)} mm${c.work === 'keep' ? ', there already' : ''}.`,
    )
