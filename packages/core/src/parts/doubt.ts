import { electricalDoubt, isMeasured, lengthDoubt, type Known, type Trade } from '../quantity/size'
import { bandOf, type SizeSpec, type SizeUnit } from './kind'

/** Calipers open no further, mm: what is longer is read along a rule, or in two pieces that are no better. [practice] */
export const CALIPERS_OPEN = 150
/** An angle is read as two heights so far apart, mm. [ours] */
const HEIGHTS_APART = 75
/** No angle is read more closely than this at a bench, degrees. [ours] */
const ANGLE = 0.1
/** A kitchen scale is out by so many grams, or by so much of what lies on it. [practice] */
const SCALE = { grams: 2, share: 0.01 }
/** What a spring pulls, hung from a luggage scale and stretched by eye. [ours] */
const PULL = 0.05

const LENGTHS = ['calipers', 'rule', 'tape', 'template', 'photo'] as const
/** What a size of each unit can be read with, the usual first. */
const READ_WITH: Readonly<Record<SizeUnit, readonly Known[]>> = {
  mm: LENGTHS,
  deg: ['rule', 'template', 'calipers', 'tape', 'photo'],
  count: ['rule'],
  ohm: ['meter'],
  farad: ['meter'],
  henry: ['meter'],
  g: ['scale'],
  newton: ['scale'],
}

/** How a size of that unit can be known: what reads it, the usual first, then a seller's word and a guess. */
export const waysToKnow = (unit: SizeUnit): readonly Known[] => [...READ_WITH[unit], 'listed', 'assumed']

/** How it is known, in words: what is counted needs no tool. */
export const knownWord = (unit: SizeUnit, known: Known): string => (unit === 'count' && isMeasured(known) ? 'counted' : known)

/**
 * The doubt a size starts from, where nobody says another: by its unit, and by how it is known. One rule for what is typed, pasted, read
 * from a table, said in the log or filled in.
 * @param trade what such a part is listed as
 * @returns half-width of the 95 % interval, in the unit of the size
 */
export function startingDoubt(spec: SizeSpec, trade: Trade, known: Known, value: number): number {
  if (spec.unit === 'count') return 0
  if (known === 'assumed') return guessed(spec, trade, value)
  switch (spec.unit) {
    case 'mm':
      return lengthDoubt(known === 'calipers' && Math.abs(value) > CALIPERS_OPEN ? 'rule' : known, trade)
    case 'deg':
      return Math.max(ANGLE, degrees(Math.atan((Math.SQRT2 * lengthDoubt(known, trade)) / HEIGHTS_APART)))
    case 'g':
      return isMeasured(known) ? Math.max(SCALE.grams, SCALE.share * value) : electricalDoubt(known, value)
    case 'newton':
      return isMeasured(known) ? PULL * value : electricalDoubt(known, value)
    default:
      return electricalDoubt(known, value)
  }
}

/** A size nobody has read: as far from it as such parts are found. [ours] */
function guessed(spec: SizeSpec, trade: Trade, value: number): number {
  const { low, high } = bandOf(spec)
  // Where all such parts are nearly alike the guess is no wider than they are.
  const widest = Math.max(value - low, high - value)
  return spec.unit === 'mm' ? Math.min(widest, lengthDoubt('assumed', trade)) : widest / 2
}

const degrees = (rad: number) => (rad * 180) / Math.PI
