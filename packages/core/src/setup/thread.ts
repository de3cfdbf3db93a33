/** A learned advance beyond these is a slip in a reading, mm a turn. [ours] */
export const BELIEVED = { from: 0.15, to: 2 }
/** The coarsest there is under a saddle or a bridge, mm a turn: a first try by it goes too far on none. [practice, from memory] */
const COARSEST = 1.25

/**
 * What a turn is taken to give where nobody has said and none was made yet: so much that the first try is half a turn at most, and too far on
 * no thread there is. @param moves mm the screws have to carry
 */
export const trialPitch = (...moves: readonly number[]): number => Math.max(COARSEST, 2 * Math.max(...moves.map(Math.abs)))
