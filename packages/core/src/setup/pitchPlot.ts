import type { Build } from '../document/build'
import { setupReading } from '../document/setupReadings'
import { stringPulls } from '../instrument/stringPulls'
import { sharpAt } from '../physics/heldString'
import { bending, stretching } from '../physics/stiffString'
import { setupModel } from './model'

/** Steel's modulus, GPa. [practice] */
const STEEL = 200
/** Middle of a light and a hard press, 0.3 of the fret's space behind its fret, mm. [practice] */
const PRESSED = { behind: 0.3, depth: 0.2 }

export interface PitchLine {
  number: number
  note: string
  /** Cents off over the frets, with the saddle where it stands. */
  cents: number[]
  /** Where that saddle stands, mm behind the scale line, and whether a reading says so. */
  back: number
  read: boolean
}

/**
 * How far off each fret sounds, string by string: strings that run on over nut and saddle, pressed 0.2 mm. A reading at fret 12 puts the
 * saddle where it makes that reading; without one it stands where fret 12 is in tune.
 * @param only this string; @param inTune as it would be once its saddle was moved, whatever was read
 */
export function pitchLines(build: Build, { only, inTune = false }: { only?: number; inTune?: boolean } = {}): PitchLine[] {
  const model = setupModel(build)
  const frets = Array.from({ length: model.frets }, (_, i) => i + 1)
  const pulls = stringPulls(build).filter((p) => only === undefined || p.number === only)
  return pulls.map((p) => {
    const s = model.strings[p.number - 1]!
    const string = {
      stretching: stretching(p.core, STEEL),
      bending: bending(p.core, STEEL),
      mass: p.mass,
      hertz: p.hertz,
      ends: 'continuous' as const,
    }
    const at = (back: number, list: readonly number[]) => sharpAt(s.neck, string, { x: model.scale + back, y: s.saddle.y }, list, PRESSED)
    const wanted = inTune ? undefined : setupReading(build, { what: 'cents', string: p.number })
    // A cent at fret 12 is L ln2/1200 of saddle; secants from there.
    let [a, b] = [0, 4]
    let [fa, fb] = [at(a, [12])[0]! - (wanted ?? 0), at(b, [12])[0]! - (wanted ?? 0)]
    for (let i = 0; i < 6 && Math.abs(fb) > 1e-6; i++) {
      const next = b - (fb * (b - a)) / (fb - fa)
      ;[a, fa] = [b, fb]
      ;[b, fb] = [next, at(next, [12])[0]! - (wanted ?? 0)]
    }
    return { number: p.number, note: p.note, cents: at(b, frets), back: b, read: wanted !== undefined }
  })
}
