import { read, refuse, type Parsed } from './parsed'

/** "1,200": one and a fifth to some, twelve hundred to others. */
export const readsTwoWays = (number: string): boolean => /^[-+]?[1-9]\d{0,2}(?:,\d{3})+(?:\.\d+)?$/.test(number)

/**
 * Reads a number without a unit: `12.50`, `12,5`, `.5`, `-3`.
 * @returns the number, or a sentence
 */
export function parsePlain(text: string): Parsed<number> {
  const typed = text.trim().replace(/^−/, '-')
  if (readsTwoWays(typed)) {
    const whole = typed.replaceAll(',', '')
    return refuse(`"${text.trim()}" can be read in two ways; write ${whole}, or a fraction with a point.`)
  }
  return /^[-+]?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/.test(typed) ? read(Number(typed.replace(',', '.'))) : refuse(`"${text}" is not a number.`)
}
