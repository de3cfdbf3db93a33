import { WaveFile } from 'wavefile'

/** A sound as WAV, 16 bits, one channel. @param wave samples from -1 to 1 */
export function toWav(wave: Float32Array, rate: number): Uint8Array {
  const file = new WaveFile()
  file.fromScratch(
    1,
    rate,
    '16',
    Int16Array.from(wave, (v) => Math.round(Math.max(-1, Math.min(1, v)) * 32767)),
  )
  return file.toBuffer()
}
