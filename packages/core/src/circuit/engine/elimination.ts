import type { Place, Stamp } from './stamps'

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
export function eliminationOrder(stamps: readonly Stamp[], size: number, outputs: readonly number[]): number[] {
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

/** The unknowns of a circuit at one frequency, eliminated in an order fixed once. */
export interface Elimination {
  /** Sets the matrices up at a frequency in Hz and eliminates the first `until` unknowns of the order. */
  forward(hertz: number, until: number): void
  /** After all are eliminated: voltages from the last down to `first`. */
  back(first: number): { vRe: Float64Array; vIm: Float64Array }
  /** Where a place stands in the order. */
  at(place: Place): { p: number; offset: number }
  /** Number of the cell that holds row i and column j of the order; nothing where they never meet. */
  cell(i: number, j: number): number | undefined
  /** Cells of the matrix, and the right-hand side, as `forward` left them. */
  re: Float64Array
  im: Float64Array
  bRe: Float64Array
  bIm: Float64Array
}

/** Writes the elimination down as index lists that every frequency replays. */
export function elimination(stamps: readonly Stamp[], size: number, order: readonly number[]): Elimination {
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
    ...replay(base, source, operations, size),
    at: ({ n, offset }) => ({ p: n < 0 ? -1 : position[n]!, offset }),
    cell: (i, j) => cell.get(i < j ? i * size + j : j * size + i),
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
): Omit<Elimination, 'at' | 'cell'> {
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
  const forward = (hertz: number, until: number) => {
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
    for (let p = 0; p < until; p++) {
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
  }
  const back = (first: number) => {
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
    return { vRe, vIm }
  }
  return { forward, back, re, im, bRe, bIm }
}
