import type { SetProblem } from '../fit/choose/bestSets'

/** A small random problem as plain tables, so that the same can be given to other solvers. */
export interface Tables {
  sizes: number[]
  own: number[][]
  /** pair[a][b][i][j] for a < b; negative stands for "rules out". */
  pair: number[][][][]
  seller: number[][]
  parcel: number[]
}

export const problemOf = (t: Tables, withParcels = true): SetProblem => ({
  sizes: t.sizes,
  own: (s, c) => t.own[s]![c]!,
  pair: (a, i, b, j) => {
    const v = t.pair[a]![b]![i]![j]!
    return v < 0 ? Infinity : v
  },
  ...(withParcels ? { parcel: (s: number, c: number) => t.seller[s]![c], parcelCost: t.parcel } : {}),
})

/** mulberry32: a seeded generator, so that a failing case can be met again. */
export function seeded(seed: number) {
  let a = seed >>> 0
  return () => {
    a = (a + 0x6d2b79f5) >>> 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export function random(seed: number, slots: number, most: number, ruledOut = 0.25): Tables {
  const r = seeded(seed)
  const whole = (n: number) => Math.floor(r() * n)
  const sizes = Array.from({ length: slots }, () => 1 + whole(most))
  return {
    sizes,
    own: sizes.map((n) => Array.from({ length: n }, () => 5 + whole(60))),
    pair: sizes.map((na, a) =>
      sizes.map((nb, b) =>
        b <= a
          ? []
          : Array.from({ length: na }, () => Array.from({ length: nb }, () => (r() < ruledOut ? -1 : r() < 0.6 ? 0 : 1 + whole(30)))),
      ),
    ),
    seller: sizes.map((n) => Array.from({ length: n }, () => whole(3))),
    parcel: [4, 7, 12],
  }
}
