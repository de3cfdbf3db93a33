import type { Build } from '../document/build'
import { allInPlace } from '../document/inPlace'
import { potSlot, potsIn } from '../instrument/controlPlace'
import type { Slot } from '../parts/slots'
import type { DrawnCard, Side } from './holeCard'
import { saidOf, thereOf } from './saidThere'

/** What a hole is in. */
export const IN: Readonly<Record<Side, Slot>> = {
  front: 'body',
  back: 'body',
  rim: 'body',
  heel: 'neck',
  'head front': 'neck',
  'head back': 'neck',
  guard: 'guard',
  'control plate': 'control-plate',
}

/** What goes into it beside the part that the card is for. */
const also = (build: Build, card: DrawnCard): readonly Slot[] =>
  card.id === 'pot-holes' ? potsIn(build).map(potSlot) : card.id.startsWith('neck-') ? ['body', 'neck'] : []

/**
 * A hole whose part is in place, in what is in place too, is there and holds it, whatever anybody has read of it: nothing is drilled or cut.
 * Where somebody has said that there is none, it stays to be made.
 */
export function keptInPlace(build: Build, card: DrawnCard): DrawnCard {
  if (card.work === 'keep' || saidOf(build, thereOf(build, card.id)) === 'none') return card
  if (!allInPlace(build, [IN[card.side], card.slot, ...also(build, card)])) return card
  const { cuts: _, lasts: __, ...rest } = card
  return {
    ...rest,
    work: 'keep',
    stands: 'ready',
    says: 'What it is for is in place: nothing is drilled or cut.',
    steps: [],
    guards: [],
    mind: [],
    missing: [],
    untold: [],
  }
}
