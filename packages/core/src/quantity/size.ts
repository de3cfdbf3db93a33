/**
 * A size is a value, a doubt and how it is known. The doubt is the half-width of a 95 % interval and is
 * treated as a normal with sigma = doubt / 2. [ours]
 */
export interface Size {
  /** In the unit of the size's specification: mm, ohm, farad, henry, gram, degree or a plain count. */
  value: number
  /** Half-width of the 95 % interval, same unit. */
  doubt: number
  known: Known
  /** Film that lay on each wall of an opening when it was read, um; none where it was bare. */
  film?: number
}

export const KNOWN = ['calipers', 'rule', 'tape', 'template', 'photo', 'meter', 'scale', 'listed', 'assumed'] as const
/** How a size is known: the tool it was measured with, or that a seller says so, or that it is the usual value. */
export type Known = (typeof KNOWN)[number]

/** A size where somebody has said it, by reading or by listing; nothing where it is only the usual value. */
export const told = (size: Size | undefined): Size | undefined => (size?.known === 'assumed' ? undefined : size)

export const isMeasured = (known: Known): boolean => known !== 'listed' && known !== 'assumed'

/** What kind of listing a size comes from decides how far a seller's figure can be off. */
export type Trade = 'wood' | 'hardware'

/**
 * Doubt to start from, in mm, for lengths. [ours]
 * Listings: 0.4 mm for hardware, 0.8 mm for wood and guards.
 */
export function lengthDoubt(known: Known, trade: Trade): number {
  switch (known) {
    case 'calipers':
      return 0.05
    case 'rule':
      return 0.3
    case 'tape':
      return 1
    case 'template':
      return 0.5
    // A picture says its own doubt; this is only where somebody types the number. [ours]
    case 'photo':
      return 1
    case 'listed':
      return trade === 'wood' ? 0.8 : 0.4
    default:
      return 2
  }
}

/** Relative doubt for resistance and capacitance: a meter reads to 1 %, parts are sold at up to 20 %. [practice] */
export function electricalDoubt(known: Known, value: number): number {
  return Math.abs(value) * (isMeasured(known) ? 0.01 : known === 'listed' ? 0.1 : 0.2)
}

/** The step by which arrow keys move a length, in mm: the resolution of the tool. [ours] */
export function toolStep(known: Known): number {
  if (known === 'calipers') return 0.05
  if (known === 'rule' || known === 'template') return 0.5
  return known === 'tape' ? 1 : 0.1
}
