import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { actionAt, actionSet, afterTilt, mouthLift, saddleHeight, shimFor, SPARE, STRIP, stripFor, tiltFor } from './neckAngle'

const view = { board: 9.5, rise: 0, crown: 1.1, reach: 230, tilt: 0, nut: 0.5 }

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
  it('on a front that rises 6 mm to the bridge the saddles stand 6 mm lower over it: 9.5 + 1.1 + 2 x 1.5 - 0.5 = 13.1, less 6', () => {
    expect(saddleHeight({ ...view, action: 1.5 })).toBeCloseTo(13.1, 12)
    expect(saddleHeight({ ...view, action: 1.5, rise: 6 })).toBeCloseTo(7.1, 12)
  })
  it('the two formulas are each other’s way back', () => {
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    fc.assert(
      fc.property(within(0.5, 3), within(-2, 2), within(-3, 15), (action, tilt, rise) => {
        expect(actionAt({ ...view, tilt, rise }, saddleHeight({ ...view, tilt, rise, action }))).toBeCloseTo(action, 9)
      }),
    )
  })
})

describe('goals of a tilt', () => {
  /** Saddles wanted at 11 on a bridge that reaches 11.6 to 17, 240 mm from the mouth, heel 76. */
  const side = { saddle: 11, action: 1.4, low: 11.6, high: 17, reach: 240, heel: 76, held: { height: 2, distance: 20 } }
  it('least shim: just inside the range with its spare, and no more', () => {
    const a = tiltFor(side, { reach: 'least' })!
    expect(a.saddle).toBeCloseTo(11.6 + SPARE, 9)
    expect(a.toLowest).toBeCloseTo(SPARE, 9)
    expect(a.shim).toBeCloseTo((76 * 1.1) / 240, 6)
    expect(tiltFor({ ...side, saddle: 14 }, { reach: 'least' })!.tilt).toBe(0)
  })
  it('too high a bridge wants the neck tipped forward', () => {
    const a = tiltFor({ ...side, saddle: 18 }, { reach: 'least' })!
    expect(a.tilt).toBeLessThan(0)
    expect(a.saddle).toBeCloseTo(17 - SPARE, 9)
    expect(a.shim).toBeGreaterThan(0)
  })
  it('mid-range is mid-range', () => {
    const a = tiltFor(side, { reach: 'middle' })!
    expect(a.saddle).toBeCloseTo(14.3, 9)
    expect(a.toLowest).toBeCloseTo(a.toHighest, 9)
  })
  it('a break angle is reached exactly, or was there already', () => {
    expect(tiltFor(side, { reach: 'break', degrees: 30 })!.breaks).toBeCloseTo(30, 9)
    expect(tiltFor(side, { reach: 'break', degrees: 10 })!.tilt).toBe(0)
    const { held: _, ...free } = side
    expect(tiltFor(free, { reach: 'break', degrees: 10 })).toBeUndefined()
  })
  it('forward it turns about the heel’s end: 1 mm down at the saddle is 0.49 mm under the mouth of a 76 mm heel 230 mm from it [physics]', () => {
    // t = l x drop / (D - l) = 76 x 1 / 154 = 0.4935; the mouth is lifted by as much.
    const long = { ...side, reach: 230, heel: 76 }
    const a = tiltFor({ ...long, saddle: 20, low: 9, high: 19.5 }, { reach: 'least' })!
    expect(a.saddle).toBeCloseTo(19, 9)
    expect(a.shim).toBeCloseTo(0.4935, 4)
    expect(mouthLift(76, a.tilt)).toBeCloseTo(0.4935, 4)
    expect(mouthLift(76, 0.5)).toBe(0)
  })
  it('a bridge with hardly any range is set to its middle', () => {
    expect(tiltFor({ ...side, low: 12, high: 12.6 }, { reach: 'least' })!.saddle).toBeCloseTo(12.3, 9)
  })
  it('a strip lies under its front edge: thinner than the full taper by its width’s share', () => {
    const a = afterTilt(side, 0.5)
    expect(a.strip / a.shim).toBeCloseTo((76 - STRIP) / 76, 9)
    expect(stripFor(-0.5, 76)).toBeCloseTo(a.strip, 12)
  })
  it('what the saddle is off shows at fret 12 by half, and tilt counts', () => {
    expect(actionSet(side, 0, 11)).toBeCloseTo(1.4, 12)
    expect(actionSet(side, 0, 12)).toBeCloseTo(1.9, 12)
    expect(actionSet(side, 0.25, 12)).toBeLessThan(1.9)
  })
  it('more tilt always lifts the saddle and steepens the string', () => {
    fc.assert(
      fc.property(fc.double({ min: -1, max: 2, noNaN: true }), fc.double({ min: 0.01, max: 1, noNaN: true }), (tilt, more) => {
        const [a, b] = [afterTilt(side, tilt), afterTilt(side, tilt + more)]
        expect(b.saddle).toBeGreaterThan(a.saddle)
        expect(b.breaks!).toBeGreaterThan(a.breaks!)
        expect(b.toHighest).toBeLessThan(a.toHighest)
      }),
    )
  })
})
