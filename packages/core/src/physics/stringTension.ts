/** Density of steel, kg/m3. [practice] */
const STEEL = 7850
/** Newtons in one pound-force, exact to the digits given. [published: NIST SP 811] */
export const LBF = 4.4482216

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
