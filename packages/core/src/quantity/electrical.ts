import { read, refuse, type Parsed } from './parsed'

const OHM_LETTERS: Record<string, number> = { '': 1, r: 1, k: 1e3, m: 1e6 }

/**
 * Reads a resistance: `250k`, `8.80k`, `1M`, `8800`, `4k7`, `470 ohm`.
 * @returns ohms, or a sentence
 */
export function parseOhms(text: string): Parsed<number> {
  const allowed = 'Write it like 250k, 8.80k, 1M or 470.'
  const typed = text.trim()
  if (!typed) return refuse(`No resistance was entered. ${allowed}`)
  const body = typed
    .normalize()
    .toLowerCase()
    .replace(',', '.')
    .replace(/\s*(ohms?|Ω|ω)$/u, '')
    .replace(/\s+/g, '')
  const inner = /^(\d+)([rkm])(\d+)$/.exec(body)
  if (inner) return read(Number(`${inner[1]}.${inner[3]}`) * OHM_LETTERS[inner[2]!]!)
  const plain = /^(\d+(?:\.\d+)?|\.\d+)([rkm]?)$/.exec(body)
  if (!plain) return refuse(`"${typed}" is not a resistance. ${allowed}`)
  return read(Number(plain[1]) * OHM_LETTERS[plain[2]!]!)
}

/** What an open line is kept as: more than any meter shows, ohm. */
export const OPEN_READING = 1e8
/** Above this a meter shows an open line, ohm. */
export const OPEN_LINE = 20e6

/**
 * Reads what a meter shows: a resistance, or that the line is open in any of the ways meters and people say it.
 * @returns ohms, an open line as 1e8, or a sentence
 */
export function parseReading(text: string): Parsed<number> {
  const typed = text.trim().toLowerCase().replace(/[.\s]/g, '')
  if (/^(ol|0l|o|open|inf|infinite|infinity|∞|1)$/.test(typed) && !/^1$/.test(text.trim())) return read(OPEN_READING)
  const ohms = parseOhms(text)
  return ohms.ok ? ohms : refuse(`${ohms.why} An open line is OL or open.`)
}

const FARAD_LETTERS: Record<string, number> = { p: 1e-12, n: 1e-9, u: 1e-6, µ: 1e-6, μ: 1e-6 }

/**
 * Reads a capacitance: `22n`, `.022u`, `0.022 uF`, `500p`, or the mark printed on the part: `473` is
 * 47 followed by 3 noughts of picofarad, with an optional tolerance letter (`473J`). [published: IEC 60062]
 * @returns farads, or a sentence
 */
export function parseFarads(text: string): Parsed<number> {
  const allowed = 'Write it like 22n, .022u, 500p, or the mark on the part such as 473.'
  const typed = text.trim()
  if (!typed) return refuse(`No capacitance was entered. ${allowed}`)
  const body = typed.toLowerCase().replace(',', '.').replace(/\s+/g, '').replace(/f$/, '')
  const mark = /^(\d{2})(\d)[jkm]?$/.exec(body)
  if (mark) return read(Number(mark[1]) * 10 ** Number(mark[2]) * 1e-12)
  const inner = /^(\d+)([pnuµμ])(\d+)$/.exec(body)
  if (inner) return read(Number(`${inner[1]}.${inner[3]}`) * FARAD_LETTERS[inner[2]!]!)
  const plain = /^(\d+(?:\.\d+)?|\.\d+)([pnuµμ])$/.exec(body)
  if (!plain) return refuse(`"${typed}" is not a capacitance. ${allowed}`)
  return read(Number(plain[1]) * FARAD_LETTERS[plain[2]!]!)
}

/** Tolerance letters of IEC 60062, as fractions. [published: IEC 60062] */
export const TOLERANCE_LETTER = { J: 0.05, K: 0.1, M: 0.2 } as const

/** Prints ohms the way a meter does: 470 Ω, 8.80 k, 250 k, 1.00 M. */
export function printOhms(ohm: number, digits = 3): string {
  if (ohm >= OPEN_LINE) return 'open'
  // Rounded first: 999 999 ohm are 1.00 M.
  const shown = Number(ohm.toPrecision(digits))
  // 500 k to two digits is 500 k: never a power of ten.
  const figure = (n: number) => (n >= 10 ** digits ? String(n) : n.toPrecision(digits))
  if (shown >= 1e6) return `${figure(shown / 1e6)} M`
  if (shown >= 1e3) return `${figure(shown / 1e3)} k`
  return `${shown} Ω`
}

/** Prints farads with the usual letter: 22 n, 500 p, 0.1 u. */
export function printFarads(farad: number): string {
  const pico = Number((farad * 1e12).toPrecision(3))
  if (pico < 1e3) return `${pico} p`
  if (pico < 1e6) return `${Number((pico / 1e3).toPrecision(3))} n`
  return `${Number((pico / 1e6).toPrecision(3))} u`
}
