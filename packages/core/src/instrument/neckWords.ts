import type { Build } from '../document/build'
import { isThrough } from '../document/read'

/** What places along the body are measured from, as it is called on this instrument. */
export const mouthOf = (build: Build): string => (isThrough(build) ? 'the board’s end' : 'the pocket’s mouth')

/** What a guard is pushed against. */
export const stopOf = (build: Build): string => (isThrough(build) ? 'the board’s end' : 'the heel')

/** What is done with the neck before anything is placed by it. */
export const neckHome = (build: Build): string[] => (isThrough(build) ? [] : ['the neck home in its pocket'])

/**
 * The neck as what is exchanged. A joint of other parts looks into no body: where no screws say that the two are apart, it speaks of both.
 */
export const neckToExchange = (build: Build): string =>
  build.parts['neck-screws'] ? 'neck' : 'neck (with its body, where they are of one piece)'
