import type { Build } from '../document/build'
import { isCarrierUntold } from '../instrument/panel'
import { waiting, type Base } from './card'
import type { DrawnCard } from './holeCard'
import { CONTROL_HOLES } from './overOpen'

/** Holes of the controls go into the guard or into the wood under it: until someone says which, none is told. */
export function carrierUntold(build: Build, card: DrawnCard): DrawnCard {
  if (!CONTROL_HOLES.has(card.id) || !isCarrierUntold(build)) return card
  const { id, title, slot, goesIn } = card
  const located = 'what carries them: the guard, or the top where they go in from the back or through a sound hole'
  const base: Base = { id, title, slot, side: 'front', goesIn, located, first: [], back: 'Nothing is drilled before it is told.' }
  return waiting(build, base, [], [{ slot: 'body', trait: 'access' }])
}
