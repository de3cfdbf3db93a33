import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { meets, meetsPeg, numberSpots, patchOf, type Peg } from './numbers'
import { spread } from './spread'

const SHEET = { width: 700, height: 220 }
const peg = (x: number, y: number, number: number): Peg => ({ at: { x, y }, r: 11, number })
/** What each number lies on, by its peg's own number. */
const lying = (pegs: readonly Peg[]) => {
  const patches = numberSpots(pegs, SHEET).map((spot, i) => spot && patchOf(pegs[i]!, spot))
  return pegs.flatMap((p, i) =>
    patches[i] &&
    (pegs.some((other, j) => j !== i && meetsPeg(patches[i]!, other)) || patches.some((o, j) => j !== i && o && meets(patches[i]!, o)))
      ? [p.number]
      : [],
  )
}

describe('numbers of the pegs on the long view', () => {
  it('stand beside their pegs where nothing lies there', () => {
    expect(numberSpots([peg(100, 100, 7)], SHEET)).toEqual([{ x: 14, y: 1, anchor: 'start' }])
  })

  it('go to the other side where the next peg lies', () => {
    // 24 px to the right: the number would stand from 114 to 121, the next peg begins at 113.
    const [first, second] = numberSpots([peg(100, 100, 1), peg(124, 104, 2)], SHEET)
    expect(first).toEqual({ x: -14, y: 1, anchor: 'end' })
    expect(second).toEqual({ x: 14, y: 1, anchor: 'start' })
  })

  it('stay on the page at its edge', () => {
    const [spot] = numberSpots([peg(690, 100, 12)], SHEET)
    expect(patchOf(peg(690, 100, 12), spot!).right).toBeLessThanOrEqual(SHEET.width)
  })

  it('a peg without a number has none, and is in the way of the others’', () => {
    const [none, one] = numberSpots([{ at: { x: 124, y: 100 }, r: 6.5 }, peg(104, 100, 3)], SHEET)
    expect(none).toBeUndefined()
    expect(one?.anchor).toBe('end')
  })

  it('lie on no peg and no other number, for as many as a body carries', () => {
    const place = fc.record({ x: fc.integer({ min: 20, max: 680 }), y: fc.integer({ min: 20, max: 200 }) })
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 24 }), (places) => {
        const apart = spread(
          places,
          places.map(() => 11),
        )
        const pegs = apart.map((at, i): Peg => ({ at, r: 10, number: i + 1 }))
        // In a close crowd one now and then has no free place; most do.
        expect(lying(pegs).length).toBeLessThanOrEqual(Math.ceil(pegs.length / 8))
      }),
      { numRuns: 300 },
    )
  })
})
