import { KINDS } from './kinds/index'
import type { Part } from './part'

/** Keys of the sizes a part should have and lacks. */
export const missingSizes = (part: Part): string[] =>
  Object.entries(KINDS[part.kind].sizes)
    .filter(([key, spec]) => spec.required && !part.sizes[key])
    .map(([key]) => key)
