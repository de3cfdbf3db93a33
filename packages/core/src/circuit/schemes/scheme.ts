import type { PickupPlace } from '../../instrument/guardPlace'
import type { WireRole } from '../model/harness'

/**
 * One wire as a scheme has it: lug to lug, written component.lug. A pickup's ends are `hot`, `ground`, and of two coils in series
 * `link` and `back`, the two ends between them; whichever coils the chosen pickup has stand behind them. A wire to an end that it
 * has not is left out; one marked `tapped` is there only when the humbuckers are tapped to one coil in between.
 */
export type SchemeWire = readonly [from: string, to: string, role: WireRole, only?: 'tapped']

/** A wiring as data: which pickups on which switch, and every wire. */
export interface Scheme {
  id: string
  /** Trait of the switch it is for. */
  contacts: string
  pickups: readonly PickupPlace[]
  wires: readonly SchemeWire[]
}
