/** Point angle of a usual twist bit, degrees. [practice] */
const POINT = 118
/** Wood that must stay under a face, counted to the bit's tip, mm. [practice] */
export const FACE_GUARD = 2.5

/** Wood at least so heavy is drilled at 0.9 of a screw's root, at most so light at 0.7; between them a band. [ours, after the Wood Handbook] */
const HARD_FROM = 0.55
const SOFT_TO = 0.42
const HARD_SHARE = 0.9
const SOFT_SHARE = 0.7

/** What a pilot hole may measure, mm. */
export interface PilotBand {
  from: number
  to: number
}

/**
 * Pilot hole for a wood screw: 90 % of the root diameter in hard wood, 70 % in soft [published: Wood Handbook (US Forest Products
 * Laboratory), from memory], told apart by relative density and not by the tree's name; of wood between them, or of wood nobody named,
 * both and all that lies between.
 * @param root the screw's root diameter, mm
 * @param density oven-dry relative density; nothing where the wood is not known
 */
export function pilotBand(root: number, density?: number): PilotBand {
  const hard = density !== undefined && density >= HARD_FROM
  const soft = density !== undefined && density <= SOFT_TO
  return { from: root * (hard ? HARD_SHARE : SOFT_SHARE), to: root * (soft ? SOFT_SHARE : HARD_SHARE) }
}

/** Length of a twist bit's tip cone, mm: d/2 / tan(118/2 deg). [physics] */
export const tipCone = (bit: number): number => bit / 2 / Math.tan((POINT / 2) * (Math.PI / 180))

export interface Depth {
  /** Depth of full diameter, mm. */
  depth: number
  /** Where tape goes on the bit, from its very tip, mm. */
  flag: number
  /** Wood left under the tip, mm. */
  left: number
  /** The depth had to be cut short so that the far face stays whole. */
  cutShort: boolean
  /** Nothing safe is left of it. */
  refused: boolean
}

/**
 * Depth of a blind hole, its tape flag, and what stays under the tip. Never deeper than the face guard allows.
 * @param wanted depth of full diameter, mm
 * @param wood how thick it surely is, mm
 */
export function blindDepth(wanted: number, bit: number, wood: number, guard = FACE_GUARD): Depth {
  const cone = tipCone(bit)
  const deepest = wood - guard - cone
  const depth = Math.min(wanted, deepest)
  return { depth, flag: depth + cone, left: wood - depth - cone, cutShort: wanted > deepest + 1e-9, refused: depth <= 2 }
}

/** How far a hole comes out beside its mark, mm: thickness x tan(angle). [physics] */
export const exitError = (thickness: number, degrees: number): number => thickness * Math.tan((degrees * Math.PI) / 180)

/** Force that pulls a wood screw out of side grain, N: 108.25 G^2 D L. [published: Wood Handbook, from memory] */
export const withdrawal = (density: number, shank: number, engaged: number): number => 108.25 * density ** 2 * shank * engaged
