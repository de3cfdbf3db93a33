import { parseFarads, parseOhms } from '../quantity/electrical'
import { parseLength, type LengthSystem } from '../quantity/length'
import { parseMass } from '../quantity/mass'
import { refuse, type Parsed } from '../quantity/parsed'
import { parsePlain } from '../quantity/plain'
import type { SizeSpec, SizeUnit } from './kind'

/** Units that may stand behind the number, and what is asked for where it cannot be read. */
const PLAIN: Readonly<Record<Exclude<SizeUnit, 'mm' | 'ohm' | 'farad' | 'g'>, readonly [unit: RegExp, sign: string]>> = {
  deg: [/\s*(?:°|deg(?:rees?)?)$/i, '°'],
  henry: [/\s*(?:h|henr(?:y|ies))$/i, 'H'],
  newton: [/\s*(?:n|newtons?)$/i, 'N'],
  count: [/$/, ''],
}

/**
 * Reads a value of that size as people write it, with its unit or without.
 * @param system what a bare length is in
 * @returns the value in the unit of the size, or a sentence
 */
export function parseSize(spec: Pick<SizeSpec, 'unit'>, text: string, system: LengthSystem): Parsed<number> {
  switch (spec.unit) {
    case 'mm':
      return parseLength(text, system)
    case 'ohm':
      return parseOhms(text)
    case 'farad':
      return parseFarads(text)
    case 'g':
      return parseMass(text)
    default: {
      const [unit, sign] = PLAIN[spec.unit]
      const parsed = parsePlain(text.trim().replace(unit, ''))
      return parsed.ok ? parsed : refuse(parsed.why.replace(/ a number\.$/, ` a number${sign ? ` of ${sign}` : ''}.`))
    }
  }
}
