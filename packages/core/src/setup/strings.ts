import { sizeAt, traitAt, type Build } from '../build'

/** Density of steel, kg/m3. [practice] */
const STEEL = 7850
/** Density of the wrap, kg/m3, by material. [practice] */
const WRAP: Record<string, number> = { 'nickel-plated': 7870, 'pure-nickel': 8900, bronze: 8800 }
/** Newtons in one pound-force, exact to the digits given. [published: NIST SP 811] */
export const LBF = 4.4482216
/** Pitch of A4, Hz. [published: ISO 16] */
const A4 = 440

const circle = (d: number) => (Math.PI * d * d) / 4

/** Mass per length of a plain steel string, kg/m: rho pi d^2/4. [physics] @param gauge mm */
export const plainMass = (gauge: number): number => STEEL * circle(gauge / 1000)

/**
 * Mass per length of a close round-wound string, kg/m: core plus a helix of wrap wire,
 * mu = rho_c pi dc^2/4 + rho_w pi^2 dw (dc + dw)/4 with dw = (d - dc)/2 taken through its whole section. [physics]
 * @param gauge outer diameter, mm
 * @param core core diameter, mm
 * @param wrap density of the wrap, kg/m3
 */
export function woundMass(gauge: number, core: number, wrap: number): number {
  const dc = core / 1000
  const dw = (gauge - core) / 2000
  return STEEL * circle(dc) + (wrap * Math.PI ** 2 * dw * (dc + dw)) / 4
}

/** Tension in newtons: T = mu (2 L f)^2. [physics] @param scale mm */
export const tension = (mass: number, scale: number, hertz: number): number => mass * (2 * (scale / 1000) * hertz) ** 2

/** Frequency of a note counted in semitones from A4, equal temperament. */
export const pitch = (semitonesFromA4: number): number => A4 * 2 ** (semitonesFromA4 / 12)

const NAMES = ['A', 'A♯', 'B', 'C', 'C♯', 'D', 'D♯', 'E', 'F', 'F♯', 'G', 'G♯']
/** "E4": the name of a note counted in semitones from A4. */
export function noteName(semitones: number): string {
  const name = NAMES[((semitones % 12) + 12) % 12]!
  return `${name}${4 + Math.floor((semitones + 9) / 12)}`
}

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
    const mass = isWound ? woundMass(gauge, core ?? 0.4 * gauge, wrap) : plainMass(gauge)
    const hertz = pitch(semitones)
    return [
      {
        number,
        note: noteName(semitones),
        hertz,
        gauge,
        wound: isWound,
        newton: tension(mass, scale, hertz),
        coreEstimated: isWound && core === undefined,
      },
    ]
  })
}
