import fc from 'fast-check'
import { expect, it } from 'vitest'
import { inset } from './inset'
import { areaOf, clearOfEdge, nearestOnEdge } from './polygon'
import { pt } from './point'

const SQUARE = [pt(0, 0), pt(100, 0), pt(100, 100), pt(0, 100)]
const at = fc.record({ x: fc.double({ min: -50, max: 150, noNaN: true }), y: fc.double({ min: -50, max: 150, noNaN: true }) })

it('clear of an edge is what is farther from its nearest point', () => {
  fc.assert(
    fc.property(fc.array(at, { minLength: 2, maxLength: 9 }), at, fc.double({ min: 0, max: 90, noNaN: true }), (points, place, by) => {
      const { distance } = nearestOnEdge(points, place)
      fc.pre(Number.isFinite(distance) && Math.abs(distance - by) > 1e-6)
      expect(clearOfEdge(points, place, by)).toBe(distance > by)
    }),
  )
})

it('a square drawn in by ten all round has sides of eighty, whichever way round it goes', () => {
  // Corners go square to their neighbours' line: each side needs points between them.
  const along = SQUARE.flatMap((p, i) => {
    const q = SQUARE[(i + 1) % 4]!
    return Array.from({ length: 20 }, (_, k) => pt(p.x + ((q.x - p.x) * k) / 20, p.y + ((q.y - p.y) * k) / 20))
  })
  for (const round of [along, along.toReversed()]) {
    const drawn = inset(round, 10)
    expect(areaOf(drawn)).toBeGreaterThan(78 * 78)
    expect(areaOf(drawn)).toBeLessThan(82 * 82)
    for (const p of drawn) expect(nearestOnEdge(SQUARE, p).distance).toBeGreaterThan(9.3)
  }
  expect(inset(along, 60)).toEqual([])
})
