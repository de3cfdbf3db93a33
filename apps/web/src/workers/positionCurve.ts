import { compile, frequencies, resonanceOn, sweep, toNetlist, type Harness, type Load, type Setting, type SwitchState } from '@snug/core'

/** The response with the switches in one state, at the knobs as they stand. */
export interface PositionCurve {
  /** Of the switch state. */
  id: string
  /** dB at each of `frequencies(200)`. */
  gains: Float64Array
  resonance: { hertz: number; decibel: number } | undefined
}

const HERTZ = frequencies(200)

/** The harness over the load of cable and amplifier. */
export function positionCurve(harness: Harness, load: Load, knobs: Setting['knobs'], { id, switches }: SwitchState): PositionCurve {
  const solver = compile(toNetlist(harness, { switches, knobs }, load))
  const gains = sweep(solver, HERTZ)
  return { id, gains, resonance: resonanceOn(solver, HERTZ, gains) }
}
