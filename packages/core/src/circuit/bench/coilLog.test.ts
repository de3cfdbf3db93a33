import { describe, expect, it } from 'vitest'
import { coilOhms, coilSays, pairSays, stagesSay, woundOf, type WoundCoil } from './coilLog'

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

describe('a coil stage by stage', () => {
  const read = (...ohms: [string, number, number][]) => stagesSay({ read: ohms.map(([stage, ohm, celsius]) => ({ stage, ohm, celsius })) })
  it('warmth alone is nothing: 5800 at 20 and 6028 at 30, 1 + 10 x 0.00393 as much', () =>
    expect(read(['wound', 5800, 20], ['waxed', 6028, 30])[1]).toMatch(/nothing has happened/))
  it('the same reading ten degrees warmer is 3.8 % less copper: 1/1.0393', () =>
    expect(read(['wound', 5800, 20], ['waxed', 5800, 30])[1]).toMatch(/3\.8 % less.*shorted since “wound”/))
  it('a break is named with the stage before it', () =>
    expect(read(['wound', 5800, 20], ['leads on', 1e8, 20])[1]).toMatch(/broken since “wound”/))
  it('more than before', () => expect(read(['wound', 5800, 20], ['leads on', 6100, 20])[1]).toMatch(/5\.2 % more/))
  it('stands by its last reading', () =>
    expect(
      woundOf({
        gauge: 42,
        turns: 8000,
        turn: 130,
        winding: 'clockwise',
        magnet: 'north',
        read: [{ stage: 'wound', ohm: 5700, celsius: 25 }],
      }),
    ).toMatchObject({ ohm: 5700, celsius: 25, turns: 8000 }))
})
