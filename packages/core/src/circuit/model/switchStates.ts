import type { Component, Harness, PotPart, SwitchPart } from './harness'
import { positionAt, type Setting } from './setting'

const isPot = (c: Component): c is PotPart => c.is === 'pot'
const isSwitch = (c: Component): c is SwitchPart => c.is === 'switch'
export const potsOf = (harness: Harness): PotPart[] => harness.components.filter(isPot)
export const switchesOf = (harness: Harness): SwitchPart[] => harness.components.filter(isSwitch)

/** One way all the switches of a harness can stand. */
export interface SwitchState {
  /** "3", or "3-1" with a second switch: short enough for a list. */
  id: string
  switches: Readonly<Record<string, number>>
}

/** Every way the switches can stand, the first switch moving slowest; one way, without a name, when there is none. */
export function switchStates(harness: Harness): SwitchState[] {
  return switchesOf(harness).reduce<SwitchState[]>(
    (states, s) =>
      states.flatMap(({ id, switches }) =>
        s.table.positions.map((_, i) => ({
          id: id ? `${id}-${i + 1}` : String(i + 1),
          switches: { ...switches, [s.id]: i + 1 },
        })),
      ),
    [{ id: '', switches: {} }],
  )
}

/** Do two settings of the same harness hold every switch alike? */
export const sameSwitches = (harness: Harness, a: Setting, b: Setting): boolean =>
  switchesOf(harness).every((s) => positionAt(a, s.id) === positionAt(b, s.id))
