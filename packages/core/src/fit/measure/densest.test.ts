import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holds } from '../../testing/holds'
import { costOf, densest, gainOf, type Bundling } from './densest'

const problem: fc.Arbitrary<Bundling> = fc.integer({ min: 1, max: 8 }).chain((n) =>
  fc.record({
    things: fc.array(fc.record({ cost: fc.double({ min: 0.2, max: 4, noNaN: true }), shares: fc.nat(2) }), { minLength: n, maxLength: n }),
    shared: fc.tuple(...Array.from({ length: 3 }, () => fc.double({ min: 0, max: 3, noNaN: true }))),
    gains: fc.array(
      fc.record({ wants: fc.uniqueArray(fc.nat(n - 1), { minLength: 1, maxLength: 4 }), gain: fc.double({ min: 0, max: 5, noNaN: true }) }),
      { minLength: 1, maxLength: 7 },
    ),
  }),
)

function byTrying(p: Bundling): number {
  let best = 0
  for (let mask = 1; mask < 1 << p.things.length; mask++) {
    const set = new Set(p.things.flatMap((_, i) => (mask & (1 << i) ? [i] : [])))
    best = Math.max(best, gainOf(p, set) / costOf(p, set))
  }
  return best
}

describe('the set with the most gain for its cost', () => {
  it('is as good as the best of all sets there are', () => {
    holds(
      fc.property(problem, (p) => {
        const set = new Set(densest(p))
        const found = set.size ? gainOf(p, set) / costOf(p, set) : 0
        expect(found).toBeCloseTo(byTrying(p), 6)
      }),
      2000,
    )
  })
  it('two readings that settle a joint together go before one that settles a quarter alone', () => {
    // Together 1.0 for 2 min, against 0.25 for 1 min.
    const p: Bundling = {
      things: [0.5, 0.5, 0.5].map((cost, i) => ({ cost, shares: i })),
      shared: [0.5, 0.5, 0.5],
      gains: [
        { wants: [0, 1], gain: 1 },
        { wants: [2], gain: 0.25 },
      ],
    }
    expect(densest(p)).toEqual([0, 1])
  })
  it('a part once in hand is read for all it settles', () => {
    // Alone (0.5 + 1) / 1 = 0.33 a minute each; together 1 / (0.5 + 0.5 + 1) = 0.5.
    const p: Bundling = {
      things: [
        { cost: 0.5, shares: 0 },
        { cost: 0.5, shares: 0 },
      ],
      shared: [1],
      gains: [
        { wants: [0], gain: 0.5 },
        { wants: [1], gain: 0.5 },
      ],
    }
    expect(densest(p)).toEqual([0, 1])
  })
  it('nothing where nothing is to be gained', () =>
    expect(densest({ things: [{ cost: 1, shares: 0 }], shared: [0], gains: [{ wants: [0], gain: 0 }] })).toEqual([]))
})
