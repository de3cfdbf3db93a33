import type { Build } from '../../document/build'
import { valueAt } from '../../document/read'
import type { Slot } from '../../parts/slots'
import { printFarads, printOhms } from '../../quantity/electrical'
import { harnessOf, offersOf, optionsOf } from '../schemes/harnessOf'

/** The same instrument with one thing otherwise, to be laid beside it. */
export interface WhatIf {
  id: string
  label: string
  build: Build
}

/** Values people have in the drawer. [practice] */
const CAPACITORS = [10e-9, 15e-9, 22e-9, 33e-9, 47e-9]
const POTS = [250e3, 500e3, 1e6]
const CABLES = [1, 3, 6, 10]

function withSize(build: Build, slot: Slot, size: string, value: number): Build {
  const part = build.parts[slot]!
  const sizes = { ...part.sizes, [size]: { value, doubt: 0, known: 'assumed' as const } }
  return { ...build, parts: { ...build.parts, [slot]: { ...part, sizes } } } as Build
}

const apart = (a: number, b: number) => Math.abs(a / b - 1) > 0.05

/** Every single thing that could be otherwise: capacitor, pots, cable, each choice the wiring leaves open, another wiring. */
export function whatIfs(build: Build): WhatIf[] {
  const made = harnessOf(build)
  if (!made.ok) return []
  const asItIs = JSON.stringify(made.harness)
  // Set inside or on a knob sounds the same: nothing is laid beside itself.
  const isOtherwise = ({ build: then }: WhatIf): boolean => {
    const other = harnessOf(then)
    return other.ok && JSON.stringify(other.harness) !== asItIs
  }
  const sizes = (slot: Slot, size: string, values: readonly number[], say: (v: number) => string): WhatIf[] => {
    if (!build.parts[slot]) return []
    const now = valueAt(build, { slot, size })
    return values
      .filter((v) => now === undefined || apart(v, now))
      .map((v) => ({ id: `${slot} ${v}`, label: say(v), build: withSize(build, slot, size, v) }))
      .filter(isOtherwise)
  }
  return [
    ...sizes('capacitor', 'capacitance', CAPACITORS, (v) => `tone capacitor ${printFarads(v)}`),
    ...sizes('pot-volume', 'resistance', POTS, (v) => `volume ${printOhms(v)}`),
    ...sizes('pot-tone', 'resistance', POTS, (v) => `tone ${printOhms(v)}`),
    ...CABLES.filter((m) => apart(m, build.circuit.cable)).map((cable) => ({
      id: `cable ${cable}`,
      label: `cable of ${cable} m`,
      build: { ...build, circuit: { ...build.circuit, cable } },
    })),
    ...optionsOf(build, made.recipe).flatMap(({ spec, chosen, lacks }) =>
      spec.choices
        .filter(([id]) => id !== chosen && lacks[id] === undefined)
        .map(([id, words]) => ({
          id: `${spec.id} ${id}`,
          label: `${spec.label.toLowerCase()}: ${words}`,
          build: { ...build, circuit: { ...build.circuit, options: { ...build.circuit.options, [spec.id]: id } } },
        }))
        .filter(isOtherwise),
    ),
    ...offersOf(build)
      .filter((o) => !o.lacks && o.recipe !== made.recipe)
      .map(({ recipe }) => ({
        id: `scheme ${recipe.id}`,
        label: `wired as: ${recipe.label}`,
        build: { ...build, circuit: { ...build.circuit, scheme: recipe.id } },
      })),
  ]
}
