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
  return Array.from({ length: count }, (_, i) => {
    const across = count === 1 ? 0 : i / (count - 1) - 0.5
    return { number: i + 1, atNut: shift + across * nutSpread, atBridge: across * bridgeSpread }
  })
}

/** Place across at a distance x from the nut. */
export const stringAcross = (line: StringLine, x: number, scale: number): number => line.atNut + (line.atBridge - line.atNut) * (x / scale)
