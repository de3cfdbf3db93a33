import { KINDS } from './kinds/index'
import { saidUnmade } from './holes'
import { isNaught } from './kind'
import type { Part } from './part'

/** Keys of the sizes a part should have and lacks; a hole that is not there has none. */
export const missingSizes = (part: Part): string[] =>
  Object.entries(KINDS[part.kind].sizes)
    .filter(([key, spec]) => spec.required && !part.sizes[key] && !saidUnmade(part, key) && !isNaught(KINDS[part.kind], part.traits, key))
    .map(([key]) => key)
