import type { Build } from '../document/build'
import { isThrough } from '../document/read'

/** What places along the body are measured from, as it is called on this instrument. */
export const mouthOf = (build: Build): string => (isThrough(build) ? 'the board’s end' : 'the pocket’s mouth')

/** What a guard is pushed against. */
export const stopOf = (build: Build): string => (isThrough(build) ? 'the board’s end' : 'the heel')

/** What is done with the neck before anything is placed by it. */
export const neckHome = (build: Build): string[] => (isThrough(build) ? [] : ['the neck home in its pocket'])
