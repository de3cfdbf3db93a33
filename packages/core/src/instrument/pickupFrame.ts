import type { Build } from '../document/build'
import { sizeRef, traitAt, type SizeRef } from '../document/read'
import { goesRound } from './guardRound'
import { takenPart } from './idleParts'
import type { PickupPlace } from './guardPlace'

export interface Frame {
  slot: 'guard' | 'body' | 'ring-neck' | 'ring-bridge'
  name: string
  length: SizeRef
  width: SizeRef
  radius: SizeRef
}

export function frameOf(build: Build, place: PickupPlace): Frame {
  const ring = place === 'middle' ? undefined : (`ring-${place}` as const)
  if (ring && takenPart(build, ring))
    return { slot: ring, name: 'ring', length: sizeRef(ring, 'length'), width: sizeRef(ring, 'width'), radius: sizeRef(ring, 'radius') }
  if (goesRound(build))
    return {
      slot: 'guard',
      name: 'guard opening',
      length: sizeRef('guard', `opening.${place}.length`),
      width: sizeRef('guard', `opening.${place}.width`),
      radius: sizeRef('guard', `opening.${place}.radius`),
    }
  return {
    slot: 'body',
    name: 'route',
    length: sizeRef('body', `route.${place}.length`),
    width: sizeRef('body', `route.${place}.width`),
    radius: sizeRef('body', `route.${place}.radius`),
  }
}

/**
 * What a pickup hangs from, as terms of its height over the body, mm: a ring's two sides by half each, the guard, or nothing where it hangs
 * in the wood, be there a guard round it or not. Its cover is measured from there.
 */
export function mountHeight(build: Build, place: PickupPlace): (readonly [share: number, SizeRef])[] {
  const { slot } = frameOf(build, place)
  if (slot === 'body' || traitAt(build, `pickup-${place}`, 'mount') === 'body') return []
  if (slot === 'guard') return [[1, sizeRef('guard', 'thickness')]]
  return RING_SIDES.map((size) => [0.5, sizeRef(slot, size)] as const)
}
/** A ring's two heights, the neck side's first. */
export const RING_SIDES = ['height.neckSide', 'height.bridgeSide'] as const
