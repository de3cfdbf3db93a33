import { frequencies, sweep } from '../engine/response'
import { compile } from '../engine/solver'
import { toNetlist, type Harness, type Load } from '../model/harness'
import { type Setting } from '../model/setting'
import { switchStates } from '../model/switchStates'

/** One swept curve: gains in dB over `hertz`, at one setting. */
export interface Curve {
  setting: Setting
  gains: Float64Array
}

export interface Picture {
  hertz: Float64Array
  curves: Curve[]
}

/**
 * The whole picture of a harness: every way the switches can stand with one knob swept from 0 to 10, the others held.
 * @param knob id of the pot that is swept
 * @param points frequencies per curve
 */
export function circuitPicture(harness: Harness, load: Load, knob: string, held: Setting['knobs'], points = 200): Picture {
  const hertz = frequencies(points)
  const curves = switchStates(harness).flatMap(({ switches }) =>
    Array.from({ length: 11 }, (_, turn): Curve => {
      const setting = { switches, knobs: { ...held, [knob]: turn } }
      return { setting, gains: sweep(compile(toNetlist(harness, setting, load)), hertz) }
    }),
  )
  return { hertz, curves }
}
