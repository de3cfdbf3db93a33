import fc from 'fast-check'
import { erf } from 'mathjs'
import { describe, expect, it } from 'vitest'
import {
  certain,
  doubtOf,
  erfc,
  likelyOf,
  linear,
  meanOf,
  normal,
  ofSize,
  orAnotherPattern,
  probabilityBetween,
  propagate,
} from './distribution'

describe('normal distribution', () => {
  it('erfc agrees with a general mathematics library', () => {
    for (let x = -4; x <= 4; x += 0.05) expect(erfc(x)).toBeCloseTo(1 - erf(x), 12)
  })
  it('holds 95 % within the doubt, near enough to two sigma', () => {
    expect(probabilityBetween(ofSize({ value: 10, doubt: 0.3 }), 9.7, 10.3)).toBeCloseTo(0.9545, 4)
  })
  it('turns to 0 or 1 when the doubt goes', () => {
    expect(probabilityBetween(certain(0.2), 0.05, 0.35)).toBe(1)
    expect(probabilityBetween(certain(0.4), 0.05, 0.35)).toBe(0)
    const near = (doubt: number) => probabilityBetween(ofSize({ value: 0.2, doubt }), 0.05, 0.35)
    expect(near(1e-6)).toBeCloseTo(1, 12)
  })
})

describe('propagation', () => {
  it('of a sum: doubts add in squares', () => {
    const d = linear([
      [1, ofSize({ value: 56.1, doubt: 0.05 })],
      [-1, ofSize({ value: 56.45, doubt: 0.05 })],
    ])
    expect(meanOf(d)).toBeCloseTo(-0.35, 12)
    expect(doubtOf(d)).toBeCloseTo(0.05 * Math.SQRT2, 12)
  })
  it('first order is exact where the function is linear', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 5, noNaN: true }), fc.double({ min: 0.01, max: 2, noNaN: true }), (mean, sigma) => {
        const a = propagate(([x, y]) => 2 * x! - 3 * y! + 1, [normal(mean, sigma), normal(1, 0.2)])
        const b = linear(
          [
            [2, normal(mean, sigma)],
            [-3, normal(1, 0.2)],
          ],
          1,
        )
        expect(a[0]!.mean).toBeCloseTo(b[0]!.mean, 9)
        expect(a[0]!.sigma).toBeCloseTo(b[0]!.sigma, 9)
      }),
    )
  })
  it('a wrong pattern leaves the likely value and takes its share of the certainty', () => {
    const d = orAnotherPattern(normal(1, 0.01), 0.15, 4)
    expect(likelyOf(d)).toBe(1)
    expect(probabilityBetween(d, 0.9, 1.1)).toBeGreaterThan(0.85)
    expect(probabilityBetween(d, 0.9, 1.1)).toBeLessThan(0.86)
  })
})
