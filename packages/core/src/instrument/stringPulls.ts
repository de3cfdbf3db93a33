import type { Build } from '../document/build'
import { isSaid, sizeAt, traitAt } from '../document/read'
import { noteName, pitch } from '../physics/pitch'
import { plainMass, tension, woundMass } from '../physics/stringTension'
import { isBass, tuningOf, tuningsFor } from './tunings'

/** Density of the wrap, kg/m3, by material. [practice] */
const WRAP: Record<string, number> = { 'nickel-plated': 7870, 'pure-nickel': 8900, bronze: 8800 }

export interface StringPull {
  number: number
  note: string
  hertz: number
  gauge: number
  /** What carries the pull: a wound string's core, a plain one's whole, mm. */
  core: number
  /** kg/m */
  mass: number
  wound: boolean
  newton: number
  /** The core was not given and is taken as two fifths of the gauge. [practice] */
  coreEstimated: boolean
}

/** Strings whose gauge nobody has said: what they pull is reckoned with the usual one, or not at all. */
export const gaugesUntold = (build: Build): number[] =>
  Array.from({ length: build.strings }, (_, i) => i + 1).filter((n) => !isSaid(build, { slot: 'strings', size: `gauge.${n}` }))

/** No plain string is commonly thicker than this, and few wound ones thinner, mm. [practice, from memory: 0.0205 in] */
const PLAIN = 0.52

/**
 * Numbers of the wound strings: so many of the thickest, in whatever order courses put them; where nobody has said how many, all that are
 * thicker than a plain string is or than one whose core was given.
 */
function woundOf(build: Build, gauges: readonly (number | undefined)[]): number[] {
  const there = gauges.flatMap((gauge, i) => (gauge === undefined ? [] : [{ number: i + 1, gauge }]))
  const told = sizeAt(build, { slot: 'strings', size: 'wound' })?.value
  const cored = there.filter(({ number }) => sizeAt(build, { slot: 'strings', size: `core.${number}` }))
  const from = Math.min(...(cored.length ? cored.map((s) => s.gauge) : [PLAIN]))
  const wound =
    told === undefined
      ? there.filter((s) => s.gauge > from)
      : there.toSorted((a, b) => b.gauge - a.gauge || b.number - a.number).slice(0, Math.round(told))
  return wound.map((s) => s.number)
}

/** Tension of every string whose gauge is known. */
export function stringPulls(build: Build): StringPull[] {
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const wrap = WRAP[traitAt(build, 'strings', 'wrap') ?? 'nickel-plated'] ?? WRAP['nickel-plated']!
  const gauges = Array.from({ length: build.strings }, (_, i) => sizeAt(build, { slot: 'strings', size: `gauge.${i + 1}` })?.value)
  const thickest = woundOf(build, gauges)
  return tuningOf(build).notes.flatMap((semitones, i) => {
    const number = i + 1
    const gauge = gauges[i]
    if (gauge === undefined) return []
    const core = sizeAt(build, { slot: 'strings', size: `core.${number}` })?.value
    const isWound = core !== undefined || thickest.includes(number)
    const carries = isWound ? (core ?? 0.4 * gauge) : gauge
    const mass = isWound ? woundMass(gauge, carries, wrap) : plainMass(gauge)
    const hertz = pitch(semitones)
    return [
      {
        number,
        note: noteName(semitones),
        hertz,
        gauge,
        core: carries,
        mass,
        wound: isWound,
        newton: tension(mass, scale, hertz),
        coreEstimated: isWound && core === undefined,
      },
    ]
  })
}

/** A string pulls within these on an instrument that plays, N: a long-scale guitar tuned as a bass little, a bass's own strings most. [practice] */
const USUAL = { guitar: { slack: 35, tight: 160 }, bass: { slack: 60, tight: 280 } }
/** Stress at which music wire of a string's thickness is near its end, N/mm2. [published: ASTM A228 gives about 2 400 to 2 750; from memory] */
const SNAPS = 2200

/** What is said of a tuning that these strings cannot have been meant for, with the one that fits best; nothing where it fits. */
export function tuningSays(build: Build): string | undefined {
  const snaps = (p: StringPull) => !p.coreEstimated && p.newton / ((Math.PI / 4) * p.core ** 2) > SNAPS
  const usual = (b: Build) => (isBass(b) ? USUAL.bass : USUAL.guitar)
  const off = (b: Build) => stringPulls(b).filter((p) => p.newton < usual(b).slack || p.newton > usual(b).tight || snaps(p))
  const far = (b: Build) => (p: StringPull) => Math.abs(Math.log(p.newton / Math.sqrt(usual(b).slack * usual(b).tight)))
  const wrong = off(build)
  const [worst] = wrong.toSorted((a, b) => Number(snaps(b)) - Number(snaps(a)) || far(build)(b) - far(build)(a))
  if (!worst) return undefined
  const miss = (b: Build) => stringPulls(b).reduce((s, p) => s + far(b)(p) ** 2, 0)
  const others = tuningsFor(build.strings).map((tuning) => ({ tuning, build: { ...build, setup: { ...build.setup, tuning } } }))
  const best = others.toSorted((a, b) => miss(a.build) - miss(b.build))[0]
  const says = `String ${worst.number} would pull ${Math.round(worst.newton)} N at ${worst.note}: ${snaps(worst) ? 'near what steel wire holds, it may snap' : worst.newton > usual(build).tight ? 'no neck likes it' : 'it would flap'}.`
  return best && best.tuning.name !== tuningOf(build).name && !off(best.build).length
    ? `${says} These gauges fit ${best.tuning.name}.`
    : `${says} Look at gauges, scale and tuning again.`
}
