/** Saddle move per cent of sharpness at fret 12, mm: L ln2 / 1200. [physics] @param scale mm */
export const mmPerCent = (scale: number): number => (scale * Math.LN2) / 1200

/** Move of the saddle for a reading at fret 12, mm; sharp (positive cents) moves it back, away from the nut. */
export const intonationMove = (cents: number, scale: number): number => cents * mmPerCent(scale)
