import type { Build } from '../document/build'
import { sizeRef, valueAt } from '../document/read'

/**
 * The places everything else is measured from, mm from the nut along the centre line. They follow from the neck's
 * heel standing against the end of the pocket, not from the scale wanted: a neck of another length moves the nut.
 */
export interface Datums {
  scale: number
  mouth: number
  heelEnd: number
  studs: number
  /** True when every size that decides the places is known; otherwise usual proportions stand in. */
  known: boolean
}

export function datums(build: Build): Datums {
  const scale = valueAt(build, sizeRef('neck', 'scale'))
  const heelEnd = valueAt(build, sizeRef('neck', 'nutToHeelEnd'))
  const pocket = valueAt(build, sizeRef('body', 'pocket.length'))
  const toBridge = valueAt(build, sizeRef('body', 'mouthToBridge'))
  const L = scale ?? build.scale
  const end = heelEnd ?? 0.714 * L
  const mouth = end - (pocket ?? 76)
  return {
    scale: L,
    heelEnd: end,
    mouth,
    studs: toBridge === undefined ? L - 6 : mouth + toBridge,
    known: [scale, heelEnd, pocket, toBridge].every((v) => v !== undefined),
  }
}
