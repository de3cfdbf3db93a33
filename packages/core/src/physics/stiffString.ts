/** How a string ends at fret and saddle: free to turn there, held by running on over the edge, or held still. */
export type Ends = 'pinned' | 'continuous' | 'clamped'

/** A string as it vibrates: N, N mm2, kg/m. */
export interface StiffString {
  tension: number
  /** E I of the core, N m2. */
  bending: number
  /** Mass per length, kg/m. */
  mass: number
}

/** E A of a core, N. @param core mm @param modulus GPa */
export const stretching = (core: number, modulus: number): number => (modulus * 1000 * Math.PI * core ** 2) / 4

/** E I of a round core, N m2. @param core mm @param modulus GPa */
export const bending = (core: number, modulus: number): number => (modulus * 1e9 * Math.PI * (core / 1000) ** 4) / 64

const STEPS = 40

/**
 * Fundamental of a stiff string, Hz: EI y'''' - T y'' = mu w2 y between two equal ends, solved exactly for the lowest symmetric shape
 * A cos(bx) + C cosh(ax), a2 - b2 = T/EI. A string that runs on over its edge turns there against sqrt(T EI). [physics]
 * @param length mm
 */
export function fundamental({ tension, bending: EI, mass }: StiffString, length: number, ends: Ends): number {
  const half = length / 2000
  const turning = ends === 'continuous' ? Math.sqrt(tension * EI) : 0
  const misfit = (b: number): number => {
    const a = Math.sqrt(b * b + tension / EI)
    const slope = b * Math.sin(b * half) + a * Math.cos(b * half) * Math.tanh(a * half)
    return ends === 'clamped' ? slope : EI * (a * a + b * b) * Math.cos(b * half) + turning * slope
  }
  // Pinned ends give a quarter wave to the half length; held ends a little more.
  let b = Math.PI / 2 / half
  if (ends !== 'pinned') {
    let [low, high] = [b, (2 * Math.PI) / 2 / half]
    // Regula falsi, the stale end halved: a handful of steps to full precision.
    let [atLow, atHigh] = [misfit(low), misfit(high)]
    for (let i = 0; i < STEPS; i++) {
      const next = (low * atHigh - high * atLow) / (atHigh - atLow)
      const still = Math.abs(next - b) < 1e-13 * b
      b = next
      const here = misfit(b)
      if (still || here === 0) break
      if (here > 0 === atHigh > 0) {
        ;[high, atHigh] = [b, here]
        atLow /= 2
      } else {
        ;[low, atLow] = [b, here]
        atHigh /= 2
      }
    }
  }
  return Math.sqrt((EI * b ** 4 + tension * b ** 2) / mass) / (2 * Math.PI)
}

/** Tension at which a string sounds a pitch, N. @param length mm */
export function tensionFor(string: Omit<StiffString, 'tension'>, length: number, hertz: number, ends: Ends): number {
  let tension = string.mass * (2 * (length / 1000) * hertz) ** 2
  // Pitch goes with the root of tension but for the little its stiffness gives.
  for (let i = 0; i < 8; i++) {
    const off = hertz / fundamental({ ...string, tension }, length, ends)
    tension *= off ** 2
    if (Math.abs(off - 1) < 1e-13) break
  }
  return tension
}
