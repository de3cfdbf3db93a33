import { read, refuse, type Parsed } from './parsed'

/** Millimetres in one inch, exact. [published: international inch] */
export const INCH = 25.4
/** Millimetres in 1/64 in, exact. */
export const INCH_64TH = INCH / 64
/** Millimetres in a thousandth of an inch. */
export const THOU = INCH / 1000

export type LengthSystem = 'mm' | 'in'

const NUMBER = String.raw`\d+(?:\.\d+)?|\.\d+`
const UNITS: Record<string, number> = {
  mm: 1,
  millimetre: 1,
  millimetres: 1,
  cm: 10,
  m: 1000,
  in: INCH,
  inch: INCH,
  inches: INCH,
  '"': INCH,
  '″': INCH,
  thou: THOU,
  mil: THOU,
}

const ALLOWED = 'Write it like 41.3, 41.3 mm, 1-5/8 in, 5/64" or 18 thou.'

/**
 * Reads a length the way benches write it: `41.3`, `41.3mm`, `1-5/8`, `1 5/8 in`, `5/64"`, `18 thou`, `.018in`.
 * A bare decimal is taken in `system`; a bare fraction is always inches, because nobody divides a millimetre by 64.
 * @returns millimetres, or a sentence naming what was read and what is allowed
 */
export function parseLength(text: string, system: LengthSystem = 'mm'): Parsed<number> {
  const typed = text.trim()
  if (!typed) return refuse(`No length was entered. ${ALLOWED}`)
  const tidy = typed.toLowerCase().replace(',', '.').replace(/\s+/g, ' ')
  const sign = /^[-−]/.test(tidy) ? -1 : 1
  const body = tidy.replace(/^[-−+]\s*/, '')

  const fraction = /^(?:(\d+)[- ])?(\d+)\/(\d+)\s*([a-z"″]*)$/.exec(body)
  if (fraction) {
    const [, whole = '0', top, bottom, unit] = fraction
    if (Number(bottom) === 0) return refuse(`"${typed}" divides by zero. ${ALLOWED}`)
    const factor = unit ? UNITS[unit] : INCH
    if (factor === undefined) return refuse(unknownUnit(unit!))
    return read(sign * (Number(whole) + Number(top) / Number(bottom)) * factor)
  }

  const decimal = new RegExp(`^(${NUMBER})\\s*([a-zµ"″']*)$`).exec(body)
  if (!decimal) return refuse(`"${typed}" is not a length. ${ALLOWED}`)
  const unit = decimal[2]
  const factor = unit ? UNITS[unit] : system === 'in' ? INCH : 1
  if (factor === undefined) return refuse(unknownUnit(unit!))
  return read(sign * Number(decimal[1]) * factor)
}

const unknownUnit = (unit: string) => `"${unit}" is not a unit of length known here. Use mm, cm, in, " or thou.`

/** Prints millimetres without trailing zeros, at most `digits` decimals: 41.3, 56.45. */
export function printMm(mm: number, digits = 2): string {
  return trimZeros(mm.toFixed(digits))
}

/** The same in a sentence: what is less than nothing has the sign of a number and no hyphen. */
export const sayMm = (mm: number, digits = 2): string => printMm(mm, digits).replace('-', '−')

const trimZeros = (s: string) => (s.includes('.') ? s.replace(/0+$/, '').replace(/\.$/, '') : s).replace(/^-0$/, '0')

export interface InchPrint {
  text: string
  /** What the printed fraction is off by, in mm (printed minus true); 0 for decimals. */
  error: number
}

/**
 * Prints millimetres in inches: thou below 1/16 in, otherwise the nearest 1/64 reduced, with the error it makes.
 * Lengths that no 64th meets within 0.06 mm are printed as decimal inches.
 */
export function printInch(mm: number): InchPrint {
  const size = Math.abs(mm)
  const sign = mm < 0 ? '-' : ''
  if (size < INCH / 16) return { text: `${sign}${trimZeros((size / THOU).toFixed(1))} thou`, error: 0 }
  const sixtyFourths = Math.round(size / INCH_64TH)
  const error = sixtyFourths * INCH_64TH - size
  if (Math.abs(error) > 0.06) return { text: `${sign}${trimZeros((size / INCH).toFixed(3))} in`, error: 0 }
  return { text: `${sign}${fractionOf64(sixtyFourths)} in`, error: sign ? -error : error }
}

function fractionOf64(n: number): string {
  let top = n
  let bottom = 64
  while (top % 2 === 0 && bottom > 1) {
    top /= 2
    bottom /= 2
  }
  if (bottom === 1) return String(top)
  const whole = Math.floor(top / bottom)
  const rest = top % bottom
  return whole ? `${whole}-${rest}/${bottom}` : `${rest}/${bottom}`
}

/** The gauge of a string, mm, in the half thousandths of an inch it is named in, however thick it is: `gaugeName(0.2413)` is "9.5". */
export const gaugeName = (mm: number): string => String(Math.round((2 * mm) / THOU) / 2)

/** Prints a length in the system asked for, with its unit. */
export function printLength(mm: number, system: LengthSystem, digits = 2): string {
  return system === 'in' ? printInch(mm).text : `${printMm(mm, digits)} mm`
}

/** "5.9 mm under the body": a length with the side it is on instead of a sign. @param sides what it is called over nothing, and under it */
export const printSide = (value: number, digits: number, [over, under]: readonly [string, string]): string =>
  `${printMm(Math.abs(value), digits)} mm ${value < 0 ? under : over}`
