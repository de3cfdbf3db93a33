import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { pt } from '../geometry/point'
import { areaOf } from '../geometry/polygon'
import { outlinePoints } from '../instrument/outline'
import { halfWidths, ownFrame } from './trace'

describe('a traced outline', () => {
  it('comes into the part’s own frame whichever way the picture lies, mirrored or not', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6.28, noNaN: true }), fc.constantFrom(1, -1), (turn, flip) => {
        const seen = (x: number, y: number) =>
          pt(x * Math.cos(turn) - flip * y * Math.sin(turn) + 40, x * Math.sin(turn) + flip * y * Math.cos(turn) - 7)
        const own = ownFrame(seen(0, 0), seen(200, 0), seen(90, 50))
        const p = own(seen(123, -45))
        expect(p.x).toBeCloseTo(123, 6)
        expect(p.y).toBeCloseTo(-45, 6)
      }),
    ))
  // An ellipse of 200 by 150 about x 180: half-widths by its equation, area pi a b.
  it('gives the half-widths of what was traced, and its area back within a hundredth', () => {
    const round = Array.from({ length: 120 }, (_, i) => pt(180 + 200 * Math.cos((i * Math.PI) / 60), 150 * Math.sin((i * Math.PI) / 60)))
    const rows = halfWidths(round)
    const at = rows.find((r) => r.x === 100)!
    expect(at.bass).toBeCloseTo(150 * Math.sqrt(1 - 0.4 ** 2), 0)
    expect(at.treble).toBeCloseTo(at.bass, 1)
    expect(areaOf(outlinePoints(rows)) / (Math.PI * 200 * 150)).toBeGreaterThan(0.985)
    expect(areaOf(outlinePoints(rows)) / (Math.PI * 200 * 150)).toBeLessThan(1.01)
  })
  it('keeps the inner edge of a horn', () => {
    const round = [pt(-60, 60), pt(-60, 90), pt(0, 130), pt(300, 130), pt(300, -130), pt(0, -130), pt(0, -30), pt(0, 30), pt(-20, 40)]
    const horn = halfWidths(round).find((r) => r.x === -40)!
    expect(horn.bassInner).toBeLessThan(horn.bass)
    expect(horn.treble).toBe(0)
  })
  it('nothing of two places', () => expect(halfWidths([pt(0, 0), pt(1, 1)])).toEqual([]))
})
