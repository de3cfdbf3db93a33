import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holds } from '../testing/holds'
import { betweenAreas, toArea, type Area } from './area'
import { boxAround, rectangle } from './box'
import { pt, type Point } from './point'

const turned = (points: readonly Point[], by: number): Point[] =>
  points.map(({ x, y }) => pt(x * Math.cos(by) - y * Math.sin(by), x * Math.sin(by) + y * Math.cos(by)))
const area = (askew: Point[]): Area => ({ box: boxAround(askew), askew })

describe('rectangles that lie askew', () => {
  // A square of 20 about the origin, turned by 45 degrees, reaches 14.142 along either axis.
  const diamond = area(turned(rectangle(-10, -10, 10, 10), Math.PI / 4))
  it('of a place: 10 inside at the middle, on the corner nothing, beside it less than to the box round it', () => {
    expect(toArea(diamond, pt(0, 0))).toBeCloseTo(-10, 9)
    expect(toArea(diamond, pt(Math.SQRT2 * 10, 0))).toBeCloseTo(0, 9)
    // The box's own corner is 14.142 √2 − 10 = 10 from the edge.
    expect(toArea(diamond, pt(Math.SQRT2 * 10, Math.SQRT2 * 10))).toBeCloseTo(10, 9)
  })
  it('of another: a box whose corner looks at its side, where the boxes round them overlap', () => {
    const beside: Area = { box: { x: 12, y: 12, width: 5, height: 5 } }
    // 12 √2 − 10.
    expect(betweenAreas(diamond, beside)).toBeCloseTo(12 * Math.SQRT2 - 10, 9)
    expect(betweenAreas(beside, diamond)).toBeCloseTo(12 * Math.SQRT2 - 10, 9)
    const into: Area = { box: { x: 6, y: 6, width: 5, height: 5 } }
    expect(betweenAreas(diamond, into)).toBeCloseTo(6 * Math.SQRT2 - 10, 9)
  })
  it('turned together they stand as they stood', () => {
    const span = fc.record({
      x: fc.integer({ min: -50, max: 50 }),
      y: fc.integer({ min: -50, max: 50 }),
      w: fc.integer({ min: 1, max: 30 }),
      h: fc.integer({ min: 1, max: 30 }),
    })
    const corners = (s: { x: number; y: number; w: number; h: number }) => rectangle(s.x, s.y, s.x + s.w, s.y + s.h)
    holds(
      fc.property(span, span, fc.double({ min: 0, max: Math.PI, noNaN: true }), (a, b, by) => {
        const straight = betweenAreas({ box: boxAround(corners(a)) }, { box: boxAround(corners(b)) })
        expect(betweenAreas(area(turned(corners(a), by)), area(turned(corners(b), by)))).toBeCloseTo(straight, 6)
        const at = pt(b.x, b.y)
        const [turnedAt] = turned([at], by)
        expect(toArea(area(turned(corners(a), by)), turnedAt!)).toBeCloseTo(toArea({ box: boxAround(corners(a)) }, at), 6)
      }),
      200,
    )
  })
})
