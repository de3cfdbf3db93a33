import { KINDS } from './kinds'
import type { Part } from './part'
import { SLOTS, type Slot } from './slots'

/** Keys of the sizes a part should have and lacks. */
export const missingSizes = (part: Part): string[] =>
  Object.entries(KINDS[part.kind].sizes)
    .filter(([key, spec]) => spec.required && !part.sizes[key])
    .map(([key]) => key)

/** Slots that still want a person: empty ones that are needed, and parts with required sizes missing. */
export function openSlots(parts: Partial<Record<Slot, Part>>): Slot[] {
  return SLOTS.filter((s) => {
    const part = parts[s.slot]
    return part ? missingSizes(part).length > 0 : s.needed
  }).map((s) => s.slot)
}

/** Money over all chosen parts: paid counts what is in hand or ordered. */
export function money(parts: Partial<Record<Slot, Part>>): { planned: number; paid: number; unpriced: number } {
  let planned = 0
  let paid = 0
  let unpriced = 0
  for (const part of Object.values(parts)) {
    if (!part) continue
    if (part.price === undefined) unpriced++
    else {
      planned += part.price
      if (part.state !== 'planned') paid += part.price
    }
  }
  return { planned, paid, unpriced }
}
