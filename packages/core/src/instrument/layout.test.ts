import { describe, expect, it } from 'vitest'
import { boxAround, rectangle } from '../geometry/box'
import { pt } from '../geometry/point'
import { areaOf, contains, perimeterOf } from '../geometry/polygon'
import { fretPlace, fretPlaces } from '../physics/frets'
import { outlinePoints } from './outline'
import { stringAcross, stringLines } from './strings'

describe('frets [physics: twelve-tone equal temperament]', () => {
  it.each([
    [647.7, 1, 36.353],
    [647.7, 5, 162.473],
    [647.7, 7, 215.412],
    [647.7, 12, 323.85],
    [647.7, 15, 375.376],
    [647.7, 21, 455.138],
    [647.7, 22, 465.945],
    [628.65, 1, 35.283],
    [628.65, 12, 314.325],
    [628.65, 22, 452.241],
    [762, 12, 381],
    [762, 24, 571.5],
  ])('scale %f fret %i at %f', (scale, n, at) => expect(fretPlace(scale, n)).toBeCloseTo(at, 3))

  it('the 17.817 rule gives the same to 0.01 mm', () => {
    let left = 647.7
    for (const at of fretPlaces(647.7, 22)) {
      left -= left / 17.817
      expect(Math.abs(647.7 - left - at)).toBeLessThan(0.01)
    }
  })
})

describe('string lines', () => {
  it('spread evenly and run straight', () => {
    const lines = stringLines(6, 35.5, 52.5)
    expect(lines[0]!.atNut).toBeCloseTo(-17.75, 9)
    expect(lines[5]!.atBridge).toBeCloseTo(26.25, 9)
    expect(stringAcross(lines[5]!, 323.85, 647.7)).toBeCloseTo((17.75 + 26.25) / 2, 9)
  })
})

describe('outlines from half-widths', () => {
  const circle = Array.from({ length: 41 }, (_, i) => {
    const x = -100 + i * 5
    const y = Math.sqrt(Math.max(0, 100 ** 2 - x ** 2))
    return { x, bass: y, treble: y }
  })
  it('pass through every row and close to the true area and length of a circle', () => {
    const points = outlinePoints(circle)
    expect(areaOf(points)).toBeCloseTo(Math.PI * 100 ** 2, -2)
    expect(perimeterOf(points) / (2 * Math.PI * 100)).toBeCloseTo(1, 2)
    for (const row of circle) expect(points.some((p) => Math.hypot(p.x - row.x, p.y - row.bass) < 1e-6)).toBe(true)
  })
  it('dip into a cutaway: beside the neck, ahead of the mouth, there is air', () => {
    const rows = [
      { x: -50, bass: 120, treble: 0, bassInner: 110 },
      { x: 0, bass: 140, treble: 44, bassInner: 44 },
      { x: 100, bass: 130, treble: 120 },
      { x: 300, bass: 20, treble: 20 },
    ]
    const points = outlinePoints(rows)
    expect(contains(points, pt(-20, 10))).toBe(false)
    expect(contains(points, pt(-20, 110))).toBe(true)
    expect(contains(points, pt(-20, -60))).toBe(false)
    expect(contains(points, pt(100, 0))).toBe(true)
  })
  it('are nothing from fewer than three rows', () => expect(outlinePoints([{ x: 0, bass: 1, treble: 1 }])).toEqual([]))
})

describe('polygons', () => {
  it('area, length and box of a rectangle', () => {
    const r = rectangle(0, 0, 4, 3)
    expect([areaOf(r), perimeterOf(r)]).toEqual([12, 14])
    expect(boxAround(r, 1)).toEqual({ x: -1, y: -1, width: 6, height: 5 })
  })
})
