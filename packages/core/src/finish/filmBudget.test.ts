import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dice } from '../quantity/dice'
import { budgetSays, coatsMore, PLACES_OF_FILM, strikeThrough, TEXTURES, type Budget } from './filmBudget'
import { asPGrade, GRAIN, GRITS, ladder, scratchChain } from './grits'

const wet = [1200, 1500, 2000, 2500]
const budget = (more: Partial<Budget> = {}): Budget => ({
  coats: { from: 3, to: 3 },
  film: 12,
  doubt: 0.3,
  texture: 'light peel',
  grits: wet,
  block: true,
  ...more,
})
const chance = (b: Budget, place: string) => strikeThrough(b).find((r) => r.place === place)!.chance

describe('grits', () => {
  it('P1200 to P2500: (15.3 + 12.6 + 10.3 + 8.4) / 3 is 15.53 um', () => expect(scratchChain(wet)).toBeCloseTo(15.533, 3))
  it('grow finer all the way', () => {
    for (let i = 1; i < GRITS.length; i++) expect(GRAIN[GRITS[i]!]!).toBeLessThan(GRAIN[GRITS[i - 1]!]!)
  })
  it.each([
    [320, 400],
    [400, 800],
    [600, 1200],
    [1000, 2000],
    [180, 180],
  ])('an unmarked %d is about P%d', (n, p) => expect(asPGrade(n, 'unmarked')).toBe(p))
  it('no rung is more than twice as fine as the one before, and none could be left out', () =>
    fc.assert(
      fc.property(fc.constantFrom(...GRITS), fc.constantFrom(...GRITS), (a, b) => {
        fc.pre(a < b)
        const rungs = ladder(a, b)
        expect([rungs[0], rungs.at(-1)]).toEqual([a, b])
        for (let i = 1; i < rungs.length; i++) expect(GRAIN[rungs[i - 1]!]! / GRAIN[rungs[i]!]!).toBeLessThanOrEqual(2)
        for (let i = 2; i < rungs.length; i++) expect(GRAIN[rungs[i - 2]!]! / GRAIN[rungs[i]!]!).toBeGreaterThan(2)
      }),
    ))
})

describe('sanding through', () => {
  // Flat: 36 - 5 - 15.53 = 15.47 left. Coats: half of 15 % of 12 um is 0.9; hypot(3 x 0.9, sqrt 3 x 0.9) = 3.12.
  it('on a flat by hand: 15.47 um over a sigma of 3.12 is 4.96 sigmas', () => {
    const flat = strikeThrough(budget()).find((r) => r.place === 'flat')!
    expect(flat.left).toBeCloseTo(15.467, 2)
    expect(flat.chance).toBeLessThan(1e-6)
    expect(flat.chance).toBeGreaterThan(1e-8)
  })
  // Edge: 36 x 0.65 = 23.4; 5 + 15.53 x 1.5 = 28.3 taken: 4.9 um through on the average.
  it('at an edge after three clears with a block it is through more often than not, and edges or corners are named first', () => {
    const edge = strikeThrough(budget()).find((r) => r.place === 'edge')!
    expect(edge.left).toBeCloseTo(-4.9, 1)
    expect(edge.chance).toBeGreaterThan(0.5)
    expect(budgetSays(budget())).toMatch(/^(Edges|Corners) go first/)
  })
  it('over a relief of 40 um: above one in two everywhere, and the coats that bring it under 5 % do', () => {
    const over = budget({ texture: 'relief' })
    for (const r of strikeThrough(over)) expect(r.chance).toBeGreaterThan(0.5)
    const more = coatsMore(over)!
    const after = (n: number) => strikeThrough({ ...over, coats: { from: 3 + n, to: 3 + n } }).every((r) => r.chance < 0.05)
    expect(after(more)).toBe(true)
    expect(after(more - 1)).toBe(false)
    expect(budgetSays(over)).toContain(`${more} more coats bring`)
  })
  it('agrees with brute sampling: coats drawn one by one, half of their doubt in common', () => {
    const b = budget({ coats: { from: 5, to: 5 }, film: 11 })
    const roll = dice(7)
    const gauss = () => Math.sqrt(-2 * Math.log(1 - roll())) * Math.cos(2 * Math.PI * roll())
    for (const [place, p] of Object.entries(PLACES_OF_FILM)) {
      const taken = TEXTURES[b.texture].high / 2 + scratchChain(b.grits) * p.bite
      let through = 0
      const N = 40000
      for (let i = 0; i < N; i++) {
        const common = gauss() * 0.5 * (b.doubt / 2)
        const share = p.share + (gauss() * p.doubt) / 2
        let film = 0
        for (let c = 0; c < 5; c++) film += b.film * p.share * (1 + common + gauss() * 0.5 * (b.doubt / 2))
        film += 5 * b.film * (share - p.share)
        if (film < taken) through++
      }
      expect(Math.abs(through / N - chance(b, place)), place).toBeLessThan(0.01)
    }
  })
  it('a count nobody kept widens the odds', () => {
    const known = budget({ coats: { from: 5, to: 5 } })
    const open = budget({ coats: { from: 3, to: 7 } })
    expect(chance(open, 'edge')).toBeGreaterThan(Math.min(0.02, chance(known, 'edge')))
    expect(chance(open, 'edge')).toBeGreaterThan(chance(budget({ coats: { from: 7, to: 7 } }), 'edge'))
    expect(chance(open, 'edge')).toBeLessThan(chance(budget({ coats: { from: 3, to: 3 } }), 'edge'))
  })
  it('more coats never thinner, more passes never thicker, a block never gentler, finer never riskier', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 4, max: 30, noNaN: true }),
        fc.constantFrom(...(Object.keys(TEXTURES) as (keyof typeof TEXTURES)[])),
        fc.subarray(
          GRITS.filter((g) => g >= 400),
          { minLength: 1 },
        ),
        (n, film, texture, grits) => {
          const b = budget({ coats: { from: n, to: n }, film, texture, grits })
          for (const place of ['flat', 'edge', 'corner']) {
            const now = chance(b, place)
            expect(chance({ ...b, coats: { from: n + 1, to: n + 1 } }, place)).toBeLessThanOrEqual(now + 1e-9)
            expect(chance({ ...b, grits: [...grits, 800] }, place)).toBeGreaterThanOrEqual(now - 1e-9)
            expect(chance({ ...b, block: false }, place)).toBeLessThanOrEqual(now + 1e-9)
          }
        },
      ),
    ))
})
