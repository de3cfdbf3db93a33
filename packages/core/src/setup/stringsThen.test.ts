import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { stringPulls, tuningSays } from '../instrument/stringPulls'
import { standardTuning, tuningsFor } from '../instrument/tunings'
import { aBuild, aPart } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { parseGauges, withStrings } from './otherStrings'
import { stringsThen } from './stringsThen'
import { totalPull } from './staleness'

const bare = (): Build => ({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } })
const read = (b: Build, ...readings: SetupReading[]): Build => ({
  ...b,
  setup: { ...b.setup, readings: { ...b.setup.readings, ...Object.fromEntries(readings.map((r) => [setupReadingId(r), r])) } },
})
const aStepDown = tuningsFor(6).find((t) => t.name === 'a step down')!

describe('other strings, thought about', () => {
  it('a step lower pulls 79.4 % on every string, and says what was read goes stale', () => {
    const b = read(bare(), { what: 'relief', value: 0.25 }, { what: 'cents', string: 1, value: 2 })
    const then = stringsThen(b, { tuning: aStepDown })
    for (const s of then.strings) expect(s.will / s.was!).toBeCloseTo(2 ** (-4 / 12), 9)
    expect(then.says[0]).toMatch(/79\.4 % of it/)
    expect(then.stale).toEqual(['relief', 'pitch'])
  })
  it('the bow goes with the pull: slack -0.05, strung 0.25, at 79.4 % it is -0.05 + 0.3 x 0.794 = 0.188', () => {
    const b = read(bare(), { what: 'slack', value: -0.05 }, { what: 'relief', value: 0.25 })
    expect(stringsThen(b, { tuning: aStepDown }).relief!.will).toBeCloseTo(-0.05 + 0.3 * 2 ** (-4 / 12), 6)
    const [without] = [stringsThen(read(bare(), { what: 'relief', value: 0.25 }), { tuning: aStepDown })]
    expect(without.relief).toBeUndefined()
    expect(without.says.join(' ')).toMatch(/straightens: by how much is known once/)
  })
  it('with less bow the strings come down, since saddles stay on the body', () => {
    const b = read(
      bare(),
      { what: 'slack', value: -0.1 },
      { what: 'relief', value: 0.3 },
      { what: 'action', string: 6, value: 1.8 },
      { what: 'action', string: 1, value: 1.6 },
    )
    const lower = stringsThen(b, { tuning: aStepDown }).action!
    expect(lower.bass).toBeLessThan(1.8)
    expect(lower.treble).toBeLessThan(1.6)
    expect(stringsThen(b, {}).action!.bass).toBeCloseTo(1.8, 6)
  })
  it('heavier strings at the same pitch pull by their mass, want their saddle further back, and need wider slots', () => {
    const b = bare()
    const gauges = stringPulls(b).map((p) => p.gauge * 1.1)
    const then = stringsThen(b, { gauges })
    expect(then.total!.will).toBeGreaterThan(then.total!.was * 1.15)
    // A plain string's pull goes with the square of its gauge.
    expect(then.strings[0]!.will / then.strings[0]!.was!).toBeCloseTo(1.21, 2)
    expect(then.strings[0]!.saddle!).toBeGreaterThan(0)
    expect(then.says.join(' ')).toMatch(/All slots are cut for thinner ones/)
    expect(withStrings(b, { gauges }).parts.strings!.sizes['gauge.1']!.value).toBeCloseTo(gauges[0]!, 9)
  })
  it('a vibrato is foretold only by measured sizes; else its direction', () => {
    expect(stringsThen(bare(), { tuning: aStepDown }).float).toBeUndefined()
    expect(stringsThen(bare(), { tuning: aStepDown }).says.join(' ')).toMatch(/A vibrato sinks/)
  })
  it('sets are read as people write them, and refused with what is wrong', () => {
    const ok = (t: string) => {
      const p = parseGauges(t, 6)
      return p.ok ? p.value.gauges : p.why
    }
    const ten = [0.254, 0.3302, 0.4318, 0.6604, 0.9144, 1.1684]
    expect(ok('10 13 17 26 36 46')).toEqual(ten)
    expect(ok('.010 .013 .017 .026 .036 .046')).toEqual(ten)
    expect(ok('0.254, 0.3302, 0.4318, 0.6604, 0.9144, 1.1684')).toEqual(ten)
    expect(ok('10 13 17')).toMatch(/3 gauges are written, 6 strings/)
    expect(ok('10 13 x 26 36 46')).toMatch(/“x” is not a gauge/)
    expect(ok('10 13 17 26 36 460')).toMatch(/460 cannot be a string/)
  })
})

describe('six strings on 762 mm', () => {
  const bass = [0.63, 0.81, 1.1, 1.4, 1.8, 2.4]
  const long = (gauges: readonly number[]) =>
    aBuild(
      {
        neck: aPart('neck', { scale: 762 }),
        strings: aPart('strings', { ...Object.fromEntries(gauges.map((g, i) => [`gauge.${i + 1}`, g])), wound: 4 }),
      },
      { scale: 762 },
    )
  it('bass gauges at guitar pitch would pull far too much: it is said, with the tuning they fit', () => {
    expect(tuningSays(long(bass))).toMatch(/no neck likes it.*These gauges fit an octave down/)
  })
  it('with the octave chosen they pull as strings do: 2^-2 of it, and nothing is said', () => {
    const b = long(bass)
    const down = { ...b, setup: { ...b.setup, tuning: tuningsFor(6).find((t) => t.name === 'an octave down')! } }
    expect(totalPull(down)! / totalPull(b)!).toBeCloseTo(0.25, 6)
    expect(tuningSays(down)).toBeUndefined()
  })
})

describe('a bass of four strings', () => {
  const bass = (gauges: readonly number[]) =>
    aBuild(
      {
        neck: aPart('neck', { scale: 863.6 }),
        strings: aPart('strings', { ...Object.fromEntries(gauges.map((g, i) => [`gauge.${i + 1}`, g * 0.0254])), wound: 4 }),
      },
      { strings: 4, scale: 863.6 },
    )
  it('0.045 to 0.105 on 864 mm is what it is made for: about 190 N on the first, and nothing is said', () => {
    const b = bass([45, 65, 85, 105])
    expect(stringPulls(b)[0]!.newton).toBeGreaterThan(170)
    expect(tuningSays(b)).toBeUndefined()
  })
  it('guitar gauges flap on it', () => expect(tuningSays(bass([26, 36, 46, 56]))).toMatch(/it would flap/))
})

describe('a string at the end of what steel holds', () => {
  // Stress is rho (2 L f)^2, whatever the gauge: E4 on 864 mm 7850 (2 x 0.8636 x 329.63)^2 = 2.54 GPa, on 648 mm 1.43 GPa.
  const of = (scale: number) =>
    aBuild({ neck: aPart('neck', { scale }), strings: aPart('strings', { 'gauge.1': 0.229, wound: 0 }) }, { scale })
  it('E4 on 864 mm may snap', () => expect(tuningSays(of(863.6))).toMatch(/near what steel wire holds, it may snap/))
  it('on 648 mm it does not', () => expect(tuningSays(of(648))).toBeUndefined())
})

describe('twelve strings', () => {
  it('octave strings sound an octave over their courses, from the third on; the first two are pairs', () => {
    const notes = standardTuning(12)
    // E4 E4, B3 B3, then each thick one with its octave: G, D, A, E.
    for (let c = 0; c < 2; c++) expect(notes[2 * c]).toBe(notes[2 * c + 1])
    for (let c = 2; c < 6; c++) expect(Math.abs(notes[2 * c]! - notes[2 * c + 1]!)).toBe(12)
  })
  it('a usual set pulls alike all over: no string under 40 or over 120 N', () => {
    const gauges = [0.254, 0.254, 0.356, 0.356, 0.229, 0.584, 0.305, 0.76, 0.457, 0.99, 0.686, 1.194]
    const b = changed(
      aBuild(
        {
          neck: aPart('neck', { scale: 648 }),
          strings: aPart('strings', { ...Object.fromEntries(gauges.map((g, i) => [`gauge.${i + 1}`, g])), wound: 5 }),
        },
        { strings: 12 },
      ),
    )
    for (const p of stringPulls(b)) expect(p.newton, p.note).toBeGreaterThan(40)
    for (const p of stringPulls(b)) expect(p.newton, p.note).toBeLessThan(120)
    expect(tuningSays(b)).toBeUndefined()
  })
})
