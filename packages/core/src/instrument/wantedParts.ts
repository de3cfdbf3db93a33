import { missingSizes } from '../parts/missing'
import { lacks } from '../parts/starting/fill'
import type { Part } from '../parts/part'
import { SLOTS, slotSpec, type Slot } from '../parts/slots'
import { POTS, potSlot, SWITCHES_OF } from './controlPlace'
import { idleFor } from './idleParts'
import { isVibrato } from './vibrato'

type Parts = Partial<Record<Slot, Part>>

const mount = (parts: Parts) => parts.bridge?.traits.mount
const pickups = (parts: Parts) => (['neck', 'middle', 'bridge'] as const).filter((p) => parts[`pickup-${p}`])
const hung = (parts: Parts, from: string) => pickups(parts).filter((p) => parts[`pickup-${p}`]!.traits.mount === from)
const onRing = (place: 'neck' | 'bridge') => (parts: Parts) =>
  hung(parts, 'ring').includes(place) ? `the ${place} pickup hangs from it` : undefined

const CONTROLS: readonly Slot[] = [...POTS.map(potSlot), ...SWITCHES_OF]

/** Over a hollow that opens to the front there is no wood to mount controls in. */
function uncarried(parts: Parts): string | undefined {
  if (parts.jack?.traits.held === 'panel') return 'the jack sits beside the controls, in a plate or a guard'
  return parts.body?.traits.access === 'front' && CONTROLS.some((slot) => parts[slot])
    ? 'the controls go in from the front, and neither plate nor guard carries them'
    : undefined
}

/** What other parts cannot do without, and why. [practice] */
const BY_OTHERS: Partial<Record<Slot, (parts: Parts) => string | undefined>> = {
  tailpiece: (parts) => (mount(parts) === 'post' ? 'strings over a bridge on posts go on to it' : undefined),
  springs: (parts) => (isVibrato(mount(parts)) ? 'the bridge moves against them' : undefined),
  ferrules: (parts) => (mount(parts) === 'string-through' ? 'the balls of strings through the body pull into bare wood' : undefined),
  guard: (parts) => (hung(parts, 'guard').length ? 'pickups hang from it' : undefined),
  'control-plate': (parts) => (parts.guard || hung(parts, 'guard').length ? undefined : uncarried(parts)),
  'ring-neck': onRing('neck'),
  'ring-bridge': onRing('bridge'),
  battery: (parts) =>
    pickups(parts).some((p) => parts[`pickup-${p}`]!.traits.circuit === 'active') ? 'active pickups need its current' : undefined,
}

/** Why the build cannot do without a part in this slot; nothing where it may stay empty. */
export function wantedFor(parts: Parts, slot: Slot): string | undefined {
  // A neck that is glued in has no screws, nor has one that is one piece with the body.
  if (slot === 'neck-screws' && (parts.neck?.traits.joint === 'set' || parts.body?.traits.neckIs === 'through')) return undefined
  return slotSpec(slot).needed ? 'the build cannot do without it' : BY_OTHERS[slot]?.(parts)
}

/** Of one piece with its neck a body has no pocket to say how high the board stands. */
const overFront = ({ body }: Parts, slot: Slot): string[] =>
  slot === 'body' && body!.traits.neckIs === 'through' && !body!.sizes['board.over'] ? ['board.over'] : []

/** Sizes a part should have and lacks; one that nothing takes has no need of any. */
export const wantedSizes = (parts: Parts, slot: Slot): string[] => {
  const part = parts[slot]
  return part && !idleFor(parts, slot) ? [...missingSizes(part).filter((size) => !lacks(parts, slot, size)), ...overFront(parts, slot)] : []
}

/** Slots that still want a person: empty ones the build cannot do without, and parts with required sizes missing. */
export const openSlots = (parts: Parts): Slot[] =>
  SLOTS.map(({ slot }) => slot).filter((slot) => {
    const part = parts[slot]
    return part ? wantedSizes(parts, slot).length > 0 : wantedFor(parts, slot) !== undefined
  })
