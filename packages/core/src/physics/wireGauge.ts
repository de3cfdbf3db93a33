/** Copper's resistivity at 20 °C, ohm metre, and its rise per kelvin. [published: IEC 60028] */
const RESISTIVITY = 1.7241e-8
export const COPPER_PER_KELVIN = 0.00393

/** Diameter of a wire of American gauge n, mm: 0.127 x 92^((36 - n)/39). [published: ASTM B258] */
export const awgDiameter = (n: number): number => 0.127 * 92 ** ((36 - n) / 39)

/** Resistance of solid copper of American gauge n, ohm per metre. [published: IEC 60028] @param celsius wire temperature */
export function awgOhmPerMetre(n: number, celsius = 20): number {
  const area = (Math.PI / 4) * (awgDiameter(n) / 1000) ** 2
  return (RESISTIVITY / area) * (1 + COPPER_PER_KELVIN * (celsius - 20))
}
