import { read, refuse, type Parsed } from './parsed'

/** Grams in one pound, exact. [published: international avoirdupois pound] */
export const POUND = 453.59237
export const OUNCE = POUND / 16

const UNITS: Readonly<Record<string, number>> = {
  '': 1,
  g: 1,
  gram: 1,
  grams: 1,
  kg: 1000,
  lb: POUND,
  lbs: POUND,
  oz: OUNCE,
}
const ALLOWED = 'Write it like 1900, 1.9 kg, 4 lb 6 oz or 14 oz.'

/**
 * Reads a mass the way scales show it: `1900`, `1.9 kg`, `4 lb 6 oz`, `4.4 lbs`.
 * @returns grams, or a sentence naming what was read and what is allowed
 */
export function parseMass(text: string): Parsed<number> {
  const typed = text.trim()
  if (!typed) return refuse(`No mass was entered. ${ALLOWED}`)
  const body = typed.toLowerCase().replace(',', '.')
  const pounds = /^(\d+)\s*lbs?\s+(\d+(?:\.\d+)?)\s*oz$/.exec(body)
  if (pounds) return read(Number(pounds[1]) * POUND + Number(pounds[2]) * OUNCE)
  const plain = /^(\d+\.?\d*|\.\d+)\s*([a-z]*)$/.exec(body)
  if (!plain) return refuse(`"${typed}" is not a mass. ${ALLOWED}`)
  const factor = UNITS[plain[2]!]
  return factor ? read(Number(plain[1]) * factor) : refuse(`"${plain[2]}" is not a unit of mass known here. Use g, kg, lb or oz.`)
}
