/** A neck screw's tip stays this far from the board's face or a fret, mm. [practice] */
export const TIP_CLEAR = 3
/** Thread wanted in the heel, mm. [practice] */
export const BITE = 12
/** A working load is a fifth of the breaking load. [practice] */
export const WORKING = 5
