import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { layPegs } from './layPegs'
import { numberSpots, type Peg } from './numbers'

const SHEET = { width: 700, height: 220 }
const laid = (pegs: readonly Peg[]): Peg[] => layPegs(pegs, SHEET).map((at, i) => ({ ...pegs[i]!, at }))
const hidden = (pegs: readonly Peg[]) => numberSpots(pegs, SHEET).filter((n) => n && !n.clear)

describe('pegs with their numbers on the long view', () => {
  it('lie where their things are while there is room', () => {
    const free: Peg[] = [
      { at: { x: 100, y: 100 }, r: 11, number: 1 },
      { at: { x: 200, y: 90 }, r: 11, number: 2 },
    ]
    expect(laid(free)).toEqual(free)
  })

  it('four in a knot, hemmed in by small ones: each number is to be read', () => {
    const knot: Peg[] = [
      ...[0, 1, 2, 3].map((i): Peg => ({ at: { x: 600 + 6 * i, y: 150 + 4 * (i % 2) }, r: 11, number: 10 + i })),
      ...[0, 1, 2, 3].map((i): Peg => ({ at: { x: 590 + 12 * i, y: 165 }, r: 6.5 })),
    ]
    expect(hidden(knot)).not.toEqual([])
    expect(hidden(laid(knot))).toEqual([])
  })

  it('a body full of them: hardly a number lies on anything, and no peg leaves the page', () => {
    const hot = fc.record({ x: fc.integer({ min: 300, max: 640 }), y: fc.integer({ min: 40, max: 180 }) })
    const off = fc.record({ x: fc.integer({ min: -45, max: 45 }), y: fc.integer({ min: -40, max: 40 }), of: fc.nat(3), small: fc.nat(3) })
    fc.assert(
      fc.property(fc.tuple(hot, hot, hot, hot), fc.array(off, { minLength: 2, maxLength: 28 }), (hots, offs) => {
        const pegs = offs.map((o, i): Peg => {
          const at = { x: hots[o.of]!.x + o.x, y: hots[o.of]!.y + o.y }
          return o.small ? { at, r: 11, number: i + 1 } : { at, r: 6.5 }
        })
        const now = laid(pegs)
        expect(hidden(now).length).toBeLessThanOrEqual(2)
        for (const { at, r } of now) {
          expect(at.x).toBeGreaterThanOrEqual(r)
          expect(at.x).toBeLessThanOrEqual(SHEET.width - r)
          expect(at.y).toBeGreaterThanOrEqual(r)
          expect(at.y).toBeLessThanOrEqual(SHEET.height - r)
        }
      }),
      { numRuns: 150 },
    )
  })
})
