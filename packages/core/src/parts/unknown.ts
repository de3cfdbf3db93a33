import { told } from '../quantity/size'
import { KINDS } from './kinds/index'
import type { Part } from './part'

/** Sizes of a part that nobody knows: only assumed, or not said though every such part has one. What is optional and left out is not there. */
export const unknownSizes = (part: Part): string[] =>
  Object.entries(KINDS[part.kind].sizes).flatMap(([size, spec]) => {
    const entered = part.sizes[size]
    return told(entered) || (!entered && spec.optional) ? [] : [size]
  })

/** Traits of a part that nobody has told. */
export const untoldTraits = (part: Part): string[] =>
  Object.keys(KINDS[part.kind].traits).filter((trait) => part.traits[trait] === undefined)
