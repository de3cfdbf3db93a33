import type { Build } from '../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../document/read'
import type { Size } from '../quantity/size'

/**
 * How high the front lies where the strings are carried. Heights at a bridge or a tailpiece are counted from the wood they stand on, the
 * neck's from the front at the pocket's mouth: on an arched front the two are not the same.
 */
export const RISE = { bridge: sizeRef('body', 'arch.bridge'), tail: sizeRef('body', 'arch.tail') } as const

/** A flat front rises nowhere. */
const NONE: Size = { value: 0, doubt: 0, known: 'calipers' }

/** The front at that place over the front at the pocket's mouth, mm, with its doubt; nothing while nobody has said how the front is made, or how far it rises. */
export function riseAt(build: Build, place: keyof typeof RISE): Size | undefined {
  const top = traitAt(build, 'body', 'top')
  return top === 'flat' ? NONE : top === undefined ? undefined : sizeAt(build, RISE[place])
}

/** The sizes it hangs on: none on a flat front. */
export const risesOf = (build: Build, place: keyof typeof RISE): readonly SizeRef[] =>
  traitAt(build, 'body', 'top') === 'arched' ? [RISE[place]] : []
