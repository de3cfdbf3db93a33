import type { Build } from '../../document/build'
import { lugParts, lugsOf, type Harness } from '../model/harness'
import { lugName } from '../model/lugNames'
import type { WireRow } from './wireList'

/** A wire that was soldered for another wiring than the chosen one. */
export interface Leftover {
  key: string
  from: string
  to: string
}

/** Wires that are soldered, and that this wiring has not: left on, they join what it keeps apart. */
export function leftovers(build: Build, harness: Harness, wires: readonly WireRow[]): Leftover[] {
  const wanted = new Set(wires.map((w) => w.key))
  const lugs = new Set(harness.components.flatMap(lugsOf))
  return Object.keys(build.circuit.soldered ?? {})
    .filter((key) => !wanted.has(key))
    .map((key) => {
      const [from, to] = key.split(' ').map((lug) => (lugs.has(lug) ? lugName(harness, lug) : plain(lug)))
      return { key, from: from!, to: to! }
    })
}

const CALLED: Readonly<Record<string, string>> = {
  cap: 'tone capacitor',
  preset: 'second circuit’s switch',
  bleed: 'treble bleed',
  switch: 'selector',
}

/** A lug of something that is not in this circuit. */
function plain(lug: string): string {
  const { component, own } = lugParts(lug)
  const one = component.replace(/-2$/, '')
  return `${one === component ? '' : 'second '}${CALLED[one] ?? one.replaceAll('-', ' ')}, lug ${own}`
}
