import type { Build } from '../../document/build'
import { POTS, potSlot, SWITCHES_OF } from '../../instrument/controlPlace'
import { slotSpec, type Slot } from '../../parts/slots'
import { listed } from '../../quantity/words'
import type { Harness } from '../model/harness'

const ELECTRICS: readonly Slot[] = [...POTS.map(potSlot), ...SWITCHES_OF, 'capacitor', 'capacitor-2']

/** Controls and capacitors among the parts that a wiring joins to nothing: bought, drilled for, and silent. */
export const leftOut = (build: Build, { components }: Harness): Slot[] =>
  ELECTRICS.filter((slot) => build.parts[slot] && !components.some((c) => 'slot' in c && c.slot === slot))

export function leftOutSays(slots: readonly Slot[]): string[] {
  if (!slots.length) return []
  const names = listed(slots.map((slot) => slotSpec(slot).label.toLowerCase()))
  return [
    `Among the parts and in no wire of this wiring: ${names}. Choose a wiring or an option that takes ${slots.length > 1 ? 'them' : 'it'}, or leave ${slots.length > 1 ? 'them' : 'it'} out.`,
  ]
}
