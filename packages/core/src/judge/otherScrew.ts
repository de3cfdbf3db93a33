import { likelyOf, type Distribution } from '../quantity/distribution'
import { landing } from './known'

/** How exactly the length of another screw is known before it is bought, mm, 95 %. [ours] */
export const OTHER_SCREW = 0.3

/**
 * The longest screw that keeps the wood wanted beyond its tip nine times in ten; screws are sold by the millimetre, and rounded up it would
 * reach too far. [ours]
 * @param length of the screw there is, mm
 * @param tip what stays beyond its tip, mm
 * @param least what is wanted there, mm
 */
export const longestScrew = (length: number, tip: Distribution, least: number): number =>
  Math.floor(length - (least - likelyOf(tip)) - landing(tip, OTHER_SCREW))
