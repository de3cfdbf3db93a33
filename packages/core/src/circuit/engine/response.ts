import { lowestAt } from '../../quantity/goldenSection'
import type { Solver } from './solver'

export const LOW = 20
export const HIGH = 20000

/** `count` frequencies from 20 Hz to 20 kHz, evenly spaced in octaves. */
export const frequencies = (count: number): Float64Array =>
  Float64Array.from({ length: count }, (_, i) => LOW * (HIGH / LOW) ** (i / (count - 1)))

export interface Peak {
  hertz: number
  decibel: number
}

/** Gain 20 log10 |V| re 1 V, in dB. */
export function gainAt(solver: Solver, hertz: number): number {
  const v = { re: 0, im: 0 }
  solver.solve(hertz, v)
  return 20 * Math.log10(Math.hypot(v.re, v.im))
}

/** Phase of the output, degrees, -180 to 180. */
export function phaseAt(solver: Solver, hertz: number): number {
  const v = { re: 0, im: 0 }
  solver.solve(hertz, v)
  return (Math.atan2(v.im, v.re) * 180) / Math.PI
}

/** Gains in dB over a list of frequencies. */
export function sweep(solver: Solver, hertz: Float64Array): Float64Array {
  const out = new Float64Array(hertz.length)
  const v = { re: 0, im: 0 }
  for (let i = 0; i < hertz.length; i++) {
    solver.solve(hertz[i]!, v)
    out[i] = 10 * Math.log10(v.re * v.re + v.im * v.im)
  }
  return out
}

/** Highest maximum inside the band, closed in on by golden section; nothing when the curve only falls or rises. */
export function resonance(solver: Solver, grid = frequencies(200)): Peak | undefined {
  return resonanceOn(solver, grid, sweep(solver, grid))
}

/** The same from a sweep already made. */
export function resonanceOn(solver: Solver, grid: Float64Array, gains: Float64Array): Peak | undefined {
  let top = -1
  for (let i = 1; i < grid.length - 1; i++) {
    const higher = gains[i]! > gains[i - 1]! && gains[i]! >= gains[i + 1]!
    if (higher && (top < 0 || gains[i]! > gains[top]!)) top = i
  }
  if (top < 0) return undefined
  const at = lowestAt((x) => -gainAt(solver, Math.exp(x)), Math.log(grid[top - 1]!), Math.log(grid[top + 1]!), 1e-7)
  const hertz = Math.exp(at)
  return { hertz, decibel: gainAt(solver, hertz) }
}

/** First frequency going up where the gain has fallen 3.0103 dB below that at 20 Hz; nothing below 20 kHz. */
export function minus3dB(solver: Solver, grid = frequencies(200)): number | undefined {
  const limit = gainAt(solver, LOW) - 10 * Math.log10(2)
  const gains = sweep(solver, grid)
  const i = gains.findIndex((g) => g < limit)
  if (i < 1) return undefined
  let low = Math.log(grid[i - 1]!)
  let high = Math.log(grid[i]!)
  while (high - low > 1e-9) {
    const mid = (low + high) / 2
    if (gainAt(solver, Math.exp(mid)) < limit) high = mid
    else low = mid
  }
  return Math.exp((low + high) / 2)
}
