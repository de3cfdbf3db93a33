import type { Slot } from '../parts/slots'

/** What is soldered together: nothing of it can be, before it lies there. */
export const SOLDERED = [
  'pickup-neck',
  'pickup-middle',
  'pickup-bridge',
  'pot-volume',
  'pot-tone',
  'pot-volume-2',
  'pot-tone-2',
  'switch',
  'switch-2',
  'capacitor',
  'capacitor-2',
  'battery',
  'jack',
  'wire',
  'harness',
] as const satisfies readonly Slot[]

/** That and what holds or hides it: a guard carries it or closes over it, without one it goes into the body. */
export const WITH_HARNESS = [...SOLDERED, 'ring-neck', 'ring-bridge', 'knobs', 'jack-plate', 'shielding'] as const satisfies readonly Slot[]
