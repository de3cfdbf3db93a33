import type { Build } from '../../document/build'
import { traitAt, valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { controlPlace } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import type { Slot } from '../../parts/slots'
import type { Component, Harness, Wire } from '../model/harness'
import { SWITCHES } from '../model/switches'
import type { Taper } from '../model/taper'
import { coilsOf } from './pickupCoils'

/** What a scheme could not do without, or the harness it makes. */
export type SchemeResult = { ok: true; harness: Harness; notes: string[] } | { ok: false; missing: Slot[] }

const NEEDED: Slot[] = ['pickup-neck', 'pickup-bridge', 'pot-volume', 'pot-tone', 'switch', 'capacitor', 'jack']

/**
 * Three pickups on a 5-way lever, or two on a toggle; one volume, one tone. With a four-pole lever the in-between positions can tap a
 * humbucker to the coil on its hot side by grounding its link; a two-pole lever bridges neighbours and cannot.
 * Volume: pickups to the outer lug, out from the wiper. Tone: from the volume's outer lug to ground.
 */
export function threePickupHarness(build: Build): SchemeResult {
  const toggle = traitAt(build, 'switch', 'contacts') === 'toggle-3'
  // A toggle chooses between two pickups; the levers between three.
  const places = toggle ? (['neck', 'bridge'] as const) : (['neck', 'middle', 'bridge'] as const)
  const missing = NEEDED.filter((slot) => !build.parts[slot])
  const coils = { neck: coilsOf(build, 'neck'), middle: toggle ? [] : coilsOf(build, 'middle'), bridge: coilsOf(build, 'bridge') }
  for (const place of places) {
    const slot: Slot = `pickup-${place}`
    if (!coils[place].length && !missing.includes(slot)) missing.push(slot)
  }
  if (missing.length) return { ok: false, missing }

  const fourPole = traitAt(build, 'switch', 'contacts') === 'lever-5x4'
  const notes: string[] = []
  if (build.circuit.split && !fourPole && !toggle) notes.push('A two-pole lever cannot tap the humbuckers; they stay whole in between.')
  const d = datums(build)
  const potPart = (slot: 'pot-volume' | 'pot-tone', knob: 'volume' | 'tone'): Component => ({
    is: 'pot',
    id: knob,
    label: knob,
    at: controlPlace(build, knob),
    knob,
    ohm: valueAt(build, { slot, size: 'resistance' }) ?? 250e3,
    taper: (traitAt(build, slot, 'taper') ?? 'audio') as Taper,
  })
  const body = (size: string, otherwise: number) => valueAt(build, { slot: 'body', size }) ?? otherwise
  const tone = controlPlace(build, 'tone')
  const components: Component[] = [
    ...coils.neck,
    ...coils.middle,
    ...coils.bridge,
    potPart('pot-volume', 'volume'),
    potPart('pot-tone', 'tone'),
    {
      is: 'capacitor',
      id: 'cap',
      label: 'tone capacitor',
      at: pt(tone.x, tone.y - 8),
      farad: valueAt(build, { slot: 'capacitor', size: 'capacitance' }) ?? 22e-9,
    },
    {
      is: 'switch',
      id: 'switch',
      label: 'selector',
      at: controlPlace(build, 'switch'),
      table: SWITCHES[toggle ? 'toggle-3' : fourPole ? 'lever-5x4' : 'lever-5']!,
    },
    { is: 'jack', id: 'jack', label: 'jack', at: pt(d.mouth + body('jack.x', 330), body('jack.y', -100)) },
    { is: 'ground', id: 'case', label: 'volume case (all grounds meet here)', at: controlPlace(build, 'volume') },
    { is: 'ground', id: 'claw', label: 'spring claw (strings)', at: pt(d.mouth + body('claw.x', 118), 0) },
  ]
  return {
    ok: true,
    harness: {
      components,
      wires: [...pickupWires(coils, toggle ? TOGGLE : fourPole ? FOUR_POLE : TWO_POLE, build.circuit.split && fourPole), ...CONTROL_WIRES],
    },
    notes,
  }
}

type Coils = Record<'neck' | 'middle' | 'bridge', { id: string }[]>

/** On which contacts each pickup's hot lead has to lie, so that it sounds in its positions. */
type Contacts = Record<'neck' | 'middle' | 'bridge', readonly string[]>
const FOUR_POLE: Contacts = { bridge: ['A1', 'A2'], middle: ['B2', 'B3', 'B4'], neck: ['A5', 'A4'] }
const TWO_POLE: Contacts = { bridge: ['A1'], middle: ['A2'], neck: ['A3'] }
const TOGGLE: Contacts = { bridge: ['A1'], middle: [], neck: ['A2'] }

function pickupWires(coils: Coils, contacts: Contacts, split: boolean): Wire[] {
  const wires: Wire[] = []
  const add = (from: string, to: string, role: Wire['role']) => wires.push({ from, to, role })
  for (const place of ['bridge', 'middle', 'neck'] as const) {
    const [a, b] = coils[place]
    if (!a) continue
    const [first, ...more] = contacts[place]
    // A humbucker: start of the first coil hot, finishes joined, last end to ground. [practice]
    add(b ? `${a.id}.start` : `${a.id}.finish`, `switch.${first}`, 'hot')
    if (b) add(`${a.id}.finish`, `${b.id}.finish`, 'link')
    add(b ? `${b.id}.start` : `${a.id}.start`, 'case.1', 'ground')
    more.forEach((c, i) => add(`switch.${i === 0 ? first : more[i - 1]}`, `switch.${c}`, 'jumper'))
    if (split && b && place !== 'middle') add(`${a.id}.finish`, `switch.${place === 'bridge' ? 'C2' : 'C4'}`, 'link')
  }
  if (contacts === FOUR_POLE) {
    add('switch.A0', 'switch.B0', 'jumper')
    if (split) add('switch.C0', 'case.1', 'ground')
  }
  return wires
}

const CONTROL_WIRES: Wire[] = [
  { from: 'switch.A0', to: 'volume.3', role: 'signal' },
  { from: 'volume.1', to: 'case.1', role: 'ground' },
  { from: 'volume.3', to: 'tone.2', role: 'signal' },
  { from: 'tone.1', to: 'cap.1', role: 'jumper' },
  { from: 'cap.2', to: 'case.1', role: 'ground' },
  { from: 'volume.2', to: 'jack.tip', role: 'signal' },
  { from: 'case.1', to: 'jack.sleeve', role: 'ground' },
  { from: 'claw.1', to: 'case.1', role: 'ground' },
]
