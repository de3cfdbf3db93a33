/** Names of what may be varied, with where to look and how finely. */
export interface Range {
  from: number
  to: number
  /** The answer's grain. */
  grain: number
}

/**
 * Where a function of a few numbers is lowest, by pattern search from the best places of a coarse grid: each number is stepped either way, the
 * step halved when nothing gets lower (Hooke and Jeeves, a textbook method, from memory). No slope is needed, so that penalties may have
 * corners.
 * @param starts how many of the grid's best places are followed down
 */
export function lowestOver(
  f: (at: readonly number[]) => number,
  ranges: readonly Range[],
  starts = 4,
  perSide = 5,
): { at: number[]; value: number } {
  const grid = ranges.reduce<number[][]>(
    (rows, r) => rows.flatMap((row) => Array.from({ length: perSide }, (_, i) => [...row, r.from + ((r.to - r.from) * i) / (perSide - 1)])),
    [[]],
  )
  const best = grid
    .map((at) => ({ at, value: f(at) }))
    .toSorted((a, b) => a.value - b.value)
    .slice(0, starts)
  return best.map(({ at, value }) => down(f, ranges, at, value, perSide)).reduce((a, b) => (b.value < a.value ? b : a))
}

function down(f: (at: readonly number[]) => number, ranges: readonly Range[], start: number[], value: number, perSide: number) {
  let at = start
  let low = value
  let share = 1 / (perSide - 1)
  while (ranges.some((r) => (r.to - r.from) * share > r.grain)) {
    let moved = false
    for (const [i, r] of ranges.entries())
      for (const way of [1, -1]) {
        const to = Math.min(r.to, Math.max(r.from, at[i]! + way * share * (r.to - r.from)))
        const next = at.with(i, to)
        const v = f(next)
        if (v < low - 1e-12) [at, low, moved] = [next, v, true]
      }
    if (!moved) share /= 2
  }
  return { at, value: low }
}
