import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dewPoint } from './dewPoint'
import { dryingFactor, dryingIn } from './drying'

describe('dew point', () => {
  it.each([
    [20, 50, 9.3],
    [25, 60, 16.7],
    [20, 65, 13.2],
    [10, 80, 6.7],
    [30, 35, 12.9],
    [-5, 70, -9.6],
  ])('%i °C at %i %% is %f °C [published: psychrometric tables, to a tenth, from memory]', (air, damp, dew) =>
    expect(dewPoint(air, damp)).toBeCloseTo(dew, 0),
  )
  it('full damp meets the air, less lies below it, and damper is always higher', () =>
    fc.assert(
      fc.property(fc.double({ min: -10, max: 45, noNaN: true }), fc.double({ min: 5, max: 95, noNaN: true }), (air, damp) => {
        expect(dewPoint(air, 100)).toBeCloseTo(air, 9)
        expect(dewPoint(air, damp)).toBeLessThan(air)
        expect(dewPoint(air, damp + 1)).toBeGreaterThan(dewPoint(air, damp))
      }),
    ))
  it('the pressure of vapour at the dew point is the air’s own: the Magnus formula both ways round [published]', () =>
    fc.assert(
      fc.property(fc.double({ min: -10, max: 45, noNaN: true }), fc.double({ min: 5, max: 100, noNaN: true }), (air, damp) => {
        const pressure = (t: number) => 611.2 * Math.exp((17.62 * t) / (243.12 + t))
        expect(pressure(dewPoint(air, damp)) / ((damp / 100) * pressure(air))).toBeCloseTo(1, 9)
      }),
    ))
})

it('drying doubles for every 10 °C colder than 20, and is never shorter than the label for warmth [practice]', () =>
  expect([20, 10, 0, 30].map(dryingFactor)).toEqual([1, 2, 4, 1]))

it('damp air over 70 % holds drying up by half, on top of the cold [ours]', () =>
  expect([dryingIn({ air: 10, humidity: 71 }), dryingIn({ air: 10, humidity: 70 }), dryingIn({ air: 10 })]).toEqual([3, 2, 2]))
