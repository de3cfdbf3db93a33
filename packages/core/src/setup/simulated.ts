import type { Build } from '../document/build'
import { stringPulls, type StringPull } from '../instrument/stringPulls'
import { bending } from '../physics/stiffString'
import { renderTone } from '../physics/tone'
import { pitchLines } from './pitchPlot'

export const pulledString = (build: Build, number: number): StringPull | undefined => stringPulls(build).find((p) => p.number === number)

const RATE = 44_100
const STEEL = 200
/** Where nobody has read a string, its saddle is that much off, cents at fret 12, so that there is something to find. [ours] */
const ASTRAY = [4.2, -2.8, 6.1, 1.9, -4.6, 8.3]

/** The build's own string plucked once, open or at a fret, as a microphone would take it: stiff, dying away, with some noise. [ours] */
export function simulatedPluck(build: Build, number: number, fret: number): [samples: Float64Array, rate: number] {
  const p = pulledString(build, number)
  if (!p) return [new Float64Array(0), RATE]
  const line = pitchLines(build).find((l) => l.number === number)
  const off = fret === 0 ? 0 : (line?.cents[fret - 1] ?? 0) + (line?.read ? 0 : ASTRAY[(number - 1) % ASTRAY.length]! * (fret / 12))
  const length = (build.scale / 1000) * 2 ** (-fret / 12)
  const B = (Math.PI ** 2 * bending(p.core, STEEL)) / (p.newton * length ** 2)
  const samples = renderTone({
    first: p.hertz * 2 ** (fret / 12 + off / 1200),
    stiffness: B,
    rate: RATE,
    seconds: 0.6,
    partials: 24,
    pluck: 0.18,
    slope: 1,
    decay: [1.6, 0.03],
    peak: 0.5,
    noise: 0.002,
    seed: number * 31 + fret,
  })
  return [samples, RATE]
}
