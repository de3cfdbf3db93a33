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

/** Knobs that can be pulled, and whose switch no wire reaches. @param canBeChosen the wiring leaves open what one does */
export function idlePullsSay({ components, wires }: Harness, canBeChosen: boolean): string[] {
  const joined = new Set(wires.flatMap((w) => [w.from, w.to]).map((lug) => lug.split('.')[0]!))
  const idle = components.flatMap((c) => (c.is === 'switch' && c.id.endsWith('-pull') && !joined.has(c.id) ? (c.slot ?? []) : []))
  if (!idle.length) return []
  const pots = listed(idle.map((slot) => slotSpec(slot).label.toLowerCase()))
  const choose = canBeChosen ? ' Choose under Wiring what a pulled knob does; there is use for one.' : ''
  return [`Pulled, the ${pots} ${idle.length > 1 ? 'do' : 'does'} nothing in this wiring.${choose}`]
}
