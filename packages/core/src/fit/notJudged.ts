import type { Build } from '../document/build'
import { idleFor } from '../instrument/idleParts'
import { SLOTS, type Slot } from '../parts/slots'
import { JOINT_KINDS } from './jointKinds'

const reads = (k: (typeof JOINT_KINDS)[number], slot: Slot) => [...k.needs, ...(k.also ?? [])].includes(slot)

/** Parts that joints would read if something took them, and why nothing does; not those whose own joint says so. */
export function notJudged(build: Build): { slot: Slot; label: string; why: string }[] {
  return SLOTS.flatMap(({ slot, label }) => {
    const why = idleFor(build.parts, slot)
    const kinds = JOINT_KINDS.filter((k) => reads(k, slot))
    return why && kinds.length && !kinds.some((k) => k.evenIdle && k.needs.includes(slot)) ? [{ slot, label, why }] : []
  })
}
