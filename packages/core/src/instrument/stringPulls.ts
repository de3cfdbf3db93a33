import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { noteName, pitch } from '../physics/pitch'
import { plainMass, tension, woundMass } from '../physics/stringTension'

/** Density of the wrap, kg/m3, by material. [practice] */
const WRAP: Record<string, number> = { 'nickel-plated': 7870, 'pure-nickel': 8900, bronze: 8800 }

/** Standard tuning, string 1 first, in semitones from A4. [practice] */
export function standardTuning(strings: number, scale: number): number[] {
  const guitar = [-5, -10, -14, -19, -24, -29]
  if (strings <= 5 && scale > 700) return [-26, -31, -36, -41, -46].slice(0, strings)
  if (strings === 12) return [-5, -5, -10, -10, -2, -14, -7, -19, -12, -24, -17, -29]
  return [...guitar, -34, -39, -44, -49, -54].slice(0, strings)
}

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

/** Tension of every string whose gauge is known. */
export function stringPulls(build: Build): StringPull[] {
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const wound = sizeAt(build, { slot: 'strings', size: 'wound' })?.value ?? 0
  const wrap = WRAP[traitAt(build, 'strings', 'wrap') ?? 'nickel-plated'] ?? WRAP['nickel-plated']!
  return standardTuning(build.strings, scale).flatMap((semitones, i) => {
    const number = i + 1
    const gauge = sizeAt(build, { slot: 'strings', size: `gauge.${number}` })?.value
    if (gauge === undefined) return []
    const core = sizeAt(build, { slot: 'strings', size: `core.${number}` })?.value
    const isWound = core !== undefined || number > build.strings - wound
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
