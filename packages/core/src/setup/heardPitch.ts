/** Farther off than a string is ever out of tune: another string sounded, or one partial was taken for another, cents. [ours] */
const NOT_THIS = 300

/**
 * How far a pitch heard is from where the string should sound.
 * @param hertz heard @param wanted where it should sound, Hz
 * @returns cents, sharp upwards; or why it is not this string's
 */
export function heardPitch(hertz: number, wanted: number): { cents: number } | { why: string } {
  const cents = 1200 * Math.log2(hertz / wanted)
  if (Math.abs(cents) <= NOT_THIS) return { cents }
  return {
    why: `${hertz.toFixed(1)} Hz was heard where ${wanted.toFixed(1)} should sound: another string, another fret, or not alone. Damp the others and pluck it again.`,
  }
}
