import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pt, type Point } from '../geometry/point'
import { lensFrom } from './lensFrom'
import { straightened } from './picture'

/** Where a lens of that bend puts what is straight: pixels between 1 + k r2, r in longer sides from the middle. */
const bent = (k: number, p: Point): Point => {
  const [x, y] = [(p.x - 799.5) / 1600, (p.y - 599.5) / 1600]
  const by = 1 + k * (x * x + y * y)
  return pt(799.5 + 1600 * x * by, 599.5 + 1600 * y * by)
}
const edge = (k: number, noise: readonly number[], y: number, slope: number) =>
  noise.map((n, i) => {
    const x = 60 + (1480 * i) / (noise.length - 1)
    const p = bent(k, pt(x, y + slope * (x - 800)))
    return pt(p.x, p.y + n)
  })
const calm = Array.from({ length: 12 }, () => 0)

describe('the lens from an edge that is straight', () => {
  it('finds the bend it was bent by, whichever way', () => {
    for (const k of [-0.3, -0.09, 0.05, 0.2]) {
      const found = lensFrom([edge(k, calm, 120, 0.02), edge(k, calm, 1080, -0.01)], 1600, 1200)!
      expect(found.lens.k).toBeCloseTo(k, 3)
      expect(found.after).toBeLessThan(0.05)
      expect(found.before).toBeGreaterThan(found.after)
    }
  })
  it('of a lens that bends nothing it says so', () => {
    expect(lensFrom([edge(0, calm, 120, 0)], 1600, 1200)!.lens.k).toBeCloseTo(0, 6)
  })
  it('with picks a pixel off, a length across the picture is right within its doubt in 95 of 100', () => {
    let within = 0
    let all = 0
    fc.assert(
      fc.property(
        fc.double({ min: -0.25, max: 0.15, noNaN: true }),
        fc.array(fc.double({ min: -1.7, max: 1.7, noNaN: true }), { minLength: 24, maxLength: 24 }),
        (k, noise) => {
          const found = lensFrom([edge(k, noise.slice(0, 12), 120, 0.02), edge(k, noise.slice(12), 1080, 0)], 1600, 1200)!
          const [a, b] = [pt(300, 600), pt(1300, 600)].map((p) => straightened(found.lens, bent(k, p)))
          all++
          if (Math.abs(Math.hypot(a!.x - b!.x, a!.y - b!.y) / 1000 - 1) <= found.doubt) within++
        },
      ),
      { numRuns: 150 },
    )
    expect(within / all).toBeGreaterThan(0.95)
  })
  it('four places say nothing of a bend', () => expect(lensFrom([edge(0.1, calm.slice(0, 4), 100, 0)], 1600, 1200)).toBeUndefined())
})
