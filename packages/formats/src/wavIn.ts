import { WaveFile } from 'wavefile'

/** Samples of a WAV file, from -1 to 1, several channels mixed to one, or what is wrong with it. */
export type WavRead = { ok: true; rate: number; samples: Float64Array } | { ok: false; why: string }

const MOST_SECONDS = 30
/** Whole numbers, floats, and either said at length. [published: RIFF/WAVE] */
const PLAIN = [1, 3, 0xfffe]

/** Reads a WAV file of whole numbers or floats. @param bytes of the whole file */
export function readWav(bytes: ArrayBuffer): WavRead {
  const wrong = { ok: false as const, why: 'This is no WAV file that can be read here: save the recording as WAV, 16 bit.' }
  let file: WaveFile
  try {
    file = new WaveFile(new Uint8Array(bytes))
    if (!PLAIN.includes((file.fmt as { audioFormat: number }).audioFormat)) return wrong
    // Whatever it is kept in, as doubles.
    file.toBitDepth('64')
  } catch {
    return wrong
  }
  const { sampleRate: rate, numChannels: channels } = file.fmt as { sampleRate: number; numChannels: number }
  const mixed = file.getSamples(true, Float64Array) as unknown as Float64Array
  const count = Math.min(Math.floor(mixed.length / channels), MOST_SECONDS * rate)
  if (!count) return { ok: false, why: 'This WAV file holds no sound.' }
  const samples = new Float64Array(count)
  for (let i = 0; i < count; i++) {
    for (let c = 0; c < channels; c++) samples[i] = samples[i]! + mixed[i * channels + c]! / channels
  }
  return { ok: true, rate, samples }
}
