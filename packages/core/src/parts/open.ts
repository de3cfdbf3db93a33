import { KINDS } from './kinds/index'
import type { Part } from './part'
import { SLOTS, type Slot } from './slots'

/** Keys of the sizes a part should have and lacks. */
export const missingSizes = (part: Part): string[] =>
  Object.entries(KINDS[part.kind].sizes)
    .filter(([key, spec]) => spec.required && !part.sizes[key])
    .map(([key]) => key)

/** A neck that is glued in has no screws. */
const screwless = ({ neck }: Partial<Record<Slot, Part>>) => neck?.traits.joint === 'set'

/** Slots that still want a person: empty ones that are needed, and parts with required sizes missing. */
export function openSlots(parts: Partial<Record<Slot, Part>>): Slot[] {
  return SLOTS.filter((s) => {
    const part = parts[s.slot]
    return part ? missingSizes(part).length > 0 : s.needed && !(s.slot === 'neck-screws' && screwless(parts))
  }).map((s) => s.slot)
}
