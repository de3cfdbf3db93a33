import { describe, expect, it } from 'vitest'
import { pt } from '../geometry/point'
import { GRIPPY, restingAngle, SLIPPERY } from './restingAngle'

// [physics]: two lengths of strap over a shoulder, the centre of mass straight below it.
describe('resting angle on a strap', () => {
  const upper = pt(0, 60)
  const lower = pt(400, 0)
  it('weight midway between level buttons: level on any strap', () => {
    expect(restingAngle(pt(200, 0), pt(0, 0), pt(400, 0), SLIPPERY)).toBe(0)
    expect(restingAngle(pt(200, 0), pt(0, 0), pt(400, 0), 0)).toBe(0)
  })
  it('weight near the upper button: the neck goes down, further on a slippery strap', () => {
    const at = (x: number, friction: number) => restingAngle(pt(x, -5), upper, lower, friction)
    expect(at(30, SLIPPERY)).toBeGreaterThan(at(30, GRIPPY))
    expect(at(30, SLIPPERY)).toBeGreaterThan(3)
    expect(at(60, SLIPPERY)).toBeLessThanOrEqual(at(30, SLIPPERY))
  })
  it('weight near the tail: the neck goes up', () => expect(restingAngle(pt(385, -5), upper, lower, SLIPPERY)).toBeLessThan(0))
  it('more friction never lets it drop further', () => {
    for (let x = 10; x < 200; x += 15)
      for (let f = 0.05; f < 0.6; f += 0.1)
        expect(Math.abs(restingAngle(pt(x, -5), upper, lower, f + 0.1))).toBeLessThanOrEqual(
          Math.abs(restingAngle(pt(x, -5), upper, lower, f)),
        )
  })
  it('without friction it rests where both lengths pull alike: the shoulder halves the angle between them', () => {
    const centre = pt(120, -5)
    const deg = restingAngle(centre, upper, lower, 0.0035)
    // At rest the weight lies as low as the strap lets it: its distance from the shoulder is greatest along the ellipse.
    const depth = (d: number) => {
      const t = (d * Math.PI) / 180
      const up = pt(Math.sin(t), Math.cos(t))
      let s = 0
      while (
        Math.hypot(centre.x + s * up.x - upper.x, centre.y + s * up.y - upper.y) +
          Math.hypot(centre.x + s * up.x - lower.x, centre.y + s * up.y - lower.y) <
        1150
      )
        s += 0.01
      return s
    }
    expect(depth(deg)).toBeGreaterThan(depth(deg + 4))
    expect(depth(deg)).toBeGreaterThan(depth(deg - 4))
  })
  it('agrees with the equilibrium found by hand and foot: shoulder on the ellipse, pulls by the sines of the lengths', () => {
    const STRAP = 1150
    const WRAP = 2.6
    /** How hard the upper length pulls over the lower, by halving for the shoulder; nothing when both hang on one side. */
    const odds = (centre: { x: number; y: number }, deg: number) => {
      const t = (deg * Math.PI) / 180
      const at = (s: number) => pt(centre.x + s * Math.sin(t), centre.y + s * Math.cos(t))
      const length = (s: number) => Math.hypot(at(s).x - upper.x, at(s).y - upper.y) + Math.hypot(at(s).x - lower.x, at(s).y - lower.y)
      let [from, to] = [0, STRAP]
      for (let k = 0; k < 60; k++) {
        const middle = (from + to) / 2
        if (length(middle) < STRAP) from = middle
        else to = middle
      }
      const shoulder = at(from)
      // In the room: level is across the line from the centre to the shoulder.
      const level = (b: { x: number; y: number }) => {
        const [dx, dy] = [b.x - shoulder.x, b.y - shoulder.y]
        return (dx * Math.cos(t) - dy * Math.sin(t)) / Math.hypot(dx, dy)
      }
      const [u, l] = [level(upper), level(lower)]
      return u * l < 0 ? Math.log(Math.abs(l / u)) : undefined
    }
    for (const friction of [0.05, 0.2, SLIPPERY])
      for (const x of [20, 60, 110, 260, 330, 380])
        for (const y of [-40, -5, 30]) {
          const centre = pt(x, y)
          const level = odds(centre, 0)
          const deg = restingAngle(centre, upper, lower, friction)
          if (level !== undefined && Math.abs(level) <= friction * WRAP) expect(deg).toBe(0)
          else if (Math.abs(deg) < 85) {
            const way = Math.sign(deg)
            expect(way).toBe(level === undefined || level > 0 ? 1 : -1)
            // A tenth of a degree earlier it still slid; here it holds.
            const [here, before] = [odds(centre, deg), odds(centre, deg - way * 0.11)]
            expect(way * here!, `${x} ${y} ${friction}`).toBeLessThanOrEqual(friction * WRAP + 1e-6)
            expect(before === undefined || way * before > friction * WRAP - 1e-6, `${x} ${y} ${friction}`).toBe(true)
          }
        }
  })
  it('buttons both on one side of the weight: it never holds', () => {
    expect(restingAngle(pt(-900, -5), upper, lower, 0.05)).toBe(85)
    expect(restingAngle(pt(120, -5), upper, lower, SLIPPERY, 1150)).toBe(restingAngle(pt(120, -5), upper, lower, SLIPPERY))
  })
})
