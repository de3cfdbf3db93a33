import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boxAround, rectangle } from './box'
import { pt } from './point'
import { areaOf, centroidOf, contains, perimeterOf } from './polygon'

const coordinate = fc.double({ min: -500, max: 500, noNaN: true })
const points = fc.array(fc.tuple(coordinate, coordinate), { minLength: 1, maxLength: 9 }).map((list) => list.map(([x, y]) => pt(x, y)))
/** A right angle of 30 by 40 mm, so 50 mm long on its third side. */
const TRIANGLE = [pt(10, 20), pt(40, 20), pt(10, 60)]

describe('a box', () => {
  it('round points: all of them lie in it, each side is met by one, and the margin is added all round', () =>
    fc.assert(
      fc.property(points, fc.double({ min: 0, max: 20, noNaN: true }), (list, margin) => {
        const tight = boxAround(list)
        const at = (way: (a: number, b: number) => number, of: 'x' | 'y') => list.map((p) => p[of]).reduce((a, b) => way(a, b))
        expect([tight.x, tight.y]).toEqual([at(Math.min, 'x'), at(Math.min, 'y')])
        expect(tight.x + tight.width).toBeCloseTo(at(Math.max, 'x'), 9)
        expect(tight.y + tight.height).toBeCloseTo(at(Math.max, 'y'), 9)
        const wide = boxAround(list, margin)
        expect([wide.x, wide.y]).toEqual([tight.x - margin, tight.y - margin])
        expect([wide.width, wide.height]).toEqual([tight.width + 2 * margin, tight.height + 2 * margin])
      }),
    ))
  it('as a polygon goes once round', () => {
    const r = rectangle(1, 2, 4, 7)
    expect(r).toEqual([pt(1, 2), pt(4, 2), pt(4, 7), pt(1, 7)])
    expect(areaOf(r)).toBe(15)
    expect(perimeterOf(r)).toBe(16)
  })
})

describe('a polygon', () => {
  it('area, way round and middle of a triangle by hand: 30 x 40 / 2, 30 + 40 + 50, a third of the corners', () => {
    expect(areaOf(TRIANGLE)).toBe(600)
    expect(areaOf(TRIANGLE.toReversed())).toBe(600)
    expect(perimeterOf(TRIANGLE)).toBe(120)
    expect(centroidOf(TRIANGLE)).toEqual(pt(20, expect.closeTo(100 / 3, 9) as number))
  })
  it('has an inside', () => {
    expect(contains(TRIANGLE, pt(15, 25))).toBe(true)
    expect(contains(TRIANGLE, pt(39, 59))).toBe(false)
    expect(contains(TRIANGLE, pt(9, 25))).toBe(false)
  })
  it('of no area has no middle, a speck of one has', () => {
    expect(centroidOf([pt(0, 0), pt(5, 5), pt(10, 10)])).toBeUndefined()
    expect(centroidOf(rectangle(0, 0, 1e-4, 1e-4))).toBeDefined()
  })
})
