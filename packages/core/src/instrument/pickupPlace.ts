import type { Build } from '../document/build'
import { valueAt } from '../document/read'
import { datums } from './datums'
import type { PickupPlace } from './guardPlace'

/** Where pickups stand between the neck's end and the bridge on an instrument nobody has measured. [ours] */
const SHARE: Record<PickupPlace, number> = { neck: 0.42, middle: 0.63, bridge: 0.84 }

/** A pickup's middle along the strings, mm from the nut: where its route is, or where such a one usually is. */
export function pickupAlong(build: Build, place: PickupPlace): number {
  const d = datums(build)
  const at = valueAt(build, { slot: 'body', size: `route.${place}.centre` })
  // The scale is asked only where it is needed: what reads this would hang on it.
  return d.mouth + (at ?? (d.scale - d.mouth) * SHARE[place])
}
