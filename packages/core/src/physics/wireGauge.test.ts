import { describe, expect, it } from 'vitest'
import { awgDiameter, awgOhmPerMetre, COPPER_PER_KELVIN } from './wireGauge'

it.each([
  [36, 0.127, 1.361],
  [42, 0.0633, 5.445],
  [43, 0.0564, 6.866],
  [22, 0.6438, 0.05296],
  [24, 0.5106, 0.08422],
  [10, 2.588, 0.003277],
])('gauge %i: %f mm, %f ohm a metre [published: ASTM B258 and IEC 60028, table values from memory]', (gauge, mm, ohm) => {
  expect(awgDiameter(gauge) / mm).toBeCloseTo(1, 2)
  expect(awgOhmPerMetre(gauge) / ohm).toBeCloseTo(1, 2)
})
it('39 gauges are 92 times the diameter, and three gauges about half the copper', () => {
  expect(awgDiameter(0) / awgDiameter(39)).toBeCloseTo(92, 9)
  expect(awgOhmPerMetre(25) / awgOhmPerMetre(22)).toBeCloseTo(2, 1)
})
it('warm copper resists more: 0.39 % a kelvin over 20 °C, less when colder', () => {
  expect(awgOhmPerMetre(42, 30) / awgOhmPerMetre(42)).toBeCloseTo(1 + 10 * COPPER_PER_KELVIN, 12)
  expect(awgOhmPerMetre(42, 10) / awgOhmPerMetre(42, 20)).toBeCloseTo(1 - 10 * COPPER_PER_KELVIN, 12)
})

describe('wire gauge', () => {
  // [published: ASTM B258]
  it.each([
    [22, 0.644],
    [24, 0.511],
    [26, 0.405],
    [42, 0.0633],
  ])('AWG %i is %f mm', (n, d) => expect(awgDiameter(n)).toBeCloseTo(d, d > 0.1 ? 3 : 4))
  // [published: IEC 60028]
  it('AWG 22 reads 0.0530 and 42 5.47 ohm a metre; warm copper 0.393 % a kelvin more', () => {
    expect(awgOhmPerMetre(22)).toBeCloseTo(0.053, 3)
    expect(awgOhmPerMetre(42)).toBeCloseTo(5.47, 2)
    expect(awgOhmPerMetre(42, 30) / awgOhmPerMetre(42)).toBeCloseTo(1.0393, 4)
  })
  it('three gauges on halve the section', () => expect((awgDiameter(25) / awgDiameter(22)) ** 2).toBeCloseTo(0.5, 2))
})
