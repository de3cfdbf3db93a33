import { assemble } from './assemble'
import { elimination } from './elimination'
import type { Netlist } from './netlist'

/**
 * Small-signal AC solver: nodal analysis of Y(w) V = I(w) with
 *
 *   Y(w) = G + j (w C - Gamma / w)
 *
 * where G, C and Gamma (inverse inductance, coupling included) are real and fixed. Sources are folded into the nodes
 * (see nodes.ts), so their share is a right-hand side of the same three parts. The order of elimination is chosen once
 * (fewest neighbours first, outputs last) and written down as a list of operations that every frequency replays.
 */
export interface Solver {
  /** Unknown voltages left after merging. */
  unknowns: number
  /** Nodes that nothing connects to ground; each such group got a leak of 1e-12 S. */
  floating: string[]
  /** Complex output voltage at a frequency in Hz, written to `out` as [re, im]. */
  solve(hertz: number, out: { re: number; im: number }): void
}

export function compile(netlist: Netlist): Solver {
  const { stamps, size, order, places, floating } = assemble(netlist.elements, netlist.output)
  const { forward, back, at } = elimination(stamps, size, order)
  const outputs = places.map(at)
  const first = Math.min(size, ...outputs.flatMap((o) => (o.p < 0 ? [] : [o.p])))
  const [tip, sleeve] = outputs as [(typeof outputs)[0], (typeof outputs)[0]]
  return {
    unknowns: size,
    floating,
    solve: (hertz, out) => {
      forward(hertz, size)
      const { vRe, vIm } = back(first)
      out.re = (tip.p < 0 ? 0 : vRe[tip.p]!) + tip.offset - (sleeve.p < 0 ? 0 : vRe[sleeve.p]!) - sleeve.offset
      out.im = (tip.p < 0 ? 0 : vIm[tip.p]!) - (sleeve.p < 0 ? 0 : vIm[sleeve.p]!)
    },
  }
}
