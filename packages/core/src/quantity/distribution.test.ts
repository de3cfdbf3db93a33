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
  shifted,
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

describe('mixtures', () => {
  const two = [
    { weight: 0.25, mean: 0, sigma: 1 },
    { weight: 0.75, mean: 4, sigma: 2 },
  ]
  it('what is likely is the heavier half, whichever comes first', () => {
    expect([likelyOf(two), likelyOf(two.toReversed())]).toEqual([4, 4])
    expect([doubtOf(two), doubtOf(two.toReversed())]).toEqual([4, 4])
    expect(meanOf(two)).toBe(3)
  })
  it('shifted: all of it, upwards', () =>
    expect(shifted(two, 1.5).map((n) => [n.mean, n.sigma, n.weight])).toEqual([
      [1.5, 1, 0.25],
      [5.5, 2, 0.75],
    ]))
  it('the sum of two mixtures has every pair, weighted by both', () => {
    const sum = linear([
      [1, two],
      [-1, two],
    ])
    expect(sum.map((n) => n.mean).toSorted((a, b) => a - b)).toEqual([-4, 0, 0, 4])
    expect(sum.reduce((s, n) => s + n.weight, 0)).toBeCloseTo(1, 12)
    expect(sum.find((n) => n.mean === 4)!.weight).toBeCloseTo(0.1875, 12)
    expect(propagate(([a, b]) => a! - b!, [two, two]).find((n) => Math.abs(n.mean - 4) < 1e-9)!.weight).toBeCloseTo(0.1875, 12)
  })
  it('all of it lies between minus and plus infinity, and half of a normal below its mean', () => {
    expect(probabilityBetween(two, -Infinity, Infinity)).toBeCloseTo(1, 12)
    expect(probabilityBetween(normal(2, 3), -Infinity, 2)).toBeCloseTo(0.5, 12)
    expect(probabilityBetween(normal(2, 3), 2, Infinity)).toBeCloseTo(0.5, 12)
    expect(probabilityBetween(normal(0, 1), -Infinity, -9)).toBe(0)
  })
  it('without doubt a limit met within a billionth is inside, and a little beyond it is not', () => {
    expect(probabilityBetween(certain(0.35), 0.05, 0.35 - 5e-10)).toBe(1)
    expect(probabilityBetween(certain(0.35), 0.05, 0.35 - 5e-9)).toBe(0)
  })
  it('no wrong pattern leaves it as it was', () => {
    const d = normal(1, 0.1)
    expect(orAnotherPattern(d, 0, 4)).toBe(d)
    expect(orAnotherPattern(d, 0.2, 4).map((n) => n.weight)).toEqual([0.8, 0.2])
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
