import { usualOf, type SizeSpec } from '../parts/kind'
import type { Build } from './build'
import { isThrough, UNDER_BOARD } from './read'

/** What is usual of such a size on this instrument: places on a body count from its board's end where that is all there is. */
export const usualAt = (build: Build, spec: SizeSpec, usual = usualOf(spec)): number =>
  spec.fromNeck && isThrough(build) ? Math.max(spec.min, usual - UNDER_BOARD) : usual
