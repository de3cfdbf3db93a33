import type { Element } from './netlist'
import { mergeNodes } from './nodes'

/**
 * What an ohmmeter reads between two nodes: capacitors open, coils their own wire, sources silent.
 * @returns ohms, or Infinity where nothing connects the probes
 */
export const ohmsBetween = (elements: readonly Element[], a: string, b: string): number => reading(elements, a, b).ohm

/** A reading, and how much of it each resistor makes up. */
export interface Reading {
  ohm: number
  /** By ref of the resistor, ohm; together they are the reading. A resistor off by a small share moves the reading by that share of it. */
  shares: Map<string, number>
}

/**
 * The same with each resistor's say in it: with one ampere between the probes, the power in a resistor is the reading's slope on its
 * logarithm. [published: Tellegen's theorem, from memory]
 */
export function reading(elements: readonly Element[], a: string, b: string): Reading {
  // At DC an inductance is a wire; the winding's resistance is an element of its own.
  const dc = elements.map((e): Element => (e.type === 'L' ? { type: 'W', ref: e.ref, nodes: e.nodes } : e))
  const nodes = mergeNodes(dc, false)
  const from = nodes.find(a).root
  const to = nodes.find(b).root
  const shares = new Map<string, number>()
  if (from === to) return { ohm: 0, shares }
  const edges = dc.flatMap((e) =>
    e.type === 'R' ? [{ ref: e.ref, p: nodes.find(e.nodes[0]).root, q: nodes.find(e.nodes[1]).root, g: 1 / e.value }] : [],
  )
  const reach = new Map<number, number>([[to, -1]])
  for (let grown = true; grown; ) {
    grown = false
    for (const { p, q } of edges)
      for (const [x, y] of [
        [p, q],
        [q, p],
      ] as const)
        if (reach.has(x) && !reach.has(y)) {
          reach.set(y, reach.size - 1)
          grown = true
        }
  }
  if (!reach.has(from)) return { ohm: Infinity, shares }
  const n = reach.size - 1
  const G = Array.from({ length: n }, () => new Float64Array(n + 1))
  for (const { p, q, g } of edges) {
    const i = reach.get(p)
    const j = reach.get(q)
    if (i === undefined || j === undefined || i === j) continue
    if (i >= 0) G[i]![i]! += g
    if (j >= 0) G[j]![j]! += g
    if (i >= 0 && j >= 0) {
      G[i]![j]! -= g
      G[j]![i]! -= g
    }
  }
  const probe = reach.get(from)!
  G[probe]![n] = 1
  const volts = solveReal(G)
  const at = (root: number) => volts[reach.get(root) ?? -1] ?? 0
  for (const { ref, p, q, g } of edges) if (reach.has(p)) shares.set(ref, (at(p) - at(q)) ** 2 * g)
  return { ohm: volts[probe]!, shares }
}

/** Gaussian elimination with partial pivoting on an augmented matrix. */
function solveReal(M: Float64Array[]): number[] {
  const n = M.length
  for (let p = 0; p < n; p++) {
    let best = p
    for (let r = p + 1; r < n; r++) if (Math.abs(M[r]![p]!) > Math.abs(M[best]![p]!)) best = r
    ;[M[p], M[best]] = [M[best]!, M[p]!]
    for (let r = p + 1; r < n; r++) {
      const f = M[r]![p]! / M[p]![p]!
      if (f === 0) continue
      for (let c = p; c <= n; c++) M[r]![c]! -= f * M[p]![c]!
    }
  }
  const x = new Array<number>(n).fill(0)
  for (let p = n - 1; p >= 0; p--) {
    let s = M[p]![n]!
    for (let c = p + 1; c < n; c++) s -= M[p]![c]! * x[c]!
    x[p] = s / M[p]![p]!
  }
  return x
}
