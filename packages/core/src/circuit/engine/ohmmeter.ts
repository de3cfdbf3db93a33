import type { Element } from './netlist'
import { mergeNodes } from './nodes'

/** Above this a meter shows an open line, ohm. */
export const OPEN_LINE = 20e6

/**
 * What an ohmmeter reads between two nodes: capacitors open, coils their own wire, sources silent.
 * @returns ohms, or Infinity where nothing connects the probes
 */
export function ohmsBetween(elements: readonly Element[], a: string, b: string): number {
  // At DC an inductance is a wire; the winding's resistance is an element of its own.
  const dc = elements.map((e): Element => (e.type === 'L' ? { type: 'W', ref: e.ref, nodes: e.nodes } : e))
  const nodes = mergeNodes(dc, false)
  const from = nodes.find(a).root
  const to = nodes.find(b).root
  if (from === to) return 0
  const edges = dc.flatMap((e) =>
    e.type === 'R' ? [{ p: nodes.find(e.nodes[0]).root, q: nodes.find(e.nodes[1]).root, g: 1 / e.value }] : [],
  )
  const reach = new Map<number, number>([[to, -1]])
  for (let grown = true; grown;) {
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
  if (!reach.has(from)) return Infinity
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
  return solveReal(G)[probe]!
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
