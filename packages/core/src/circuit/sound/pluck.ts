import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import { stringPulls, type StringPull } from '../../instrument/stringPulls'
import { bending } from '../../physics/stiffString'
import { compile } from '../engine/solver'
import type { Coil, Harness } from '../model/harness'
import { toNetlist, type Load } from '../model/toNetlist'
import type { Setting } from '../model/setting'

/** Partials that are reckoned with; above them a pickup hears hardly anything. [ours] */
const PARTIALS = 40
/** Where a hand plucks, share of the string from the saddle. [practice] */
const PLUCKED = 0.18
/** Steel, GPa. [practice] */
const STEEL = 200
/** How fast the first partial dies, and how much faster higher ones do: seconds, and per partial. [ours, round] */
const DIES = 2.5
const FASTER = 0.12

/** One partial as it comes out of the jack. */
export interface Partial {
  hertz: number
  /** Volts against the other partials, with its sign. */
  level: number
  phase: number
  dies: number
}

/**
 * Partials of one open string through the circuit: plucked at a point it moves by sin(n pi p)/n2, a pole under it hears the speed of that
 * place, n times as much of sin(n pi d/L), each coil with its own sense; the circuit weighs and turns what each of them gives. [physics]
 */
export function partials(build: Build, harness: Harness, setting: Setting, load: Load, string: StringPull): Partial[] {
  const scale = sizeAt(build, sizeRef('neck', 'scale'))?.value ?? build.scale
  const saddle = scale
  const coils = harness.components.filter((c): c is Coil => c.is === 'coil')
  const solvers = coils.map((c) => ({ coil: c, solver: compile(toNetlist(harness, setting, load, { only: c.id })) }))
  // B of the stiff string stretches its partials: n f sqrt(1 + B n2).
  const stiff = (Math.PI ** 2 * bending(string.core, STEEL)) / (string.newton * (scale / 1000) ** 2)
  const out = { re: 0, im: 0 }
  return Array.from({ length: PARTIALS }, (_, i): Partial | undefined => {
    const n = i + 1
    const hertz = n * string.hertz * Math.sqrt(1 + stiff * n * n)
    if (hertz > 16000) return undefined
    const moved = Math.sin(n * Math.PI * PLUCKED) / n
    let [re, im] = [0, 0]
    for (const { coil, solver } of solvers) {
      solver.solve(hertz, out)
      const heard = moved * Math.sin((n * Math.PI * (saddle - coil.at.x)) / scale) * coil.magnet * coil.winding
      re += out.re * heard
      im += out.im * heard
    }
    return { hertz, level: Math.hypot(re, im), phase: Math.atan2(im, re), dies: DIES / (1 + FASTER * i) }
  }).filter((p): p is Partial => p !== undefined)
}

export const RATE = 44100

/** All strings of the instrument strummed once, open, as a sound wave. @param seconds how long @returns samples from -1 to 1 */
export function strum(build: Build, harness: Harness, setting: Setting, load: Load, seconds = 2.5): Float32Array {
  const wave = new Float32Array(Math.round(seconds * RATE))
  const strings = stringPulls(build).toSorted((a, b) => b.number - a.number)
  strings.forEach((s, k) => {
    const from = Math.round(k * 0.035 * RATE)
    for (const p of partials(build, harness, setting, load, s)) {
      // A turning pointer instead of a sine each sample.
      const step = (2 * Math.PI * p.hertz) / RATE
      const fade = Math.exp(-1 / (p.dies * RATE))
      const [c, d] = [Math.cos(step) * fade, Math.sin(step) * fade]
      let [x, y] = [p.level * Math.cos(p.phase), p.level * Math.sin(p.phase)]
      for (let t = from; t < wave.length; t++) {
        wave[t]! += y
        ;[x, y] = [x * c - y * d, x * d + y * c]
      }
    }
  })
  const loudest = wave.reduce((m, v) => Math.max(m, Math.abs(v)), 0)
  // Silence stays silence: what a dead position gives is not turned up.
  if (loudest > 1e-3) for (let i = 0; i < wave.length; i++) wave[i]! *= 0.8 / loudest
  return wave
}

/** How a setting sounds, in words, against the same instrument's middle of the road. */
export interface Colour {
  /** Mean of the partials' pitches weighted by their power, Hz. */
  centre: number
  /** Level of all of them, dB. */
  level: number
  words: string
}

/** Sound in words, for who cannot listen: how bright, which partials stand out, how loud. */
export function colourOf(build: Build, harness: Harness, setting: Setting, load: Load): Colour {
  const all = stringPulls(build).flatMap((s) => partials(build, harness, setting, load, s))
  const power = all.reduce((sum, p) => sum + p.level ** 2, 0)
  if (power < 1e-9) return { centre: 0, level: -Infinity, words: 'silence' }
  const centre = all.reduce((sum, p) => sum + p.hertz * p.level ** 2, 0) / power
  const level = 10 * Math.log10(power)
  const low = all.filter((p) => p.hertz < 300).reduce((s, p) => s + p.level ** 2, 0) / power
  const bright = centre < 350 ? 'dark and round' : centre < 550 ? 'full' : centre < 850 ? 'clear' : 'bright'
  const body = low < 0.12 ? ', thin: hardly anything below 300 Hz' : low > 0.6 ? ', most of it below 300 Hz' : ''
  return { centre, level, words: `${bright}${body}; centre of weight at ${Math.round(centre)} Hz` }
}
