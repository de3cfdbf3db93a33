import { expect, it } from 'vitest'
import { toWav } from './wav'

it('a WAV file says its rate, its length and its samples [published: RIFF WAVE, from memory]', () => {
  const bytes = toWav(Float32Array.from([0, 0.5, -1, 2]), 44100)
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const word = (at: number) => String.fromCharCode(...bytes.slice(at, at + 4))
  expect([word(0), word(8), word(12), word(36)]).toEqual(['RIFF', 'WAVE', 'fmt ', 'data'])
  expect([view.getUint16(22, true), view.getUint32(24, true), view.getUint16(34, true), view.getUint32(40, true)]).toEqual([
    1, 44100, 16, 8,
  ])
  // Beyond full scale it is cut off there, not turned over.
  expect([0, 1, 2, 3].map((i) => view.getInt16(44 + 2 * i, true))).toEqual([0, 16384, -32767, 32767])
})
