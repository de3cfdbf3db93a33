import { pickupAlong } from '../../instrument/pickupPlace'
import type { Build } from '../../document/build'
import { isSaid, traitAt, valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import type { PickupPlace } from '../../instrument/guardPlace'
import type { Coil } from '../model/harness'

/** Inductance per ohm to estimate from when only the resistance is known, H/ohm, by kind of coil. [practice] */
const HENRY_PER_OHM = { single: 2.5 / 6000, two: 4.6 / 8200 }
/** Winding capacitance when not known, farad: a single coil, and both coils of a humbucker in series. [practice] */
const FARAD = { single: 110e-12, two: 30e-12 }
/** What the output of an active pickup has, ohm: low, so that cable and knobs hardly load it. [practice] */
const ACTIVE_OUT = 3e3
/** Distance between the two coils of a humbucker, mm. [practice] */
const COIL_SPACING = 18

/**
 * The coils of a chosen pickup. A humbucker is two equal windings of the same winding sense with opposite magnets,
 * joined finish to finish, so strings add and hum cancels. Nothing when the pickup or its resistance is missing.
 */
export function coilsOf(build: Build, place: PickupPlace): Coil[] {
  const slot = `pickup-${place}` as const
  const active = traitAt(build, slot, 'circuit') === 'active'
  const ohm = active ? ACTIVE_OUT : valueAt(build, { slot, size: 'resistance' })
  const kind = traitAt(build, slot, 'coils') === 'two' ? 'two' : 'single'
  if (ohm === undefined) return []
  const known = valueAt(build, { slot, size: 'inductance' })
  const henry = known ?? ohm * HENRY_PER_OHM[kind]
  const farad = valueAt(build, { slot, size: 'capacitance' }) ?? FARAD[kind]
  const x = pickupAlong(build, place)
  const flip = traitAt(build, slot, 'sense') === 'reverse' ? -1 : 1
  // A magnet turned over changes the strings' sense and leaves that of the hum, which the winding alone decides.
  const upward = (traitAt(build, slot, 'pole') === 'turned' ? -flip : flip) as 1 | -1
  const guessed = isSaid(build, { slot: 'body', size: `route.${place}.centre` }) ? {} : { guessed: true as const }
  if (active) {
    const guess = isSaid(build, { slot: 'body', size: `route.${place}.centre` }) ? {} : { guessed: true as const }
    return [
      {
        is: 'coil',
        slot,
        pickup: place,
        id: place,
        label: place,
        at: pt(x, 0),
        ohm: ACTIVE_OUT,
        henry: 0,
        farad: 0,
        magnet: 1,
        winding: 1,
        estimated: true,
        active: true,
        ...guess,
      },
    ]
  }
  const base = { is: 'coil' as const, slot, pickup: place, estimated: known === undefined, ...guessed }
  if (kind === 'single')
    return [{ ...base, id: place, label: place, at: pt(x, 0), ohm, henry, farad, magnet: upward, winding: flip as 1 | -1 }]
  const half = { ohm: ohm / 2, henry: henry / 2, farad: farad * 2, winding: flip as 1 | -1 }
  return [
    {
      ...base,
      ...half,
      id: `${place}-a`,
      label: `${place}, coil nearer the neck`,
      at: pt(x - COIL_SPACING / 2, 0),
      magnet: -upward as 1 | -1,
    },
    {
      ...base,
      ...half,
      id: `${place}-b`,
      label: `${place}, coil nearer the bridge`,
      at: pt(x + COIL_SPACING / 2, 0),
      magnet: upward,
    },
  ]
}
