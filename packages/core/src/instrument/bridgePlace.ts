/**
 * Where the saddles have to stand, mm behind the scale line: plain strings near it, the lowest wound one well behind,
 * straight between. Wound low strings need 4 to 7 mm. [practice]
 */
export const COMPENSATION = { treble: { from: 0.5, to: 2.5 }, bass: { from: 4, to: 7 } } as const
/** Saddle travel kept in hand at either end, mm. [practice] */
export const TRAVEL_SPARE = 1.5

export interface SaddleWindow {
  /** Places along the centre line, mm from the nut, that the foremost and rearmost saddle may need. */
  front: number
  back: number
}

/** The stretch in which saddles must be able to stand for a scale length, mm from the nut. */
export const saddleWindow = (scale: number): SaddleWindow => ({
  front: scale + COMPENSATION.treble.from,
  back: scale + COMPENSATION.bass.to,
})

/** Stretch in which the bridge reference (its studs) may be placed so that every string can be brought in tune. */
export function bridgePlace(scale: number, travel: { front: number; back: number }): { from: number; to: number } {
  const window = saddleWindow(scale)
  return { from: window.back + TRAVEL_SPARE - travel.back, to: window.front - TRAVEL_SPARE + travel.front }
}

/** How far saddles must travel along the strings, foremost to rearmost place, to have that in hand at both ends, mm. */
export const TRAVEL_WANTED = COMPENSATION.bass.to - COMPENSATION.treble.from + 2 * TRAVEL_SPARE
