import { fretPlace } from '../physics/frets'

/** Saddle move that changes the action at fret 12 by `change`, mm: 2 (1 + c/L) times it. [physics] @param back set-back c/L */
export const saddleMoveFor = (change: number, back = 0): number => 2 * change * (1 + back)

/**
 * Action over one fret as it is at another: string and fret plane are straight lines from the nut.
 * @param action mm over fret `from`; @param nut string height over the fret plane at the nut, mm
 */
export function actionAtFret(action: number, from: number, to: number, nut: number): number {
  const share = fretPlace(1, to) / fretPlace(1, from)
  return nut + (action - nut) * share
}

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

/**
 * Gap left at fret 1 while the string is held at fret k, mm: h (x_k - x_1)/x_k. [physics]
 * @param h slot bottom over the fret plane, mm
 */
export const sliver = (h: number, k: 2 | 3): number => (h * (fretPlace(1, k) - fretPlace(1, 1))) / fretPlace(1, k)

/** Open gap over fret 1, mm: h (1 - 2 x1/L) + 2 a12 x1/L. [physics] */
export const openGap = (h: number, action12: number): number => {
  const x1 = fretPlace(1, 1)
  return h * (1 - 2 * x1) + 2 * action12 * x1
}
