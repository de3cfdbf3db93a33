import type { Band } from '../../judge/verdict'

/** Opening minus cover, total, mm. [practice] */
export const OPENING_BANDS: readonly Band[] = [
  { upTo: -2.5, is: 'wont-go' },
  { upTo: 0.05, is: 'tight' },
  { upTo: 1.6, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
/** A hidden route may be as large as it likes. */
export const HIDDEN_BANDS: readonly Band[] = [
  { upTo: -4, is: 'wont-go' },
  { upTo: 0, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
