/** Distance from nut to fret n on a scale of length L: L(1 - 2^(-n/12)). [physics, twelve-tone equal temperament] */
export const fretPlace = (scale: number, n: number): number => scale * (1 - 2 ** (-n / 12))

/** Places of frets 1 to `count`, mm from the nut. */
export const fretPlaces = (scale: number, count: number): number[] => Array.from({ length: count }, (_, i) => fretPlace(scale, i + 1))
