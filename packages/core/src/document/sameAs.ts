import { slotSpec, SLOT_NAMES, type Slot } from '../parts/slots'
import { isMeasured, type Size } from '../quantity/size'
import type { Build } from './build'
import { asJson, edit, type Change } from './change'

/** How much two parts of one bag differ, 95 %, mm. [ours] */
const OF_ONE_BAG = 0.1

/** Measured sizes of a part that another of its kind has not been measured for. */
function lent(build: Build, from: Slot, to: Slot): [string, Size][] {
  const own = build.parts[to]?.sizes ?? {}
  return Object.entries(build.parts[from]?.sizes ?? {}).filter(
    ([size, s]) => isMeasured(s.known) && !isMeasured(own[size]?.known ?? 'assumed'),
  )
}

/** Another part of the same kind in this build whose reading of the size would do for this one, if they are alike. */
export const alike = (build: Build, slot: Slot, size: string): Slot | undefined =>
  SLOT_NAMES.find(
    (other) => other !== slot && slotSpec(other).kind === slotSpec(slot).kind && lent(build, other, slot).some(([key]) => key === size),
  )

/** Takes over what was read of another part that came out of the same bag; how far two of a bag differ is added to its doubt. */
export function sameAs(build: Build, slot: Slot, from: Slot): Change {
  return {
    label: `${slotSpec(slot).label}: the same as the ${slotSpec(from).label.toLowerCase()}`,
    edits: lent(build, from, slot).map(([size, s]) =>
      edit(build, ['parts', slot, 'sizes', size], asJson({ ...s, doubt: Math.hypot(s.doubt, OF_ONE_BAG) })),
    ),
  }
}
