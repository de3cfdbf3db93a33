import { pitchOf, renderTone, type Tone } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { readWav } from './wavIn'

/** A file written by hand, sample for sample. */
function wav(samples: readonly number[], { bits = 16, channels = 1, rate = 44_100, code = 1 } = {}): ArrayBuffer {
  const bytes = bits / 8
  const view = new DataView(new ArrayBuffer(44 + samples.length * bytes))
  const word = (at: number, w: string) => [...w].forEach((c, i) => view.setUint8(at + i, c.charCodeAt(0)))
  word(0, 'RIFF')
  view.setUint32(4, 36 + samples.length * bytes, true)
  word(8, 'WAVE')
  word(12, 'fmt ')
  view.setUint32(16, 16, true)
  view.setUint16(20, code, true)
  view.setUint16(22, channels, true)
  view.setUint32(24, rate, true)
  view.setUint32(28, rate * channels * bytes, true)
  view.setUint16(32, channels * bytes, true)
  view.setUint16(34, bits, true)
  word(36, 'data')
  view.setUint32(40, samples.length * bytes, true)
  samples.forEach((s, i) => {
    const at = 44 + i * bytes
    if (code === 3) view.setFloat32(at, s, true)
    else if (bits === 8) view.setUint8(at, Math.round(s * 127) + 128)
    else if (bits === 16) view.setInt16(at, Math.floor(32767 * s + 0.5), true)
    else if (bits === 24) {
      const v = Math.round(s * 8388607)
      view.setUint8(at, v & 255)
      view.setUint8(at + 1, (v >> 8) & 255)
      view.setInt8(at + 2, v >> 16)
    } else view.setInt32(at, Math.round(s * 2147483647), true)
  })
  return view.buffer
}
const SOME = [0, 0.25, -0.5, 0.75, -0.99]

describe('a WAV file', () => {
  it.each([8, 16, 24, 32])('%i bit: the samples come back', (bits) => {
    const read = readWav(wav(SOME, { bits }))
    if (!read.ok) throw new Error(read.why)
    SOME.forEach((s, i) => expect(read.samples[i]!).toBeCloseTo(s, bits === 8 ? 1 : 3))
  })
  it('floats, and two channels mixed', () => {
    const read = readWav(wav([0.5, -0.5, 0.2, 0.4], { code: 3, bits: 32, channels: 2, rate: 48_000 }))
    if (!read.ok) throw new Error(read.why)
    expect(read.rate).toBe(48_000)
    expect([...read.samples].map((s) => +s.toFixed(6))).toEqual([0, 0.3])
  })
  it('a plucked string in it is heard within half a cent', () => {
    const tone: Tone = {
      first: 146.6,
      stiffness: 4e-5,
      rate: 44_100,
      seconds: 0.5,
      partials: 24,
      pluck: 0.18,
      slope: 1,
      decay: [1.5, 0.02],
      peak: 0.5,
      noise: 0.002,
      seed: 3,
    }
    const read = readWav(wav([...renderTone(tone)]))
    if (!read.ok) throw new Error(read.why)
    const heard = pitchOf(read.samples, read.rate)
    if (!heard.ok) throw new Error(heard.why)
    expect(Math.abs(1200 * Math.log2(heard.heard.hertz / 146.6))).toBeLessThan(0.5)
  })
  it('what is none says so', () => {
    for (const bytes of [new ArrayBuffer(0), new ArrayBuffer(100)])
      expect(readWav(bytes)).toMatchObject({ ok: false, why: expect.stringMatching(/no WAV file|no sound/) })
    expect(readWav(wav([]))).toMatchObject({ ok: false, why: expect.stringMatching(/holds no sound/) })
    expect(readWav(wav(SOME, { code: 85 }))).toMatchObject({ ok: false, why: expect.stringMatching(/16 bit/) })
    expect(readWav(wav(SOME).slice(0, 30))).toMatchObject({ ok: false })
  })
})
