/** Nobody reads a gap closer, mm. */
const LEAST_READ = 0.01

/** By how much a string comes too low, in words. */
export const missed = (margin: number): string => (-margin < LEAST_READ ? `less than ${LEAST_READ} mm` : `${(-margin).toFixed(2)} mm`)
