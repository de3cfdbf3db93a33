import type { Build } from '../document/build'
import { sizeAt } from '../document/read'
import { panelOf } from '../instrument/panel'
import type { TraitRef } from '../judge/completed'
import { HOLES } from '../parts/holes'
import { slotSpec, type Slot } from '../parts/slots'
import { withoutGuesses } from './told'

const OF_WOOD: Readonly<Record<string, TraitRef>> = {
  'route-pocket': { slot: 'body', trait: 'routed.pocket' },
  'route-neck': { slot: 'body', trait: 'routed' },
  'route-middle': { slot: 'body', trait: 'routed' },
  'route-bridge': { slot: 'body', trait: 'routed' },
  'route-control': { slot: 'body', trait: 'routed.control' },
  'route-vibrato': { slot: 'body', trait: 'routed.vibrato' },
  'binding-ledge': { slot: 'body', trait: 'routed.binding' },
  'neck-clearance': { slot: 'body', trait: 'bored.neck' },
  'neck-screws': { slot: 'neck', trait: 'pilots' },
  'tilt-hole': { slot: 'body', trait: 'bored.tilt' },
  'stud-bores': { slot: 'body', trait: 'bored.studs' },
  'tail-bores': { slot: 'body', trait: 'bored.tail' },
  'bridge-screws': { slot: 'body', trait: 'bored.bridge' },
  'string-holes': { slot: 'body', trait: 'bored.strings' },
  'ferrule-bores': { slot: 'body', trait: 'bored.ferrules' },
  'tuner-bores': { slot: 'neck', trait: 'bored.tuners' },
  'jack-bore': { slot: 'body', trait: 'bored.jack' },
  'jack-passage': { slot: 'body', trait: 'bored.passage' },
  'ground-wire': { slot: 'body', trait: 'bored.ground' },
  'pickup-neck': { slot: 'body', trait: 'bored.pickups' },
  'pickup-middle': { slot: 'body', trait: 'bored.pickups' },
  'pickup-bridge': { slot: 'body', trait: 'bored.pickups' },
  'ring-neck': { slot: 'body', trait: 'bored.rings' },
  'ring-bridge': { slot: 'body', trait: 'bored.rings' },
  'tuner-screws': { slot: 'neck', trait: 'bored.tunerScrews' },
  'nut-screws': { slot: 'neck', trait: 'bored.nut' },
  'claw-screws': { slot: 'body', trait: 'bored.claw' },
  'jack-plate': { slot: 'body', trait: 'bored.jackPlate' },
  'guard-screws': { slot: 'body', trait: 'bored.guard' },
  'plate-screws': { slot: 'body', trait: 'bored.plate' },
  'strap-buttons': { slot: 'body', trait: 'bored.buttons' },
  'string-tree': { slot: 'neck', trait: 'bored.tree' },
}
/** In whatever carries the controls. */
const OF_PANEL: Readonly<Record<string, string>> = {
  'pot-holes': 'bored.controls',
  'toggle-hole': 'bored.toggle',
  'toggle-hole-2': 'bored.toggle-2',
  'switch-slot': 'bored.slot',
  'switch-slot-2': 'bored.slot-2',
  'jack-hole': 'bored.jack',
}

/** What says of the hole of a card whether it is there. */
export const thereOf = (build: Build, card: string): TraitRef | undefined =>
  OF_WOOD[card] ?? (OF_PANEL[card] ? { slot: panelOf(build).slot, trait: OF_PANEL[card]! } : undefined)

export const saidOf = (build: Build, ref: TraitRef | undefined): string | undefined => ref && build.parts[ref.slot]?.traits[ref.trait]

/** What somebody said of a hole, by looking: that it is there, or that it is not. */
export interface SaidThere {
  ref: TraitRef
  said: 'drilled' | 'none'
}

/**
 * What was said of the hole of a card, so that it can be said otherwise. Nothing where nobody said it, and where its sizes were read: those are
 * cleared if it is not there.
 */
export function saidThere(build: Build, card: string): SaidThere | undefined {
  const ref = thereOf(build, card)
  const said = saidOf(build, ref)
  return ref && (said === 'drilled' || said === 'none') && !isRead(build, ref, card) ? { ref, said } : undefined
}

function isRead(build: Build, { slot, trait }: TraitRef, card: string): boolean {
  const told = withoutGuesses(build)
  const sizes = HOLES.filter((h) => h.kind === slotSpec(slot).kind && h.traits.includes(trait) && h.cards.includes(card)).flatMap(
    (h) => h.sizes,
  )
  return sizes.some((size) => sizeAt(told, { slot: slot as Slot, size }))
}
