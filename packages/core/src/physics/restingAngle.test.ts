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
})
