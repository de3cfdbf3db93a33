/** Distance from nut to fret n on a scale of length L: L(1 - 2^(-n/12)). [physics, twelve-tone equal temperament] */
export const fretPlace = (scale: number, n: number): number => scale * (1 - 2 ** (-n / 12))

/** Places of frets 1 to `count`, mm from the nut. */
export const fretPlaces = (scale: number, count: number): number[] => Array.from({ length: count }, (_, i) => fretPlace(scale, i + 1))

/** Distance from nut to fret n on a board sawn by the old rule, each fret an eighteenth of what remained: L(1 - (17/18)^n). [handbook rule, from memory] */
export const eighteenthPlace = (scale: number, n: number): number => scale * (1 - (17 / 18) ** n)

/**
 * How much too far from fret 1 a nut stands that puts fret n so much further than it should be, mm; too near is negative. A scale doubled
 * from fret 12 is longer by twice the nut's own error, so that a fret n is off by e (1 - 2 (1 - 2^(-n/12))); fret 12 itself shows nothing. [physics]
 */
export const nutTooFar = (further: number, n: number): number => further / (1 - 2 * fretPlace(1, n))
