import fc from 'fast-check'

/** Drawn anew for each run by what sets tests up, which prints it; the same again with DRAWN_SEED=... npm run unit. */
declare global {
  var drawnSeed: number | undefined
  /** LAWS=long npm run unit, which npm run soak -- laws does. */
  var lawsAreLong: boolean | undefined
}
/** In the long run (npm run soak -- laws) a law is held to all its cases, and to as many that nobody has seen. */
const LONG = { seen: 1, drawn: 1 }
/** In a short one to the first of them; most of a law's days are short runs, and what these draw adds up. */
const SHORT = { seen: 0.15, drawn: 0.1 }
const SHARE = globalThis.lawsAreLong ? LONG : SHORT

/**
 * Holds a law to the same cases every time, so that a run says something about the change, and to some that nobody has seen.
 * @param runs cases of a long run
 * @returns how many it was held to
 */
export function holds<T>(law: fc.IRawProperty<T>, runs: number): number {
  const seen = Math.ceil(runs * SHARE.seen)
  const drawn = Math.ceil(runs * SHARE.drawn)
  fc.assert(law, { numRuns: seen })
  fc.assert(law, { numRuns: drawn, ...(globalThis.drawnSeed === undefined ? {} : { seed: globalThis.drawnSeed }) })
  return seen + drawn
}
