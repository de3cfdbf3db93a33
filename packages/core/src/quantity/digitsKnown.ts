/** No more decimals than a rule for woodwork or calipers show. */
const MOST = 2

/**
 * How many decimals a figure of this doubt is told with: the doubt keeps two leading digits at most, and the figure ends where it does.
 * [published: JCGM 100:2008, 7.2.6]
 * @param doubt half the width of the interval, in the figure's own unit
 * @example digitsKnown(0.05) // 2: 41.30 ±0.05
 * @example digitsKnown(21.7) // 0: 4 ±22
 */
export function digitsKnown(doubt: number): number {
  if (!(doubt > 0)) return MOST
  // What rounds up to the next power has one decimal less.
  const leading = Math.floor(Math.log10(Number(doubt.toPrecision(2))))
  return Math.min(MOST, Math.max(0, 1 - leading))
}

/** "±0.05", "±1.7", "±22": a doubt as it stands behind its figure. */
export const plusMinus = (doubt: number): string => `±${doubt.toFixed(digitsKnown(doubt))}`
