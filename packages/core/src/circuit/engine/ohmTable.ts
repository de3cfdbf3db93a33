import type { Element } from './netlist'
import { mergeNodes } from './nodes'

/**
 * Readings between any two nodes of a circuit at one setting, from one factoring: capacitors open, coils their own wire, sources silent.
 * R(a, b) = G+aa + G+bb - 2 G+ab in each piece that hangs together. [physics]
 * @returns ohms; 0 for one and the same node, Infinity where nothing connects them or one is not there
 */
export function ohmTable(elements: readonly Element[]): (a: string, b: string) => number {
  const dc = elements.map((e): Element => (e.type === 'L' || e.type === 'V' ? { type: 'W', ref: e.ref, nodes: e.nodes } : e))
  const nodes = mergeNodes(dc, false)
  const known = new Set(nodes.names)
  const edges = dc.flatMap((e) =>
    e.type === 'R' ? [{ p: nodes.find(e.nodes[0]).root, q: nodes.find(e.nodes[1]).root, g: 1 / e.value }] : [],
  )
  const roots = [...new Set(edges.flatMap((e) => [e.p, e.q]))]
  const piece = new Map<number, number>()
  const order = new Map<number, number>()
  const sizes: number[] = []
  for (const root of roots) {
    if (piece.has(root)) continue
    const at = sizes.length
    const found = [root]
    piece.set(root, at)
    for (const r of found) {
      order.set(r, order.size)
      for (const { p, q } of edges) {
        const next = p === r ? q : q === r ? p : undefined
        if (next !== undefined && !piece.has(next)) {
          piece.set(next, at)
          found.push(next)
        }
      }
    }
    sizes.push(found.length)
  }
  const inverses = sizes.map((size, at) => {
    const own = [...piece].flatMap(([root, p]) => (p === at ? [root] : []))
    const index = new Map(own.map((root, i) => [root, i - 1]))
    return { index, inverse: inverted(own.length - 1, edges, index), size }
  })
  return (a, b) => {
    if (!known.has(a) || !known.has(b)) return a === b ? 0 : Infinity
    const [p, q] = [nodes.find(a).root, nodes.find(b).root]
    if (p === q) return 0
    const at = piece.get(p)
    if (at === undefined || at !== piece.get(q)) return Infinity
    const { index, inverse } = inverses[at]!
    const [i, j] = [index.get(p)!, index.get(q)!]
    const v = (r: number, c: number) => (r < 0 || c < 0 ? 0 : inverse[r]![c]!)
    return v(i, i) + v(j, j) - 2 * v(i, j)
  }
}

/** Inverse of the conductance matrix of one piece, its first node held; Gauss and Jordan, positive definite as it is. */
function inverted(n: number, edges: readonly { p: number; q: number; g: number }[], index: ReadonlyMap<number, number>): Float64Array[] {
  const M = Array.from({ length: n }, (_, i) => {
    const row = new Float64Array(2 * n)
    row[n + i] = 1
    return row
  })
  for (const { p, q, g } of edges) {
    const i = index.get(p)
    const j = index.get(q)
    if (i === undefined || j === undefined || i === j) continue
    if (i >= 0) M[i]![i]! += g
    if (j >= 0) M[j]![j]! += g
    if (i >= 0 && j >= 0) {
      M[i]![j]! -= g
      M[j]![i]! -= g
    }
  }
  for (let p = 0; p < n; p++) {
    const pivot = M[p]![p]!
    for (let c = p; c < 2 * n; c++) M[p]![c]! /= pivot
    for (let r = 0; r < n; r++) {
      if (r === p) continue
      const f = M[r]![p]!
      if (f !== 0) for (let c = p; c < 2 * n; c++) M[r]![c]! -= f * M[p]![c]!
    }
  }
  return M.map((row) => row.slice(n))
}
