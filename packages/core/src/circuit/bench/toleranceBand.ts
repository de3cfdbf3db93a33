import type { Build } from '../../document/build'
import { sizeAt } from '../../document/read'
import { dice } from '../../quantity/dice'
import { sweep } from '../engine/response'
import { compile } from '../engine/solver'
import type { Component, Harness } from '../model/harness'
import { toNetlist, type Load } from '../model/toNetlist'
import type { Setting } from '../model/setting'

/** How far parts may be off where nobody measured them, share, one standard deviation: pots 20 % at the outside, film capacitors 10, coils 5. [practice] */
const OFF = { pot: 0.1, capacitor: 0.05, coil: 0.025 } as const

/** Within which curves of the same circuit lie, built from parts as they come: 95 of 100, dB at each frequency. */
export interface ToleranceBand {
  low: Float64Array
  high: Float64Array
  samples: number
}

/** One harness of many that could be built from these parts. */
function built(build: Build, harness: Harness, gauss: () => number): Harness {
  // What was measured on the part is as sure as its reading says.
  const share = (c: Component, size: string, otherwise: number) => {
    const known = c.slot && sizeAt(build, { slot: c.slot, size })
    return known ? Math.min(otherwise * 3, known.doubt / known.value / 2) : otherwise
  }
  const pickups = new Map<string, number>()
  return {
    ...harness,
    components: harness.components.map((c): Component => {
      if (c.is === 'pot') return { ...c, ohm: c.ohm * (1 + share(c, 'resistance', OFF.pot) * gauss()) }
      if (c.is === 'capacitor') return { ...c, farad: c.farad * (1 + share(c, 'capacitance', OFF.capacitor) * gauss()) }
      if (c.is !== 'coil' || c.active) return c
      // The two coils of a pickup are off together.
      const by = pickups.get(c.pickup) ?? gauss()
      pickups.set(c.pickup, by)
      return {
        ...c,
        ohm: c.ohm * (1 + share(c, 'resistance', OFF.coil) * by),
        henry: c.henry * (1 + share(c, 'inductance', c.estimated ? 0.1 : OFF.coil) * gauss()),
        farad: c.farad * (1 + OFF.coil * 4 * gauss()),
      }
    }),
  }
}

/** Normal numbers that come again for the same seed: twelve dice less six. [published: central limit, from memory] */
function normal(seed: number): () => number {
  const next = dice(seed)
  return () => Array.from({ length: 12 }, next).reduce((a, b) => a + b, 0) - 6
}

/** The band of the response over so many samples of parts. @param seed the same gives the same band */
export function toleranceBand(
  build: Build,
  harness: Harness,
  setting: Setting,
  load: Load,
  hertz: Float64Array,
  samples = 200,
  seed = 1,
): ToleranceBand {
  const gauss = normal(seed)
  const curves = Array.from({ length: samples }, () => sweep(compile(toNetlist(built(build, harness, gauss), setting, load)), hertz))
  const [low, high] = [new Float64Array(hertz.length), new Float64Array(hertz.length)]
  for (let i = 0; i < hertz.length; i++) {
    const at = curves.map((c) => c[i]!).sort((a, b) => a - b)
    low[i] = at[Math.floor(0.025 * (samples - 1))]!
    high[i] = at[Math.ceil(0.975 * (samples - 1))]!
  }
  return { low, high, samples }
}
