import type { DrawnCard } from './holeCard'

/** How a hole is called on another one's card. */
export const called = (card: DrawnCard): string => `the ${card.title.toLowerCase()}`

/** What is said of two that are both still to be made. */
export const MOVES_ONE = 'Measure both places again; if it is so, one of them has to move.'
