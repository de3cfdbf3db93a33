import { told, type Size } from '../quantity/size'
import { isAtOdds } from './atOdds'
import { isNaught, type TraitSpec } from './kind'
import { KINDS } from './kinds/index'
import type { Part } from './part'

/** Its sizes as entered, but for those it has none of, in the order such parts are asked for them. */
export const ownSizes = ({ kind, traits, sizes }: Pick<Part, 'kind' | 'traits' | 'sizes'>): [string, Size][] =>
  Object.keys(KINDS[kind].sizes).flatMap((size): [string, Size][] =>
    sizes[size] && !isNaught(KINDS[kind], traits, size) ? [[size, sizes[size]]] : [],
  )

/** Sizes of a part that nobody knows: only assumed, at odds with another, or not said though every such part has one. What is optional and left out is not there. */
export const unknownSizes = (part: Part): string[] =>
  Object.entries(KINDS[part.kind].sizes).flatMap(([size, spec]) => {
    const entered = part.sizes[size]
    return (told(entered) && !isAtOdds(part, size)) || (!entered && spec.optional) || isNaught(KINDS[part.kind], part.traits, size)
      ? []
      : [size]
  })

/** Traits of a part that nobody has told; what is taken for granted until then is no gap. */
export const untoldTraits = (part: Part): string[] =>
  Object.entries<TraitSpec>(KINDS[part.kind].traits).flatMap(([trait, spec]) =>
    part.traits[trait] === undefined && !spec.unasked ? [trait] : [],
  )
