/** Saddle move that changes the action at fret 12 by `change`, mm: 2 (1 + c/L) times it. [physics] @param back set-back c/L */
export const saddleMoveFor = (change: number, back = 0): number => 2 * change * (1 + back)

export interface PostTurns {
  /** Turns of each post screw, down positive (clockwise). */
  bass: number
  treble: number
  /** Height changes at the posts, mm, up positive. */
  bassHeight: number
  trebleHeight: number
}

/**
 * Turns of the two posts of a bridge so that the outer strings move by the heights wanted: the bridge is a straight
 * line across, so both posts follow from both strings. [physics]
 * @param move saddle height change wanted at the outer strings, mm, up positive
 * @param spread first to last string, mm; @param posts post spacing, mm; @param pitch screw advance per turn, mm
 */
export function postTurns(move: { bass: number; treble: number }, spread: number, posts: number, pitch: number): PostTurns {
  const middle = (move.bass + move.treble) / 2
  const slope = (move.bass - move.treble) / spread
  const bassHeight = middle + (slope * posts) / 2
  const trebleHeight = middle - (slope * posts) / 2
  return { bass: -bassHeight / pitch, treble: -trebleHeight / pitch, bassHeight, trebleHeight }
}

/** Turns to the nearest eighth, as a hand turns a key. */
export const toEighths = (turns: number): number => Math.round(turns * 8) / 8

/** "1 1/4": turns to the nearest eighth, as a hand turns a key. */
export function printTurns(turns: number): string {
  const eighths = Math.round(Math.abs(turns) * 8)
  if (eighths === 0) return '0'
  const whole = Math.floor(eighths / 8)
  const rest = eighths % 8
  if (!rest) return String(whole)
  const [top, bottom] = rest % 4 === 0 ? [rest / 4, 2] : rest % 2 === 0 ? [rest / 2, 4] : [rest, 8]
  return whole ? `${whole} ${top}/${bottom}` : `${top}/${bottom}`
}
