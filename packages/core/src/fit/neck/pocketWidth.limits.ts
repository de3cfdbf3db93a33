import type { Band } from '../../judge/verdict'

/**
 * Pocket width minus heel width, total, mm: firm hand press, no hammer. [practice] About 0.8 mm (1/32 in) has been shaved in
 * practice, so the limit lies beyond it by what two caliper readings may be off. [ours]
 */
export const WIDTH_BANDS: readonly Band[] = [
  { upTo: -0.95, is: 'wont-go' },
  { upTo: 0.05, is: 'tight' },
  { upTo: 0.35, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
/** The gap to aim at when shaving, mm. [practice] */
export const WANTED = { from: 0.05, to: 0.3 }
/** Above this a wall is lined with veneer. [practice] */
export const SLOPPY = 0.5
/** How exactly a person shaves with chisel and block, mm, 95 %. [ours] */
export const SHAVING_DOUBT = 0.1

export type PocketPlace = 'mouth' | 'end'
