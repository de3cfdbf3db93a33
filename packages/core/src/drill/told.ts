import type { Build } from '../document/build'
import { answersSizes, believedAt, sizeAt, traitAt, type SizeRef } from '../document/read'
import { isUnmade } from '../document/unmade'
import { missingSays, oddsSays } from '../judge/doubtWords'
import type { TraitRef } from '../judge/completed'
import { told, type Size } from '../quantity/size'

/** Is a hole there already? A size somebody read of it says so too. Nothing where nobody has said. */
export function isThere(build: Build, trait: TraitRef, ...read: readonly SizeRef[]): boolean | undefined {
  if (read.some((ref) => sizeAt(build, ref))) return true
  const told = traitAt(build, trait.slot, trait.trait)
  return told === undefined ? undefined : told === 'drilled'
}

/** What is said of sizes nobody has read: those to measure, and those of holes that are made first. */
export function unreadSays(build: Build, refs: readonly SizeRef[]): string {
  const unmade = refs.filter((ref) => isUnmade(build, ref))
  const open = refs.filter((ref) => !unmade.includes(ref))
  return missingSays(open, [], unmade) + oddsSays(build, open)
}

/** Sizes added and taken away, their doubts with them; a part that is not there adds nothing. */
export function summed(terms: readonly (readonly [factor: number, size: Size])[]): Size {
  return {
    value: terms.reduce((sum, [f, s]) => sum + f * s.value, 0),
    doubt: Math.hypot(...terms.map(([f, s]) => f * s.doubt)),
    known: 'calipers',
  }
}

/**
 * The build without its guesses: a hole cannot be taken back, so that a size nobody has read or been told is missing here, and its card says
 * so. Read through, so that whoever watches the build sees what is really read.
 */
export const withoutGuesses = (build: Build): Build =>
  answersSizes(new Proxy(build, {}), (slot, size) => told(believedAt(build, { slot, size })))
