import type { Build } from '../document/build'
import type { PickupPlace } from '../instrument/guardPlace'
import { aBuild, aPart } from './bench'

export interface Wanted {
  places: readonly PickupPlace[]
  contacts?: string
  /** Which pickups are humbuckers, and how many leads come out of those. */
  two?: readonly PickupPlace[]
  leads?: 'two' | 'three' | 'four' | undefined
  pull?: boolean
  second?: boolean
  options?: Record<string, string>
  scheme?: string
  mount?: string
  /** Pickups with electronics of their own; a battery and a stereo jack come with them. */
  active?: readonly PickupPlace[]
  /** A rotary as second switch. */
  rotary?: boolean
}

const OHM: Record<PickupPlace, number> = { neck: 7400, middle: 6000, bridge: 8800 }

/** The electrics of an instrument with nothing else but a body, a neck and a bridge. */
export function wirable(w: Wanted): Build {
  const pickup = (p: PickupPlace) =>
    aPart(
      `pickup-${p}`,
      { resistance: [OHM[p], 'meter', OHM[p] / 100], inductance: [OHM[p] / 2000, 'listed', 0.2] },
      {
        coils: w.two?.includes(p) ? 'two' : 'single',
        sense: p === 'middle' ? 'reverse' : 'plain',
        circuit: w.active?.includes(p) ? 'active' : 'passive',
        ...(w.leads ? { leads: w.leads } : {}),
      },
    )
  const pot = (slot: 'pot-volume' | 'pot-tone' | 'pot-volume-2' | 'pot-tone-2', pull = false) =>
    aPart(slot, { resistance: [500e3, 'meter', 5e3] }, { taper: 'audio', pull: pull ? 'push-pull' : 'plain' })
  const cap = (slot: 'capacitor' | 'capacitor-2') => aPart(slot, { capacitance: [22e-9, 'listed', 2e-9] })
  const build = aBuild({
    bridge: aPart('bridge', {}, { mount: w.mount ?? 'two-stud' }),
    ...Object.fromEntries(w.places.map((p) => [`pickup-${p}`, pickup(p)])),
    'pot-volume': pot('pot-volume'),
    'pot-tone': pot('pot-tone', w.pull),
    capacitor: cap('capacitor'),
    jack: aPart('jack', {}, { contacts: w.active?.length ? 'stereo' : 'mono' }),
    ...(w.active?.length ? { battery: aPart('battery', {}) } : {}),
    ...(w.contacts ? { switch: aPart('switch', {}, { contacts: w.contacts }) } : {}),
    ...(w.second
      ? {
          'pot-volume-2': pot('pot-volume-2'),
          'pot-tone-2': pot('pot-tone-2'),
          'capacitor-2': cap('capacitor-2'),
          'switch-2': aPart('switch-2', {}, { contacts: 'slide' }),
        }
      : {}),
    ...(w.rotary ? { 'switch-2': aPart('switch-2', {}, { contacts: 'rotary-6' }) } : {}),
  })
  return { ...build, circuit: { ...build.circuit, scheme: w.scheme ?? 'by-parts', options: w.options ?? {} } }
}
