import type { Slot } from '../slots'

/** A part of a starting set: what it is, and where its sizes differ from what is usual of its kind. */
export interface StartPart {
  name: string
  traits?: Readonly<Record<string, string>>
  sizes?: Readonly<Record<string, number>>
}

/** A kind of instrument to begin with: our own patterns, in the trade's generic words; every size a guess until it is read. [practice] */
export interface StartingSet {
  label: string
  strings: number
  scale: number
  parts: Readonly<Partial<Record<Slot, StartPart>>>
}

export const HUMBUCKER = { coils: 'two', leads: 'four', poles: 'poles', circuit: 'passive' }
export const SINGLE = { coils: 'single', leads: 'two', poles: 'poles', circuit: 'passive' }
export const pickup = (name: string, kind: typeof HUMBUCKER, mount: string): StartPart => ({
  name,
  traits: { ...kind, mount },
  sizes:
    kind === HUMBUCKER
      ? { length: 36, width: 69, resistance: 8000, 'poles.spread': 50 }
      : { length: 18, width: 69, depth: 16, resistance: 6000, 'poles.spread': 50 },
})
export const bassPickup = (name: string, width: number): StartPart => ({
  name,
  traits: { ...SINGLE, mount: 'body' },
  sizes: { length: 18.5, width, depth: 20, resistance: 7500, 'poles.spread': 54 },
})
/** What every one of them has. */
export const common: Partial<Record<Slot, StartPart>> = {
  'pot-volume': { name: 'Volume pot', traits: { taper: 'audio', pull: 'plain' }, sizes: { resistance: 500e3 } },
  'pot-tone': { name: 'Tone pot', traits: { taper: 'audio', pull: 'plain' }, sizes: { resistance: 500e3 } },
  capacitor: { name: 'Tone capacitor' },
  jack: { name: 'Jack', traits: { contacts: 'mono' } },
  knobs: { name: 'Knobs', sizes: { count: 2 } },
  'strap-buttons': { name: 'Strap buttons' },
  wire: { name: 'Wire', traits: { type: 'stranded' } },
  'neck-screws': { name: 'Neck screws and plate' },
}
/** The same with a neck that is glued in. */
export const { 'neck-screws': _, ...glued } = common
/** Two humbuckers, each in a ring. */
export const ringed: Partial<Record<Slot, StartPart>> = {
  'pickup-neck': pickup('Neck humbucker', HUMBUCKER, 'ring'),
  'pickup-bridge': pickup('Bridge humbucker', HUMBUCKER, 'ring'),
  'ring-neck': { name: 'Neck ring' },
  'ring-bridge': { name: 'Bridge ring' },
}
export const POSTS: StartPart = {
  name: 'Bridge on posts',
  traits: { mount: 'post', saddles: 'arched' },
  sizes: { studSpacing: 74, studDiameter: 7 },
}
export const STOP: StartPart = { name: 'Stop tailpiece', traits: { type: 'stop' }, sizes: { studSpacing: 82, studDiameter: 11.5 } }
/** Under an arched front the neck leans back, and the board lies on the front. [practice, from memory] */
export const ARCHED = { 'arch.bridge': 5, 'arch.tail': 3, 'pocket.tilt': 2, 'pocket.depth': 19 }
export const NUT: StartPart = { name: 'Nut', traits: { type: 'slotted' } }
export const STRINGS: StartPart = {
  name: 'String set',
  sizes: { 'gauge.1': 0.254, 'gauge.2': 0.33, 'gauge.3': 0.432, 'gauge.4': 0.66, 'gauge.5': 0.914, 'gauge.6': 1.168, wound: 3 },
}
export const LEVER: StartPart = { name: 'Lever switch', traits: { contacts: 'lever-5' } }
export const TOGGLE: StartPart = { name: 'Toggle', traits: { contacts: 'toggle-3' } }
export const neck = (more: StartPart['sizes'] = {}, traits: Record<string, string> = {}): StartPart => ({
  name: 'Neck',
  traits: { joint: 'bolt', ...(traits.head === 'two-rows' ? {} : { row: 'bass' }), head: 'one-row', ...traits },
  // Two rows stand either side of the middle, further apart along it.
  sizes: { ...(traits.head === 'two-rows' ? { 'tuner.offset': 24, 'tuner.pitch': 38, 'tuner.first': 38 } : {}), ...more },
})
export const TUNERS: StartPart = { name: 'Tuners', sizes: { count: 6 } }
/** Places of two humbuckers, and of a single between them, along the centre line from the pocket's mouth, mm. */
export const twoRoutes = (bridge: number): Record<string, number> => ({
  'route.neck.centre': 107,
  'route.neck.length': 40,
  'route.neck.width': 74,
  'route.bridge.centre': bridge,
  'route.bridge.length': 40,
  'route.bridge.width': 74,
})
