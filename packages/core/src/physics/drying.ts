/** Drying takes about twice as long for every 10 degrees C colder than the label's 20; warmth never makes it shorter than the label. [practice] */
export const dryingFactor = (celsius: number): number => Math.max(1, 2 ** ((20 - celsius) / 10))

/** Damp air holds drying up from here on, % of humidity. [ours] */
const DAMP = 70
const HELD_UP = 1.5

/** The same with the air's moisture. */
export const dryingIn = (air: { air: number; humidity?: number }): number =>
  dryingFactor(air.air) * (air.humidity !== undefined && air.humidity > DAMP ? HELD_UP : 1)
