/** Pitch of A4, Hz. [published: ISO 16] */
const A4 = 440

/** Frequency of a note counted in semitones from A4, equal temperament. */
export const pitch = (semitonesFromA4: number): number => A4 * 2 ** (semitonesFromA4 / 12)

const NAMES = ['A', 'A♯', 'B', 'C', 'C♯', 'D', 'D♯', 'E', 'F', 'F♯', 'G', 'G♯']
/** "E4": the name of a note counted in semitones from A4. */
export function noteName(semitones: number): string {
  const name = NAMES[((semitones % 12) + 12) % 12]!
  return `${name}${4 + Math.floor((semitones + 9) / 12)}`
}
