import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import { refusedAnyhow } from './card'
import type { DrawnCard, Guard } from './holeCard'

/** Cards of the holes that controls sit in: in a plate or a guard, or in the wood over the control route where there is neither. */
export const CONTROL_HOLES: ReadonlySet<string> = new Set([
  'pot-holes',
  'toggle-hole',
  'toggle-hole-2',
  'switch-slot',
  'switch-slot-2',
  'jack-hole',
])

const CARRIER: Guard = {
  id: 'carrier',
  label: 'Something to sit in',
  verdict: 'wont-go',
  says: 'The control route opens to the front: there is no wood over it. Put the control plate or the guard that carries them in under Parts, or say of the body that they go in from the back.',
}

/** Over a route that opens to the front there is no top to drill: what carries the controls is a part that is not there. */
export function overOpen(build: Build, card: DrawnCard): DrawnCard {
  if (!CONTROL_HOLES.has(card.id) || card.side !== 'front' || traitAt(build, 'body', 'access') !== 'front') return card
  // Holes that are there say otherwise than the body does; and whether they are is asked first.
  return refusedAnyhow(card, CARRIER)
}
