import type { Scheme, SchemeWire } from './scheme'

/** One volume, one tone: volume fed at its outer lug, out from the wiper; tone from there to ground through the capacitor. [practice] */
const ONE_VOLUME_ONE_TONE: readonly SchemeWire[] = [
  ['switch.A0', 'volume.3', 'signal'],
  ['volume.1', 'case.1', 'ground'],
  ['volume.3', 'tone.2', 'signal'],
  ['tone.1', 'cap.1', 'jumper'],
  ['cap.2', 'case.1', 'ground'],
  ['volume.2', 'jack.tip', 'signal'],
  ['case.1', 'jack.sleeve', 'ground'],
  ['claw.1', 'case.1', 'ground'],
]

/** Three pickups on a lever of two poles: its in-between positions bridge neighbours. [practice] */
const TWO_POLES: Scheme = {
  id: 'three-on-two-poles',
  contacts: 'lever-5',
  pickups: ['bridge', 'middle', 'neck'],
  wires: [
    ['bridge.hot', 'switch.A1', 'hot'],
    ['bridge.link', 'bridge.back', 'link'],
    ['bridge.ground', 'case.1', 'ground'],
    ['middle.hot', 'switch.A2', 'hot'],
    ['middle.link', 'middle.back', 'link'],
    ['middle.ground', 'case.1', 'ground'],
    ['neck.hot', 'switch.A3', 'hot'],
    ['neck.link', 'neck.back', 'link'],
    ['neck.ground', 'case.1', 'ground'],
    ...ONE_VOLUME_ONE_TONE,
  ],
}

/** Three pickups on a lever of four poles; in between, a humbucker can be tapped by grounding its link. [practice] */
const FOUR_POLES: Scheme = {
  id: 'three-on-four-poles',
  contacts: 'lever-5x4',
  pickups: ['bridge', 'middle', 'neck'],
  wires: [
    ['bridge.hot', 'switch.A1', 'hot'],
    ['bridge.link', 'bridge.back', 'link'],
    ['bridge.ground', 'case.1', 'ground'],
    ['switch.A1', 'switch.A2', 'jumper'],
    ['bridge.link', 'switch.C2', 'link', 'tapped'],
    ['middle.hot', 'switch.B2', 'hot'],
    ['middle.link', 'middle.back', 'link'],
    ['middle.ground', 'case.1', 'ground'],
    ['switch.B2', 'switch.B3', 'jumper'],
    ['switch.B3', 'switch.B4', 'jumper'],
    ['neck.hot', 'switch.A5', 'hot'],
    ['neck.link', 'neck.back', 'link'],
    ['neck.ground', 'case.1', 'ground'],
    ['switch.A5', 'switch.A4', 'jumper'],
    ['neck.link', 'switch.C4', 'link', 'tapped'],
    ['switch.A0', 'switch.B0', 'jumper'],
    ['switch.C0', 'case.1', 'ground', 'tapped'],
    ...ONE_VOLUME_ONE_TONE,
  ],
}

/** Two pickups on a three-way toggle. [practice] */
const TOGGLE: Scheme = {
  id: 'two-on-a-toggle',
  contacts: 'toggle-3',
  pickups: ['bridge', 'neck'],
  wires: [
    ['bridge.hot', 'switch.A1', 'hot'],
    ['bridge.link', 'bridge.back', 'link'],
    ['bridge.ground', 'case.1', 'ground'],
    ['neck.hot', 'switch.A2', 'hot'],
    ['neck.link', 'neck.back', 'link'],
    ['neck.ground', 'case.1', 'ground'],
    ...ONE_VOLUME_ONE_TONE,
  ],
}

export const SCHEMES: readonly Scheme[] = [TWO_POLES, FOUR_POLES, TOGGLE]

/** The scheme for a switch; the two-pole lever when nobody said which it is. */
export const schemeFor = (contacts: string | undefined): Scheme => SCHEMES.find((s) => s.contacts === contacts) ?? TWO_POLES
