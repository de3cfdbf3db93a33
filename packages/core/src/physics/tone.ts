import { dice } from '../quantity/dice'

/** A plucked stiff string as it sounds, with what a room and a cable add to it. */
export interface Tone {
  /** First partial, Hz; partial k lies at k f1 sqrt((1 + B k2)/(1 + B)). */
  first: number
  stiffness: number
  rate: number
  seconds: number
  partials: number
  /** Place of the pluck, share of the length; how fast partials fall with their number; how fast they die, 1/s. */
  pluck: number
  slope: number
  decay: readonly [all: number, byNumber: number]
  peak: number
  noise: number
  seed: number
  gain?: Readonly<Record<number, number>>
  onset?: number
  dc?: number
  hum?: { level: number; hertz: number }
}

/** The same tone for the same seed, sample by sample. [physics: partials of a stiff string; ours: the rest] */
export function renderTone(t: Tone): Float64Array {
  const roll = dice(t.seed)
  const phase = Array.from({ length: t.partials }, () => 2 * Math.PI * roll())
  const n = Math.round(t.rate * t.seconds)
  const out = new Float64Array(n)
  const start = t.onset ?? 0
  for (let k = 1; k <= t.partials; k++) {
    const f = k * t.first * Math.sqrt((1 + t.stiffness * k * k) / (1 + t.stiffness))
    if (f >= 0.45 * t.rate) continue
    const level = (t.gain?.[k] ?? 1) * Math.abs(Math.sin(k * Math.PI * t.pluck)) * k ** -t.slope
    const dies = t.decay[0] + t.decay[1] * k * k
    for (let i = 0; i < n; i++) {
      const dt = i / t.rate - start
      if (dt >= 0) out[i] = out[i]! + level * Math.exp(-dies * dt) * Math.sin(2 * Math.PI * f * dt + phase[k - 1]!)
    }
  }
  let most = 0
  for (const y of out) most = Math.max(most, Math.abs(y))
  const scale = most ? t.peak / most : 0
  for (let i = 0; i < n; i++) {
    const hum = t.hum ? t.hum.level * Math.sin((2 * Math.PI * t.hum.hertz * i) / t.rate) : 0
    const y = out[i]! * scale + (t.dc ?? 0) + hum + t.noise * Math.sqrt(3) * (2 * roll() - 1)
    out[i] = Math.min(1, Math.max(-1, y))
  }
  return out
}
