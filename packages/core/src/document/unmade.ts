import { HOLES, holeOf, saidUnmade } from '../parts/holes'
import { told } from '../quantity/size'
import type { Build } from './build'
import type { SizeRef } from './read'

/**
 * A size of a hole that somebody has said is not there: nobody can measure it. A reading of it, or its card ticked off, says that it has
 * been made since.
 */
export function isUnmade(build: Build, { slot, size }: SizeRef): boolean {
  const part = build.parts[slot]
  if (!part || !saidUnmade(part, size) || told(part.sizes[size])) return false
  return !holeOf(part.kind, size)!.cards.some((id) => build.steps[`drill-${id}`])
}

/** The sizes a hole has once the card is ticked off. */
export const sizesMadeBy = (card: string): SizeRef[] =>
  HOLES.filter((hole) => hole.cards.includes(card)).flatMap((hole) => hole.sizes.map((size) => ({ slot: hole.kind, size })))
