import type { Element } from './netlist'

/** Leak given to groups of nodes that hang on nothing, siemens. */
const LEAK = 1e-12

export interface Stamp {
  a: number
  b: number
  /** Which of the three matrices. */
  part: 0 | 1 | 2
  value: number
  /** Rows it acts on when the controlling branch is another one (coupled coils). */
  row?: { a: number; b: number } | undefined
  drive: number
}

/**
 * What reaches the output by any way that does not pass ground, numbered anew: a pickup that is switched off, or shorted to ground, has no
 * say in it and costs nothing. [physics: pieces that meet only at ground do not hear each other]
 */
export function reaching(
  stamps: readonly Stamp[],
  size: number,
  outputs: readonly number[],
): { stamps: Stamp[]; size: number; number: (n: number) => number } {
  const group = Int32Array.from({ length: size }, (_, i) => i)
  const rep = (i: number): number => {
    while (group[i] !== i) i = group[i] = group[group[i]!]!
    return i
  }
  const join = (a: number, b: number) => {
    if (a >= 0 && b >= 0) group[rep(b)] = rep(a)
  }
  for (const s of stamps) {
    join(s.a, s.b)
    if (!s.row) continue
    join(s.row.a, s.row.b)
    join(Math.max(s.a, s.b), Math.max(s.row.a, s.row.b))
  }
  const wanted = new Set(outputs.filter((n) => n >= 0).map(rep))
  const kept = new Int32Array(size).fill(-1)
  let count = 0
  for (let i = 0; i < size; i++) if (wanted.has(rep(i))) kept[i] = count++
  const number = (n: number) => (n < 0 ? -1 : kept[n]!)
  const isHeard = (s: Stamp) => [s.a, s.b, s.row?.a ?? -1, s.row?.b ?? -1].some((n) => n >= 0 && kept[n]! >= 0)
  const heard = stamps.filter(isHeard).map((s): Stamp => {
    const row = s.row && { a: number(s.row.a), b: number(s.row.b) }
    return { a: number(s.a), b: number(s.b), part: s.part, value: s.value, drive: s.drive, row }
  })
  return { stamps: heard, size: count, number }
}

/** A place of the circuit among its unknowns: V = V(n) + offset, n = -1 for ground. */
export interface Place {
  n: number
  offset: number
}
export type At = (name: string) => Place

export function stampsOf(elements: readonly Element[], at: At): Stamp[] {
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
export function leakFloating(stamps: Stamp[], size: number, names: string[]): string[] {
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
