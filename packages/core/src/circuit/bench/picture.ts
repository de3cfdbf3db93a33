import { frequencies } from '../engine/response'
import { sweepVariants } from '../engine/variants'
import type { Harness, PotPart } from '../model/harness'
import { potElements, toNetlist, type Load } from '../model/toNetlist'
import type { Setting } from '../model/setting'
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
  const pot = harness.components.find((c) => c.is === 'pot' && c.id === knob) as PotPart | undefined
  // All but the swept pot is the same at every turn: it is worked out once a position.
  const rest = { ...harness, components: harness.components.filter((c) => c !== pot) }
  const curves = switchStates(harness).flatMap(({ switches }): Curve[] => {
    const settings = Array.from({ length: 11 }, (_, turn): Setting => ({ switches, knobs: { ...held, [knob]: turn } }))
    const turns = settings.map((setting) => (pot ? potElements(pot, setting) : []))
    const gains = sweepVariants(toNetlist(rest, settings[0]!, load), turns, hertz)
    return settings.map((setting, i) => ({ setting, gains: gains[i]! }))
  })
  return { hertz, curves }
}
