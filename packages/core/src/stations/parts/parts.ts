import type { Build } from '../../document/build'
import { chosenParts } from '../../document/read'
import { partDrawing } from '../../portrait/partDrawing'
import { openSlots } from '../../instrument/wantedParts'
import type { Order } from '../../parts/order'
import { slotSpec, type Slot } from '../../parts/slots'
import type { Step } from '../../plan/step'
import type { Contribution } from '../contribution'
import { apartSteps } from './apart'
import { arrivalSteps, shopSteps } from './arrivals'
import { partPlace } from './partPlace'
import { measuringSheet, orderSheet, unpackingSheet } from './sheets'

function stepsOf(build: Build, today: string): Step[] {
  const arrivals = arrivalSteps(build, today)
  return [...apartSteps(build, arrivals), ...arrivals, ...shopSteps(build, today)]
}

/** Parts: the slots that still want a part or a size it cannot do without. */
export const parts: Contribution<Slot[]> = {
  result: (build, _today, _earlier, remember) => remember('parts', build, (b) => openSlots(b.parts)),
  steps: (build, _open, _earlier, today) => stepsOf(build, today),
  things: (build) =>
    chosenParts(build).map(([slot, part]) => ({
      id: slot,
      title: `${slotSpec(slot).label}: ${part.name}`,
      at: partPlace(build, slot),
      draw: () => partDrawing(build, slot),
    })),
  sheets: (build) => [
    unpackingSheet(build),
    ...(Object.entries(build.orders ?? {}) as [Slot, Order][]).flatMap(([slot, order]) =>
      build.parts[slot] ? [orderSheet(build, slot, order)] : [],
    ),
    measuringSheet('neck'),
    measuringSheet('body'),
  ],
  count: (_, open) => open.length,
}
