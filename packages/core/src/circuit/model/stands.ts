import type { Harness } from './harness'
import { givenBy, pickupsOf, soundOf, soundsOtherwise, type Sound } from './heard'
import { switchesOf } from './switchStates'

type Switches = Record<string, number>
/** One way the switches stand that is worth listening to. */
export interface Stand {
  id: string
  switches: Switches
}

/** What each pickup gives with the switches and one knob so. */
export const heardWith = (harness: Harness, switches: Switches, knobs: Record<string, number> = {}) =>
  pickupsOf(harness).map((p) => givenBy(harness, { switches, knobs }, p))
/** How a strum sounds there where all is well, knobs at 10. */
export const soundAt = (harness: Harness, { switches }: Pick<Stand, 'switches'>): Sound => soundOf(heardWith(harness, switches))
/** Less than this is not told apart, dB. [ours] */
export const APART = 2

/**
 * Ways the switches stand that are worth listening to: each position of the selector, and each other switch thrown once, where that is
 * heard.
 */
export function standsOf(harness: Harness): Stand[] {
  const switches = switchesOf(harness)
  const [main, ...rest] = [...switches.filter((s) => s.id === 'switch'), ...switches.filter((s) => s.id !== 'switch')]
  if (!main) return [{ id: '', switches: {} }]
  const resting = Object.fromEntries(rest.map((s) => [s.id, 1]))
  const positions = main.table.positions.map((_, i) => i + 1)
  const at = (position: number, thrown: Switches = {}) => ({ ...resting, [main.id]: position, ...thrown })
  const thrownAt = (thrown: Switches) =>
    positions.find((p) => soundsOtherwise(heardWith(harness, at(p)), heardWith(harness, at(p, thrown)), APART)) ?? 1
  return [
    ...positions.map((p) => ({ id: String(p), switches: at(p) })),
    ...rest.flatMap((s) =>
      s.table.positions.slice(1).map((_, i, all) => {
        const thrown = { [s.id]: i + 2 }
        const p = thrownAt(thrown)
        return { id: all.length > 1 ? `${p}, ${s.label} at ${i + 2}` : `${p}, ${s.label} thrown`, switches: at(p, thrown) }
      }),
    ),
  ]
}
