import { isPartHere } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { putWhere } from './box'
import type { Build, Unpacked } from './build'
import { applyChange, type Change } from './change'
import { setIn } from './changes'

/**
 * A part that came out of its parcel, or did not: what is there is in hand from now on, and what is missing was sent for and is still
 * waited for. What nobody has looked over stays where it was said to be.
 */
export function lookedOver(build: Build, slot: Slot, found: Unpacked | undefined): Change {
  const name = slotSpec(slot).label
  const noted = setIn(build, 'unpacked', slot, found, `${name}: ${found ?? 'not looked over'}`)
  const part = build.parts[slot]
  if (!part || found === undefined) return noted
  const state = found === 'missing' ? 'ordered' : 'in hand'
  if (found === 'missing' ? part.state !== 'in hand' : isPartHere(part)) return noted
  return {
    label: `${noted.label}, ${state === 'ordered' ? 'waited for' : 'in hand'}`,
    // Of the build as it is noted by then: what was missing may have been noted before.
    edits: [...noted.edits, ...putWhere(applyChange(build, noted), slot, state).edits],
  }
}
