import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { actionAt, saddleHeight, shimFor } from './neckAngle'

const view = { board: 9.5, crown: 1.1, reach: 230, tilt: 0, nut: 0.5 }

describe('neck tilt and shim [physics + practice]', () => {
  it('raising the fret plane 1.0 mm at the saddle, 230 mm from the mouth, heel 76 mm: 0.249 deg, 0.33 mm', () => {
    const { tilt, shim } = shimFor(1, 230, 76)
    expect(tilt).toBeCloseTo(0.249, 3)
    expect(shim).toBeCloseTo(0.33, 2)
  })
  it('and fret 12 comes down by half of it', () => {
    const saddle = saddleHeight({ ...view, action: 1.75 })
    const { tilt } = shimFor(1, 230, 76)
    expect(actionAt({ ...view, tilt }, saddle)).toBeCloseTo(1.25, 3)
  })
  // A plastic card is 0.76 mm thick. [published: ISO/IEC 7810]
  it('a plastic card under 70 mm of heel tilts 0.62 deg', () => {
    expect((Math.atan(0.76 / 70) * 180) / Math.PI).toBeCloseTo(0.62, 2)
  })
  it('action measured 1.75, wanted 1.25: the saddle goes down 1.0 mm', () => {
    expect(saddleHeight({ ...view, action: 1.75 }) - saddleHeight({ ...view, action: 1.25 })).toBeCloseTo(1, 12)
  })
  it('the two formulas are each other’s way back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 3, noNaN: true }), fc.double({ min: -2, max: 2, noNaN: true }), (action, tilt) => {
        expect(actionAt({ ...view, tilt }, saddleHeight({ ...view, tilt, action }))).toBeCloseTo(action, 9)
      }),
    )
  })
})
