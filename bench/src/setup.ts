import { bestRelief, buzzMap, pitchOf, renderTone, setupModel, type Build } from '@snug/core'
import { aPart } from '@snug/core/testing/bench'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import { median, row } from './measure'

const RATE = 48_000

/** What Set up computes while a person turns a screw: the buzz map, the relief it is lowest at, a pitch heard. */
export async function benchSetup(): Promise<void> {
  const gauges = Array.from({ length: 12 }, (_, i) => [`gauge.${i + 1}`, 0.25 + 0.07 * i] as const)
  const six = fullBuild()
  const twelve: Build = { ...changed(six, { 'neck/frets': 24 }), strings: 12 }
  twelve.parts.strings = aPart('strings', Object.fromEntries(gauges))
  // Pulled to the frets and away from them: both are in every cell.
  row('buzz map, 12 strings, 24 frets, both plucks, to 20 ms', await median(50, () => buzzMap(twelve, setupModel(twelve))))
  row('best relief of six strings, to 500 ms', await median(9, () => bestRelief(six)))
  row('best relief of twelve strings, to 500 ms', await median(9, () => bestRelief(twelve)))
  for (const first of [41.2, 82.4, 329.6, 1318.5]) {
    const sound = renderTone({
      first,
      stiffness: 1e-4,
      rate: RATE,
      seconds: 0.5,
      partials: 20,
      pluck: 0.18,
      slope: 1,
      decay: [1.6, 0.03],
      peak: 0.5,
      noise: 0.002,
      seed: 7,
    })
    row(`pitch of half a second at ${first} Hz, to 20 ms`, await median(20, () => pitchOf(sound, RATE)))
  }
}
