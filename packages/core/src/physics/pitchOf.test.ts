import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { PitchDetector } from 'pitchy'
import { describe, expect, it } from 'vitest'
import { pitchOf } from './pitchOf'
import { renderTone, type Tone } from './tone'
import { holds } from '../testing/holds'

interface Case {
  id: string
  input: {
    f1_Hz: number
    B: number
    rate_Hz: number
    seconds: number
    partials: number
    pluck: number
    slope: number
    decay0: number
    decay2: number
    peak: number
    noise_rms: number
    seed: number
    gain?: Record<number, number>
    onset_s?: number
    dc?: number
    hum?: number
    hum_Hz?: number
  }
  result: { f1_Hz: number; samples: Record<string, number>; rms: number }
}
/** Rendered by an independent program from the same words; the truth is the first partial. */
const { cases } = JSON.parse(readFileSync(new URL('./reference/sound.json', import.meta.url), 'utf8')) as { cases: Case[] }
const toneOf = ({ input: i }: Case): Tone => ({
  first: i.f1_Hz,
  stiffness: i.B,
  rate: i.rate_Hz,
  seconds: i.seconds,
  partials: i.partials,
  pluck: i.pluck,
  slope: i.slope,
  decay: [i.decay0, i.decay2],
  peak: i.peak,
  noise: i.noise_rms,
  seed: i.seed,
  ...(i.gain ? { gain: i.gain } : {}),
  ...(i.onset_s === undefined ? {} : { onset: i.onset_s }),
  ...(i.dc === undefined ? {} : { dc: i.dc }),
  ...(i.hum === undefined ? {} : { hum: { level: i.hum, hertz: i.hum_Hz! } }),
})
const off = (samples: Float64Array, rate: number, hertz: number): number => {
  const found = pitchOf(samples, rate)
  if (!found.ok) throw new Error(found.why)
  return 1200 * Math.log2(found.heard.hertz / hertz)
}

describe.each(cases)('$id', (c) => {
  const samples = renderTone(toneOf(c))
  it('is rendered sample for sample', () => {
    for (const [n, y] of Object.entries(c.result.samples)) expect(Math.abs(samples[Number(n)]! - y)).toBeLessThanOrEqual(1e-6)
    expect(Math.sqrt(samples.reduce((s, y) => s + y * y, 0) / samples.length)).toBeCloseTo(c.result.rms, 6)
  })
  it('is heard within half a cent', () => expect(Math.abs(off(samples, c.input.rate_Hz, c.result.f1_Hz))).toBeLessThanOrEqual(0.5))
})

describe('pitch of tones of known pitch', () => {
  const plain: Tone = {
    first: 110,
    stiffness: 0,
    rate: 44_100,
    seconds: 0.5,
    partials: 1,
    pluck: 0.5,
    slope: 1,
    decay: [0, 0],
    peak: 0.5,
    noise: 0,
    seed: 1,
  }
  it('pure, 40 to 1400 Hz: within half a cent', () =>
    void holds(
      fc.property(fc.double({ min: 40, max: 1400, noNaN: true }), fc.constantFrom(44_100, 48_000), (first, rate) => {
        expect(Math.abs(off(renderTone({ ...plain, first, rate }), rate, first))).toBeLessThanOrEqual(0.5)
      }),
      250,
    ))
  it('stiff and plucked anywhere, 20 dB over the noise', () =>
    void holds(
      fc.property(
        fc.double({ min: 41, max: 1300, noNaN: true }),
        fc.double({ min: 1e-6, max: 2e-4, noNaN: true }),
        fc.double({ min: 0.07, max: 0.3, noNaN: true }),
        fc.integer({ min: 1, max: 1e6 }),
        (first, stiffness, pluck, seed) => {
          const tone = { ...plain, first, stiffness, pluck, seed, partials: 24, decay: [2, 0.03] as const }
          const clean = renderTone(tone)
          const rms = Math.sqrt(clean.reduce((s, y) => s + y * y, 0) / clean.length)
          expect(Math.abs(off(renderTone({ ...tone, noise: rms / 10 }), 44_100, first))).toBeLessThanOrEqual(0.5)
        },
      ),
      240,
    ))
  it('high and plucked near the bridge: its period, not three of them', () => {
    const tone = { ...plain, first: 1250.77, stiffness: 1e-6, pluck: 0.0747, partials: 24, decay: [2, 0.03] as const }
    const clean = renderTone(tone)
    const rms = Math.sqrt(clean.reduce((s, y) => s + y * y, 0) / clean.length)
    for (const seed of [1, 2, 3, 4])
      expect(Math.abs(off(renderTone({ ...tone, seed, noise: rms / 10 }), 44_100, 1250.77))).toBeLessThanOrEqual(0.5)
  })
  it('agrees with a general pitch detector within a cent, on tones with all their partials in line', () => {
    const size = 8192
    const other = PitchDetector.forFloat64Array(size)
    fc.assert(
      fc.property(fc.double({ min: 70, max: 700, noNaN: true }), fc.double({ min: 0.1, max: 0.3, noNaN: true }), (first, pluck) => {
        const sound = renderTone({ ...plain, first, pluck, partials: 10 })
        const found = pitchOf(sound, 44_100)
        const [hertz, clarity] = other.findPitch(sound.slice(0, size), 44_100)
        expect(clarity).toBeGreaterThan(0.95)
        expect(found.ok && Math.abs(1200 * Math.log2(found.heard.hertz / hertz))).toBeLessThan(1)
      }),
      { numRuns: 30 },
    )
  })
  it('begins late: what is silent before is passed over', () =>
    expect(Math.abs(off(renderTone({ ...plain, partials: 12, pluck: 0.15, onset: 0.2, seconds: 0.8 }), 44_100, 110))).toBeLessThanOrEqual(
      0.5,
    ))
  it('silence and noise are no pitch, and say what to do', () => {
    const quiet = pitchOf(new Float64Array(22_050), 44_100)
    expect(!quiet.ok && quiet.why).toMatch(/pluck it once/)
    const hiss = pitchOf(renderTone({ ...plain, partials: 0, noise: 0.1 }), 44_100)
    expect(!hiss.ok && hiss.why).toMatch(/damp the other strings/)
  })
})
