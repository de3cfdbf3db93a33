import { compile, frequencies, resonanceOn, sweep, toNetlist, type Harness, type Load } from '@snug/core'

/** One position's response at the knobs as they stand. */
export interface PositionCurve {
  position: number
  /** dB at each of `frequencies(200)`. */
  gains: Float64Array
  resonance: { hertz: number; decibel: number } | undefined
}

const HERTZ = frequencies(200)

/** The harness with its switch in one position and the knobs from 0 to 10, over the load of cable and amplifier. */
export function positionCurve(harness: Harness, load: Load, knobs: { volume: number; tone: number }, position: number): PositionCurve {
  const solver = compile(toNetlist(harness, { position, ...knobs }, load))
  const gains = sweep(solver, HERTZ)
  return { position, gains, resonance: resonanceOn(solver, HERTZ, gains) }
}

export const positionsOf = (harness: Harness): number => harness.components.find((c) => c.is === 'switch')!.table.positions.length
