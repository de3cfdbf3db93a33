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

/** Each place is reckoned when it is asked for, so that whoever needs the scale alone has read no more than that. */
export function datums(build: Build): Datums {
  const of = {
    scale: () => valueAt(build, sizeRef('neck', 'scale')),
    heelEnd: () => valueAt(build, sizeRef('neck', 'nutToHeelEnd')),
    pocket: () => valueAt(build, sizeRef('body', 'pocket.length')),
    toBridge: () => valueAt(build, sizeRef('body', 'mouthToBridge')),
  }
  return {
    get scale() {
      return of.scale() ?? build.scale
    },
    get heelEnd() {
      return of.heelEnd() ?? 0.714 * this.scale
    },
    get mouth() {
      return this.heelEnd - (of.pocket() ?? 76)
    },
    get studs() {
      const toBridge = of.toBridge()
      return toBridge === undefined ? this.scale - 6 : this.mouth + toBridge
    },
    get known() {
      return Object.values(of).every((v) => v() !== undefined)
    },
  }
}
