/** Where the strings run: straight lines from nut to saddle, evenly spread, bass side positive. */
export interface StringLine {
  /** 1 is the highest string. */
  number: number
  /** Place across at the nut and at the scale line, mm from the centre line. */
  atNut: number
  atBridge: number
}

/**
 * Lines of `count` strings from the spacing (first to last, centre to centre, mm) at nut and bridge.
 * `shift` is where the nut's middle lies beside the centre line the bridge sits on.
 */
export function stringLines(count: number, nutSpread: number, bridgeSpread: number, shift = 0): StringLine[] {
  const nut = courses(count, nutSpread)
  return courses(count, bridgeSpread).map((atBridge, i) => ({ number: i + 1, atNut: shift + nut[i]!, atBridge }))
}

/** Place across at a distance x from the nut. */
export const stringAcross = (line: StringLine, x: number, scale: number): number => line.atNut + (line.atBridge - line.atNut) * (x / scale)

/** Gap between the two strings of a double course, mm. [practice] */
const COURSE = 2.2

/**
 * Places across of `count` strings within a spread, mm, the highest first. Twelve strings lie in six double courses.
 */
export function courses(count: number, spread: number): number[] {
  if (count !== 12) return Array.from({ length: count }, (_, i) => (count === 1 ? 0 : spread * (i / (count - 1) - 0.5)))
  const inner = spread - COURSE
  return Array.from({ length: 6 }, (_, i) => inner * (i / 5 - 0.5)).flatMap((y) => [y - COURSE / 2, y + COURSE / 2])
}
