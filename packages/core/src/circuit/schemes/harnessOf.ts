import type { Build } from '../../document/build'
import { isSaid, traitAt, valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { controlPlace, controlSaid, type Control } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import type { PickupPlace } from '../../instrument/guardPlace'
import type { Slot } from '../../parts/slots'
import { lugParts, type Coil, type Component, type Harness, type Wire } from '../model/harness'
import { SWITCHES } from '../model/switches'
import type { Taper } from '../model/taper'
import { coilsOf } from './pickupCoils'
import type { Scheme } from './scheme'
import { schemeFor } from './schemes'

/** The harness of a build, or what a scheme could not do without. */
export type SchemeResult = { ok: true; harness: Harness; notes: string[] } | { ok: false; missing: Slot[] }

const NEEDED: Slot[] = ['pickup-neck', 'pickup-bridge', 'pot-volume', 'pot-tone', 'switch', 'capacitor', 'jack']
/** Order in which coils are named: from the neck down. */
const NECK_FIRST: readonly PickupPlace[] = ['neck', 'middle', 'bridge']

/** The build's parts wired by the scheme of its switch. */
export function harnessOf(build: Build): SchemeResult {
  const scheme = schemeFor(traitAt(build, 'switch', 'contacts'))
  const places = NECK_FIRST.filter((p) => scheme.pickups.includes(p))
  const coils = places.flatMap((p) => coilsOf(build, p))
  const missing = NEEDED.filter((slot) => !build.parts[slot])
  for (const place of places) {
    const slot: Slot = `pickup-${place}`
    if (!coils.some((c) => c.pickup === place) && !missing.includes(slot)) missing.push(slot)
  }
  if (missing.length) return { ok: false, missing }
  const notes = build.circuit.split && scheme.contacts === 'lever-5' ? [CANNOT_TAP] : []
  return {
    ok: true,
    harness: { components: [...coils, ...controls(build, scheme)], wires: wiresOf(scheme, coils, build.circuit.split) },
    notes,
  }
}

const CANNOT_TAP = 'A two-pole lever cannot tap the humbuckers; they stay whole in between.'

function controls(build: Build, scheme: Scheme): Component[] {
  const d = datums(build)
  const guessed = (said: boolean) => (said ? {} : { guessed: true as const })
  const control = (id: Control) => ({ at: controlPlace(build, id), ...guessed(controlSaid(build, id)) })
  const by = (...sizes: string[]) => guessed(isSaid(build, ...sizes.map((size) => ({ slot: 'body' as const, size }))))
  const pot = (slot: 'pot-volume' | 'pot-tone', id: 'volume' | 'tone'): Component => ({
    is: 'pot',
    id,
    slot,
    label: id,
    ...control(id),
    ohm: valueAt(build, { slot, size: 'resistance' }) ?? 250e3,
    taper: (traitAt(build, slot, 'taper') ?? 'audio') as Taper,
  })
  const body = (size: string, otherwise: number) => valueAt(build, { slot: 'body', size }) ?? otherwise
  const tone = controlPlace(build, 'tone')
  return [
    pot('pot-volume', 'volume'),
    pot('pot-tone', 'tone'),
    {
      is: 'capacitor',
      id: 'cap',
      slot: 'capacitor',
      label: 'tone capacitor',
      ...control('tone'),
      at: pt(tone.x, tone.y - 8),
      farad: valueAt(build, { slot: 'capacitor', size: 'capacitance' }) ?? 22e-9,
    },
    { is: 'switch', id: 'switch', slot: 'switch', label: 'selector', ...control('switch'), table: SWITCHES[scheme.contacts]! },
    {
      is: 'jack',
      id: 'jack',
      slot: 'jack',
      label: 'jack',
      at: pt(d.mouth + body('jack.x', 330), body('jack.y', -100)),
      ...by('jack.x', 'jack.y'),
    },
    { is: 'ground', id: 'case', label: 'volume case (all grounds meet here)', ...control('volume') },
    { is: 'ground', id: 'claw', label: 'spring claw (strings)', at: pt(d.mouth + body('claw.x', 118), 0), ...by('claw.x') },
  ]
}

/** The scheme's wires between the lugs of the coils and parts that are there. */
function wiresOf(scheme: Scheme, coils: readonly Coil[], tap: boolean): Wire[] {
  const ends = new Map(
    scheme.pickups.flatMap((place) => endsOf(coils.filter((c) => c.pickup === place)).map(([end, lug]) => [`${place}.${end}`, lug])),
  )
  const isPickup = (lug: string) => scheme.pickups.some((p) => lugParts(lug).component === p)
  const lugAt = (lug: string) => (isPickup(lug) ? ends.get(lug) : lug)
  return scheme.wires.flatMap(([a, b, role, only]) => {
    if (only === 'tapped' && !tap) return []
    const [from, to] = [lugAt(a), lugAt(b)]
    return from === undefined || to === undefined ? [] : [{ from, to, role }]
  })
}

/** A single coil: finish hot, start to ground. Two: start of the first hot, finishes joined, start of the second to ground. [practice] */
function endsOf([a, b]: readonly Coil[]): [end: string, lug: string][] {
  if (!a) return []
  if (!b)
    return [
      ['hot', `${a.id}.finish`],
      ['ground', `${a.id}.start`],
    ]
  return [
    ['hot', `${a.id}.start`],
    ['link', `${a.id}.finish`],
    ['back', `${b.id}.finish`],
    ['ground', `${b.id}.start`],
  ]
}
