import type { Build } from '../document/build'
import { neckEnd, sizeRef, valueAt } from '../document/read'

/**
 * The places everything else is measured from, mm from the nut along the centre line. They follow from the neck's
 * heel standing against the end of the pocket, not from the scale wanted: a neck of another length moves the nut. Of neck and body in one
 * piece mouth and heel's end are both the board's end.
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
export const datums = (build: Build): Datums => new Reckoned(build)

const REFS = {
  scale: sizeRef('neck', 'scale'),
  pocket: sizeRef('body', 'pocket.length'),
  toBridge: sizeRef('body', 'mouthToBridge'),
}

class Reckoned implements Datums {
  constructor(private readonly build: Build) {}
  get scale() {
    return valueAt(this.build, REFS.scale) ?? this.build.scale
  }
  get heelEnd() {
    return valueAt(this.build, neckEnd(this.build)) ?? 0.714 * this.scale
  }
  get mouth() {
    return this.heelEnd - (valueAt(this.build, REFS.pocket) ?? 76)
  }
  get studs() {
    const toBridge = valueAt(this.build, REFS.toBridge)
    return toBridge === undefined ? this.scale - 6 : this.mouth + toBridge
  }
  get known() {
    return [...Object.values(REFS), neckEnd(this.build)].every((ref) => valueAt(this.build, ref) !== undefined)
  }
}
