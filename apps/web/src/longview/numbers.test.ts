import { describe, expect, it } from 'vitest'
import { numberSpots, type Peg } from './numbers'

const SHEET = { width: 700, height: 220 }
const peg = (x: number, y: number, number: number): Peg => ({ at: { x, y }, r: 11, number })

describe('numbers of the pegs on the long view', () => {
  it('stand beside their pegs where nothing lies there', () => {
    expect(numberSpots([peg(100, 100, 7)], SHEET)).toEqual([{ x: 14, y: 1, anchor: 'start', clear: true }])
  })

  it('go to the other side where the next peg lies', () => {
    // 24 px to the right: the number would stand from 114 to 121, the next peg begins at 113.
    const [first, second] = numberSpots([peg(100, 100, 1), peg(124, 104, 2)], SHEET)
    expect(first).toMatchObject({ x: -14, anchor: 'end', clear: true })
    expect(second).toMatchObject({ x: 14, anchor: 'start', clear: true })
  })

  it('stay on the page at its edge', () => {
    // Two figures are 13.4 wide: to the right they would reach to 717.
    expect(numberSpots([peg(690, 100, 12)], SHEET)).toMatchObject([{ x: -14, anchor: 'end', clear: true }])
  })

  it('a peg without a number has none, and is in the way of the others’', () => {
    const [none, one] = numberSpots([{ at: { x: 124, y: 100 }, r: 6.5 }, peg(104, 100, 3)], SHEET)
    expect(none).toBeUndefined()
    expect(one?.anchor).toBe('end')
  })

  it('are told where nothing round them is free', () => {
    const ring = [0, 45, 90, 135, 180, 225, 270, 315].map((deg) => (deg / 180) * Math.PI)
    const around = ring.map((a): Peg => ({ at: { x: 100 + 22 * Math.cos(a), y: 100 + 22 * Math.sin(a) }, r: 11 }))
    expect(numberSpots([peg(100, 100, 5), ...around], SHEET)[0]?.clear).toBe(false)
  })
})
