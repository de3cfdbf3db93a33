/** Bits people own, mm: half-millimetre steps to 13. [practice] */
export const BITS: readonly number[] = Array.from({ length: 25 }, (_, i) => 1 + i * 0.5)
/** Point angle of a usual twist bit, degrees. [practice] */
const POINT = 118
/** Wood that must stay under a face, mm. [practice] */
export const FACE_GUARD = 2.5

/**
 * Pilot hole for a wood screw: 90 % of the root diameter in hardwood, 70 % in softwood, on the nearest bit owned.
 * [published: Wood Handbook (US Forest Products Laboratory), from memory]
 */
export function pilotBit(root: number, hard: boolean, bits: readonly number[] = BITS): { exact: number; bit: number } {
  const exact = root * (hard ? 0.9 : 0.7)
  return { exact, bit: nearest(bits, exact) }
}

export const nearest = (bits: readonly number[], d: number): number => bits.reduce((a, b) => (Math.abs(b - d) < Math.abs(a - d) ? b : a))

/** Length of a twist bit's tip cone, mm: d/2 / tan(118/2 deg). [physics] */
export const tipCone = (bit: number): number => bit / 2 / Math.tan((POINT / 2) * (Math.PI / 180))

export interface Depth {
  /** Depth of full diameter, mm. */
  depth: number
  /** Where tape goes on the bit, from its very tip, mm. */
  flag: number
  /** Wood left under the tip, mm; Infinity for a through hole. */
  left: number
  /** The depth had to be cut short so that the far face stays whole. */
  cutShort: boolean
  /** Nothing safe is left of it. */
  refused: boolean
}

/** Depth of a blind hole, its tape flag, and what stays under the tip. Never deeper than the face guard allows. */
export function blindDepth(wanted: number, bit: number, wood: number, guard = FACE_GUARD): Depth {
  const cone = tipCone(bit)
  const deepest = wood - guard - cone
  const depth = Math.min(wanted, deepest)
  return { depth, flag: depth + cone, left: wood - depth - cone, cutShort: wanted > deepest + 1e-9, refused: depth <= 2 }
}

/** Force that pulls a wood screw out of side grain, N: 108.25 G^2 D L. [published: Wood Handbook, from memory] */
export const withdrawal = (density: number, shank: number, engaged: number): number => 108.25 * density ** 2 * shank * engaged
