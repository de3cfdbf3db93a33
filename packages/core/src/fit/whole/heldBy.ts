import type { Wood } from '../../parts/woods'
import { withdrawal } from '../../physics/pilot'
import { likelyOf, type Distribution } from '../../quantity/distribution'
import { told, type Size } from '../../quantity/size'
import { WORKING } from './screwLimits'

/**
 * What a screw holds, N: a fifth of what draws it out of this wood. Silent where nobody has told the wood or the thread.
 * @param thread its thread's diameter, mm
 * @param bite how deep it bites, mm
 */
export const heldBy = (wood: Wood | undefined, thread: Size | undefined, bite: Distribution): number | undefined =>
  wood && told(thread) && likelyOf(bite) > 0 ? Math.round(withdrawal(wood.density, thread!.value, likelyOf(bite)) / WORKING) : undefined
