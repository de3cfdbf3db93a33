import type { Build } from '../document/build'
import { isCarrierUntold } from '../instrument/panel'
import { waiting } from './card'
import type { DrawnCard } from './holeCard'
import { CONTROL_HOLES } from './overOpen'

/** Holes of the controls go into the guard or into the wood under it: until someone says which, none is told. */
export function carrierUntold(build: Build, card: DrawnCard): DrawnCard {
  if (!CONTROL_HOLES.has(card.id) || !isCarrierUntold(build)) return card
  const { id, title, slot, goesIn, located, first, back } = card
  return waiting(build, { id, title, slot, side: 'front', goesIn, located, first, back }, [], [{ slot: 'body', trait: 'access' }])
}
