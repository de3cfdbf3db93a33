import type { Build } from '../../document/build'
import { sizeAt, traitAt, type SizeRef } from '../../document/read'
import type { Drawing } from '../../drawing/drawing'
import { woodNamed } from '../../parts/woods'
import { withdrawal } from '../../physics/pilot'
import { told } from '../../quantity/size'
import { WORKING } from './screwLimits'

/**
 * What a screw holds, N: a fifth of what draws it out of this wood. It stands beside the drawing, and silent where nobody has told the wood
 * or the thread: no verdict hangs on it.
 * @param of whose wood it is
 * @param bite how deep it bites, mm
 */
export function holdNumbers(build: Build, of: 'body' | 'neck', thread: SizeRef, bite: number): Drawing['numbers'] {
  const wood = woodNamed(traitAt(build, of, 'wood'))
  const wide = told(sizeAt(build, thread))
  if (!wood || !wide || bite <= 0) return []
  return [{ label: 'Each holds about', value: `${Math.round(withdrawal(wood.density, wide.value, bite) / WORKING)} N` }]
}
