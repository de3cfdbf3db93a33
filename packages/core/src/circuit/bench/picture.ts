import { frequencies, sweep } from '../engine/response'
import { compile } from '../engine/solver'
import { toNetlist, type Harness, type Load } from '../model/harness'

/** One swept curve: gains in dB over `hertz`, at a position and knob setting. */
export interface Curve {
  position: number
  volume: number
  tone: number
  gains: Float64Array
}

export interface Picture {
  hertz: Float64Array
  curves: Curve[]
}

/**
 * The whole picture of a harness: every switch position with one knob swept from 0 to 10, the other held.
 * @param points frequencies per curve
 */
export function circuitPicture(
  harness: Harness,
  load: Load,
  knob: 'volume' | 'tone',
  held: { volume: number; tone: number },
  points = 200,
): Picture {
  const hertz = frequencies(points)
  const table = harness.components.find((c) => c.is === 'switch')!.table
  const curves: Curve[] = []
  table.positions.forEach((_, i) => {
    for (let k = 0; k <= 10; k++) {
      const setting = { position: i + 1, ...held, [knob]: k }
      curves.push({ ...setting, gains: sweep(compile(toNetlist(harness, setting, load)), hertz) })
    }
  })
  return { hertz, curves }
}
