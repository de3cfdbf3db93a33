/**
 * What we know of a number: a mixture of normals. One component is the ordinary case; a second, wide one
 * stands for "drawn to another pattern", which no tolerance describes.
 */
export interface Normal {
  weight: number
  mean: number
  sigma: number
}
export type Distribution = readonly Normal[]

export const certain = (value: number): Distribution => [{ weight: 1, mean: value, sigma: 0 }]
export const normal = (mean: number, sigma: number): Distribution => [{ weight: 1, mean, sigma }]

/** Distribution of a size: its doubt is two sigma. [ours] */
export const ofSize = (size: { value: number; doubt: number }): Distribution => normal(size.value, size.doubt / 2)

/** Widens a distribution by a wrong pattern: with probability q off by several mm (sigma `wide`, mm). [ours] */
export function orAnotherPattern(d: Distribution, q: number, wide: number): Distribution {
  if (q <= 0) return d
  return [
    ...d.map((n) => ({ ...n, weight: n.weight * (1 - q) })),
    ...d.map((n) => ({ ...n, weight: n.weight * q, sigma: Math.hypot(n.sigma, wide) })),
  ]
}

/** Sum of independent terms, each times its factor: every combination of components is again a normal. */
export function linear(terms: readonly (readonly [factor: number, d: Distribution])[], offset = 0): Distribution {
  let sum: Normal[] = [{ weight: 1, mean: offset, sigma: 0 }]
  for (const [factor, d] of terms) {
    const plus = (a: Normal, b: Normal): Normal => ({
      weight: a.weight * b.weight,
      mean: a.mean + factor * b.mean,
      sigma: Math.hypot(a.sigma, factor * b.sigma),
    })
    // Nearly always one and one.
    sum = sum.length === 1 && d.length === 1 ? [plus(sum[0]!, d[0]!)] : sum.flatMap((a) => d.map((b) => plus(a, b)))
  }
  return sum
}

/**
 * First-order propagation through any smooth function: each combination of components is carried through with
 * the function's own slope, found by central differences over half a sigma. Exact where the function is linear.
 */
export function propagate(f: (x: readonly number[]) => number, inputs: readonly Distribution[]): Distribution {
  let combos: { weight: number; parts: Normal[] }[] = [{ weight: 1, parts: [] }]
  for (const d of inputs) combos = combos.flatMap((c) => d.map((n) => ({ weight: c.weight * n.weight, parts: [...c.parts, n] })))
  return combos.map(({ weight, parts }) => {
    const at = parts.map((n) => n.mean)
    let variance = 0
    for (const [i, n] of parts.entries()) {
      if (n.sigma === 0) continue
      const h = n.sigma / 2
      at[i] = n.mean + h
      const up = f(at)
      at[i] = n.mean - h
      const down = f(at)
      at[i] = n.mean
      variance += ((up - down) / 2 / 0.5) ** 2
    }
    return { weight, mean: f(at), sigma: Math.sqrt(variance) }
  })
}

export const shifted = (d: Distribution, by: number): Distribution => d.map((n) => ({ ...n, mean: n.mean + by }))

export const meanOf = (d: Distribution): number => d.reduce((s, n) => s + n.weight * n.mean, 0)

/** Mean of the heaviest component: what the number is if the pattern is the right one. */
export const likelyOf = (d: Distribution): number => heaviest(d).mean

/** Half-width of the 95 % interval of the heaviest component, as shown beside the number. */
export const doubtOf = (d: Distribution): number => 2 * heaviest(d).sigma

const heaviest = (d: Distribution): Normal => d.reduce((a, b) => (b.weight > a.weight ? b : a))

/** Probability that the number lies in (low, high]. A sigma of zero gives 0 or 1. */
export function probabilityBetween(d: Distribution, low: number, high: number): number {
  let p = 0
  for (const n of d) p += n.weight * (cdf(high, n) - cdf(low, n))
  return Math.min(1, Math.max(0, p))
}

function cdf(x: number, n: Normal): number {
  if (x === Infinity) return 1
  if (x === -Infinity) return 0
  // A boundary reached exactly counts as inside; the small slack keeps 0.35 in from 0.35 mm out of rounding's hands.
  if (n.sigma === 0) return n.mean <= x + 1e-9 ? 1 : 0
  const z = (x - n.mean) / n.sigma
  // Beyond this the tail is less than double precision can add to one.
  if (z > FAR) return 1
  if (z < -FAR) return 0
  return 0.5 * erfc(-z / Math.SQRT2)
}

const FAR = 8.3

/**
 * Complementary error function to double precision: Taylor series near zero, continued fraction outside.
 * [published: Abramowitz & Stegun 7.1.5 and 7.1.14, from memory]
 */
export function erfc(x: number): number {
  if (x < 0) return 2 - erfc(-x)
  if (x < 2.5) {
    let term = x
    let sum = x
    for (let n = 1; n < 80; n++) {
      term *= (-x * x) / n
      const add = term / (2 * n + 1)
      sum += add
      if (Math.abs(add) < 1e-17 * Math.abs(sum)) break
    }
    return 1 - (2 / Math.sqrt(Math.PI)) * sum
  }
  let fraction = x
  for (let k = 60; k >= 1; k--) fraction = x + k / 2 / fraction
  return Math.exp(-x * x) / (Math.sqrt(Math.PI) * fraction)
}
