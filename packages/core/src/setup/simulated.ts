import type { Build } from '../document/build'
import type { Slot } from '../parts/slots'
import { stringPulls, type StringPull } from '../instrument/stringPulls'
import { bending } from '../physics/stiffString'
import { renderTone } from '../physics/tone'
import { pickupHeights } from './pickupHeights'
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

/** Strings are not alike under a pickup: by so many dB, so that there is something to find. [ours] */
const UNLIKE = [0, 0.8, -0.4, 2.6, 0.3, -2.2]
/** Distance at which a pickup is heard as it is rendered, mm. [ours] */
const HEARD_AT = 2

/** The same string through a pickup: softer by the square of its distance, as read, or as wanted where nobody has read it. [ours] */
export function simulatedLevel(build: Build, slot: Slot, number: number): [samples: Float64Array, rate: number] {
  const [samples, rate] = simulatedPluck(build, number, 0)
  const sides = pickupHeights(build).find((p) => p.slot === slot)?.sides
  if (!sides) return [samples, rate]
  const [bass, treble] = sides.map((s) => s.read ?? s.wanted) as [number, number]
  const distance = treble + ((bass - treble) * (number - 1)) / Math.max(1, build.strings - 1)
  const gain = (HEARD_AT / distance) ** 2 * 10 ** (UNLIKE[(number - 1) % UNLIKE.length]! / 20)
  return [samples.map((x) => Math.max(-1, Math.min(1, x * gain))), rate]
}
