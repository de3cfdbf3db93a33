import type { Band } from '../../judge/verdict'

/**
 * Pocket width minus heel width, total, mm: firm hand press, no hammer. [practice] About 0.8 mm (1/32 in) has been shaved in
 * practice, so the limit lies beyond it by what two caliper readings may be off. [ours]
 */
export const SNUG = { from: 0.05, to: 0.35 }
export const SHAVED_AT_MOST = -0.95

export const WIDTH_BANDS: readonly Band[] = [
  { upTo: SHAVED_AT_MOST, is: 'wont-go' },
  { upTo: SNUG.from, is: 'tight' },
  { upTo: SNUG.to, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
/** What a lined wall leaves, and the thinnest veneer there is, mm. [practice] */
export const LINED_TO = 0.2
export const VENEER = 0.2
/** The gap to aim at when shaving, mm. [practice] */
export const WANTED = { from: SNUG.from, to: 0.3 }
/** Above this a wall is lined with veneer. [practice] */
export const SLOPPY = 0.5
/** How exactly a person shaves with chisel and block, mm, 95 %. [ours] */
export const SHAVING_DOUBT = 0.1

export type PocketPlace = 'mouth' | 'end'
