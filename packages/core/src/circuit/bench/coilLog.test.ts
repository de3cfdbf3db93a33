import { describe, expect, it } from 'vitest'
import { coilOhms, coilSays, pairSays, type WoundCoil } from './coilLog'

const coil = (more: Partial<WoundCoil> = {}): WoundCoil => ({
  gauge: 42,
  turns: 8000,
  turn: 130,
  winding: 'clockwise',
  magnet: 'north',
  ...more,
})

describe('a coil somebody winds', () => {
  // 42 AWG: 0.0633 mm, 5.47 ohm/m at 20 degrees; 8000 x 0.130 m = 1040 m: 5.69 k.
  it('reads turns times the mean turn times the wire [published: ASTM B258, from memory]', () =>
    expect(coilOhms(coil())).toBeCloseTo(5690, -2))
  it('reads 3.9 % more ten degrees warmer', () => expect(coilOhms(coil(), 30) / coilOhms(coil(), 20)).toBeCloseTo(1.039, 3))
  it.each([
    [5660, /is what 8000 turns should read/],
    [4200, /2[01]\d\d turns or so are shorted/],
    [1e8, /wire is broken/],
    [7400, /more turns, a longer mean turn or thinner wire/],
  ] as const)('%f ohm', (ohm, says) => expect(coilSays(coil({ ohm }))).toMatch(says))
})

describe('two coils', () => {
  const a = coil({ ohm: 5800 })
  it.each([
    [{ winding: 'counter-clockwise', magnet: 'south' }, /^A pair.*0\.9 %/],
    [{ winding: 'counter-clockwise', magnet: 'north' }, /Turn one magnet over/],
    [{ winding: 'clockwise', magnet: 'south' }, /Swap the leads/],
    [{ winding: 'clockwise', magnet: 'north' }, /hum adds too/],
  ] as const)('%j', (more, says) => expect(pairSays(a, coil({ ohm: 5900, ...more }))).toMatch(says))
})
