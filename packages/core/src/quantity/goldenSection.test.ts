import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { lowestAt } from './goldenSection'

describe('golden section', () => {
  it('finds the foot of a valley wherever it lies, round or sharp', () => {
    fc.assert(
      fc.property(fc.double({ min: -9, max: 9, noNaN: true }), (foot) => {
        expect(lowestAt((x) => (x - foot) ** 2, -10, 10, 1e-6)).toBeCloseTo(foot, 5)
        expect(lowestAt((x) => Math.abs(x - foot), -10, 10, 1e-6)).toBeCloseTo(foot, 5)
      }),
    )
  })
  it('ends at the edge when it only falls', () => expect(lowestAt((x) => -x, 0, 3, 1e-6)).toBeCloseTo(3, 5))
  it('looks once a step: a thousandth of the way in 15 steps and two looks to begin with', () => {
    let looks = 0
    lowestAt((x) => (looks++, x * x), -1, 1, 2e-3)
    expect(looks).toBe(2 + Math.ceil(Math.log(1000) / Math.log((1 + Math.sqrt(5)) / 2)))
  })
})
