import type { Element, Netlist } from './netlist'
import { mergeNodes } from './nodes'

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

/** Leak given to groups of nodes that hang on nothing, siemens. */
const LEAK = 1e-12

interface Stamp {
  a: number
  b: number
  /** Which of the three matrices. */
  part: 0 | 1 | 2
  value: number
  /** Rows it acts on when the controlling branch is another one (coupled coils). */
  row?: { a: number; b: number }
  drive: number
}

export function compile(netlist: Netlist): Solver {
  const nodes = mergeNodes(netlist.elements)
  const number = new Map<number, number>()
  const at = (name: string) => {
    const { root, offset } = nodes.find(name)
    if (root === nodes.ground) return { n: -1, offset }
    let n = number.get(root)
    if (n === undefined) {
      n = number.size
      number.set(root, n)
    }
    return { n, offset }
  }
  const stamps = stampsOf(netlist.elements, at)
  const out = netlist.output.map(at)
  const size = number.size
  const floating = leakFloating(
    stamps,
    size,
    [...number.keys()].map((root) => nodes.names[root]!),
  )
  const heard = reaching(
    stamps,
    size,
    out.map((o) => o.n),
  )
  const outputs = out.map((o) => ({ ...o, n: heard.number(o.n) }))
  const order = eliminationOrder(
    heard.stamps,
    heard.size,
    outputs.map((o) => o.n),
  )
  return { unknowns: heard.size, floating, ...program(heard.stamps, heard.size, order, outputs) }
}

/**
 * What reaches the output by any way that does not pass ground, numbered anew: a pickup that is switched off, or shorted to ground, has no
 * say in it and costs nothing. [physics: pieces that meet only at ground do not hear each other]
 */
function reaching(
  stamps: readonly Stamp[],
  size: number,
  outputs: readonly number[],
): { stamps: Stamp[]; size: number; number: (n: number) => number } {
  const group = Int32Array.from({ length: size }, (_, i) => i)
  const rep = (i: number): number => {
    while (group[i] !== i) i = group[i] = group[group[i]!]!
    return i
  }
  const nodesOf = (s: Stamp) => (s.row ? [s.a, s.b, s.row.a, s.row.b] : [s.a, s.b]).filter((n) => n >= 0)
  for (const s of stamps) {
    const [first, ...more] = nodesOf(s)
    for (const n of more) group[rep(n)] = rep(first!)
  }
  const wanted = new Set(outputs.filter((n) => n >= 0).map(rep))
  const kept = new Int32Array(size).fill(-1)
  let count = 0
  for (let i = 0; i < size; i++) if (wanted.has(rep(i))) kept[i] = count++
  const number = (n: number) => (n < 0 ? -1 : kept[n]!)
  return {
    stamps: stamps.flatMap((s) =>
      nodesOf(s).some((n) => kept[n]! >= 0)
        ? [{ ...s, a: number(s.a), b: number(s.b), ...(s.row ? { row: { a: number(s.row.a), b: number(s.row.b) } } : {}) }]
        : [],
    ),
    size: count,
    number,
  }
}

type At = (name: string) => { n: number; offset: number }

function stampsOf(elements: readonly Element[], at: At): Stamp[] {
  const stamps: Stamp[] = []
  const coils: { ref: string; a: number; b: number; drive: number; henry: number }[] = []
  for (const e of elements) {
    if (e.type !== 'R' && e.type !== 'C' && e.type !== 'L') continue
    const p = at(e.nodes[0])
    const q = at(e.nodes[1])
    const drive = p.offset - q.offset
    if (e.type === 'L') coils.push({ ref: e.ref, a: p.n, b: q.n, drive, henry: e.value })
    else if (p.n !== q.n || drive !== 0)
      stamps.push({ a: p.n, b: q.n, drive, part: e.type === 'R' ? 0 : 1, value: e.type === 'R' ? 1 / e.value : e.value })
  }
  const couplings = elements.filter((e) => e.type === 'K')
  const gamma = inverseInductance(coils, couplings)
  coils.forEach((row, i) =>
    coils.forEach((col, j) => {
      const value = gamma[i]![j]!
      if (value !== 0) stamps.push({ a: col.a, b: col.b, drive: col.drive, part: 2, value, row: { a: row.a, b: row.b } })
    }),
  )
  return stamps
}

/** Inverse of the inductance matrix; without coupling simply 1/L. */
function inverseInductance(
  coils: readonly { ref: string; henry: number }[],
  couplings: readonly Extract<Element, { type: 'K' }>[],
): number[][] {
  const n = coils.length
  const L = coils.map((c, i) => coils.map((_, j) => (i === j ? c.henry : 0)))
  for (const k of couplings) {
    const [i, j] = k.inductors.map((ref) => coils.findIndex((c) => c.ref === ref)) as [number, number]
    if (i < 0 || j < 0) throw new Error(`${k.ref} couples an inductor that is not in the circuit.`)
    L[i]![j] = L[j]![i] = k.k * Math.sqrt(coils[i]!.henry * coils[j]!.henry)
  }
  if (!couplings.length) return L.map((row, i) => row.map((v, j) => (i === j ? 1 / v : 0)))
  const inv = L.map((_, i) => L.map((_, j) => (i === j ? 1 : 0)))
  for (let p = 0; p < n; p++) {
    const scale = 1 / L[p]![p]!
    for (let j = 0; j < n; j++) {
      L[p]![j]! *= scale
      inv[p]![j]! *= scale
    }
    for (let i = 0; i < n; i++) {
      const f = i === p ? 0 : L[i]![p]!
      if (f === 0) continue
      for (let j = 0; j < n; j++) {
        L[i]![j]! -= f * L[p]![j]!
        inv[i]![j]! -= f * inv[p]![j]!
      }
    }
  }
  return inv
}

/** Finds groups of nodes nothing ties to ground, ties one node of each by the leak, and names it. */
function leakFloating(stamps: Stamp[], size: number, names: string[]): string[] {
  const group = Array.from({ length: size }, (_, i) => i)
  const rep = (i: number): number => (group[i] === i ? i : (group[i] = rep(group[i]!)))
  const grounded = new Set<number>()
  const ties = stamps.filter((s) => s.value !== 0)
  for (const s of ties) if (s.a >= 0 && s.b >= 0) group[rep(s.a)] = rep(s.b)
  for (const s of ties) if (s.a < 0 !== s.b < 0) grounded.add(rep(Math.max(s.a, s.b)))
  const loose = group.map((_, i) => i).filter((i) => rep(i) === i && ![...grounded].some((g) => rep(g) === i))
  for (const i of loose) stamps.push({ a: i, b: -1, drive: 0, part: 0, value: LEAK })
  return loose.map((i) => names[i]!)
}

function adjacency(stamps: readonly Stamp[], size: number): Set<number>[] {
  const near = Array.from({ length: size }, () => new Set<number>())
  const join = (a: number, b: number) => {
    if (a < 0 || b < 0 || a === b) return
    near[a]!.add(b)
    near[b]!.add(a)
  }
  for (const s of stamps) {
    const all = s.row ? [s.a, s.b, s.row.a, s.row.b] : [s.a, s.b]
    for (const a of all) for (const b of all) join(a, b)
  }
  return near
}

/** Fewest neighbours first, fill-in counted as it arises, outputs kept for last. */
function eliminationOrder(stamps: readonly Stamp[], size: number, outputs: readonly number[]): number[] {
  const near = adjacency(stamps, size)
  const left = new Set(Array.from({ length: size }, (_, i) => i))
  const last = new Set(outputs.filter((n) => n >= 0))
  const order: number[] = []
  while (left.size) {
    let best = -1
    let fewest = Infinity
    for (const i of left) {
      const degree = near[i]!.size + (last.has(i) && left.size > last.size ? 1e6 : 0)
      if (degree < fewest) [best, fewest] = [i, degree]
    }
    for (const a of near[best]!) {
      near[a]!.delete(best)
      for (const b of near[best]!) if (a !== b) near[a]!.add(b)
    }
    left.delete(best)
    order.push(best)
  }
  return order
}

/** Writes the elimination down as index lists and returns the function that replays them. */
function program(
  stamps: readonly Stamp[],
  size: number,
  order: readonly number[],
  outputs: readonly { n: number; offset: number }[],
): Pick<Solver, 'solve'> {
  const position = new Array<number>(size)
  order.forEach((node, p) => (position[node] = p))
  const cell = new Map<number, number>()
  const cellOf = (i: number, j: number) => {
    const key = i < j ? i * size + j : j * size + i
    let c = cell.get(key)
    if (c === undefined) {
      c = cell.size
      cell.set(key, c)
    }
    return c
  }
  for (let p = 0; p < size; p++) cellOf(p, p)
  const entries: { cell: number; part: 0 | 1 | 2; value: number }[] = []
  const drives: { node: number; part: 0 | 1 | 2; value: number }[] = []
  for (const s of stamps) {
    const rows = s.row ?? s
    const [ra, rb, ca, cb] = [rows.a, rows.b, s.a, s.b].map((n) => (n < 0 ? -1 : position[n]!)) as [number, number, number, number]
    // Every row/column pair is met once from each side; the upper triangle keeps one of them.
    const put = (r: number, c: number, value: number) => {
      if (r >= 0 && c >= 0 && r <= c) entries.push({ cell: cellOf(r, c), part: s.part, value })
    }
    put(ra, ca, s.value)
    put(ra, cb, -s.value)
    put(rb, ca, -s.value)
    put(rb, cb, s.value)
    if (s.drive !== 0) {
      if (ra >= 0) drives.push({ node: ra, part: s.part, value: -s.value * s.drive })
      if (rb >= 0) drives.push({ node: rb, part: s.part, value: s.value * s.drive })
    }
  }
  const operations = eliminationOps(stamps, size, order, position, cellOf)
  const cells = cell.size
  const base = [0, 1, 2].map(() => new Float64Array(cells)) as [Float64Array, Float64Array, Float64Array]
  const source = [0, 1, 2].map(() => new Float64Array(size)) as [Float64Array, Float64Array, Float64Array]
  for (const e of entries) base[e.part][e.cell]! += e.value
  for (const d of drives) source[d.part][d.node]! += d.value
  return {
    solve: replay(
      base,
      source,
      operations,
      size,
      outputs.map((o) => ({ p: o.n < 0 ? -1 : position[o.n]!, offset: o.offset })),
    ),
  }
}

/** For each pivot: its number of later neighbours d, then d pairs (cell, node), then the d(d+1)/2 cells they update. */
function eliminationOps(
  stamps: readonly Stamp[],
  size: number,
  order: readonly number[],
  position: readonly number[],
  cellOf: (i: number, j: number) => number,
): Int32Array {
  const near = adjacency(stamps, size)
  const ops: number[] = []
  order.forEach((node, p) => {
    const later = [...near[node]!].map((n) => position[n]!).sort((a, b) => a - b)
    ops.push(later.length)
    for (const q of later) ops.push(cellOf(p, q), q)
    later.forEach((q, i) => later.slice(i).forEach((r) => ops.push(cellOf(q, r))))
    for (const a of near[node]!) {
      near[a]!.delete(node)
      for (const b of near[node]!) if (a !== b) near[a]!.add(b)
    }
  })
  return Int32Array.from(ops)
}

function replay(
  [G, C, H]: readonly [Float64Array, Float64Array, Float64Array],
  [sG, sC, sH]: readonly [Float64Array, Float64Array, Float64Array],
  ops: Int32Array,
  size: number,
  outputs: readonly { p: number; offset: number }[],
): Solver['solve'] {
  const cells = G.length
  const re = new Float64Array(cells)
  const im = new Float64Array(cells)
  const bRe = new Float64Array(size)
  const bIm = new Float64Array(size)
  const vRe = new Float64Array(size)
  const vIm = new Float64Array(size)
  const starts = new Int32Array(size)
  for (let p = 0, i = 0; p < size; p++) {
    starts[p] = i
    const d = ops[i]!
    i += 1 + 2 * d + (d * (d + 1)) / 2
  }
  const first = Math.min(size, ...outputs.filter((o) => o.p >= 0).map((o) => o.p))
  return (hertz, out) => {
    const w = 2 * Math.PI * hertz
    const u = 1 / w
    for (let c = 0; c < cells; c++) {
      re[c] = G[c]!
      im[c] = w * C[c]! - u * H[c]!
    }
    for (let p = 0; p < size; p++) {
      bRe[p] = sG[p]!
      bIm[p] = w * sC[p]! - u * sH[p]!
    }
    let i = 0
    for (let p = 0; p < size; p++) {
      const d = ops[i++]!
      const list = i
      let target = i + 2 * d
      const norm = 1 / (re[p]! * re[p]! + im[p]! * im[p]!)
      const dRe = re[p]! * norm
      const dIm = -im[p]! * norm
      for (let a = 0; a < d; a++) {
        const ca = ops[list + 2 * a]!
        const q = ops[list + 2 * a + 1]!
        const fRe = re[ca]! * dRe - im[ca]! * dIm
        const fIm = re[ca]! * dIm + im[ca]! * dRe
        bRe[q]! -= fRe * bRe[p]! - fIm * bIm[p]!
        bIm[q]! -= fRe * bIm[p]! + fIm * bRe[p]!
        for (let b = a; b < d; b++) {
          const cb = ops[list + 2 * b]!
          const t = ops[target++]!
          re[t]! -= fRe * re[cb]! - fIm * im[cb]!
          im[t]! -= fRe * im[cb]! + fIm * re[cb]!
        }
      }
      i = target
    }
    for (let p = size - 1; p >= first; p--) {
      let sRe = bRe[p]!
      let sIm = bIm[p]!
      let k = starts[p]!
      const d = ops[k++]!
      for (let a = 0; a < d; a++, k += 2) {
        const c = ops[k]!
        const q = ops[k + 1]!
        sRe -= re[c]! * vRe[q]! - im[c]! * vIm[q]!
        sIm -= re[c]! * vIm[q]! + im[c]! * vRe[q]!
      }
      const norm = 1 / (re[p]! * re[p]! + im[p]! * im[p]!)
      vRe[p] = (sRe * re[p]! + sIm * im[p]!) * norm
      vIm[p] = (sIm * re[p]! - sRe * im[p]!) * norm
    }
    const [tip, sleeve] = outputs as [{ p: number; offset: number }, { p: number; offset: number }]
    out.re = (tip.p < 0 ? 0 : vRe[tip.p]!) + tip.offset - (sleeve.p < 0 ? 0 : vRe[sleeve.p]!) - sleeve.offset
    out.im = (tip.p < 0 ? 0 : vIm[tip.p]!) - (sleeve.p < 0 ? 0 : vIm[sleeve.p]!)
  }
}
