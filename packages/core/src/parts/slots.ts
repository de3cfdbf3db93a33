import type { KindName } from './kinds/index'

/** A place in a build that wants a part. */
export interface SlotSpec {
  slot: string
  kind: KindName
  label: string
  /** Without it the instrument cannot be built; others may stay empty for good. */
  needed: boolean
}

const spec = <const S extends string, const K extends KindName>(slot: S, kind: K, label: string, needed = true) => ({
  slot,
  kind,
  label,
  needed,
})

/** In the order a person should enter them: what decides most comes first. */
export const SLOTS = [
  spec('body', 'body', 'Body'),
  spec('neck', 'neck', 'Neck'),
  spec('bridge', 'bridge', 'Bridge'),
  spec('guard', 'guard', 'Pickguard', false),
  spec('control-plate', 'control-plate', 'Control plate', false),
  spec('pickup-neck', 'pickup', 'Neck pickup', false),
  spec('pickup-middle', 'pickup', 'Middle pickup', false),
  spec('pickup-bridge', 'pickup', 'Bridge pickup', false),
  spec('tuners', 'tuners', 'Tuners'),
  spec('nut', 'nut', 'Nut'),
  spec('strings', 'strings', 'Strings'),
  spec('pot-volume', 'pot', 'Volume pot', false),
  spec('pot-tone', 'pot', 'Tone pot', false),
  spec('switch', 'switch', 'Selector switch', false),
  spec('capacitor', 'capacitor', 'Tone capacitor', false),
  spec('pot-volume-2', 'pot', 'Second volume pot', false),
  spec('pot-tone-2', 'pot', 'Second tone pot', false),
  spec('switch-2', 'switch', 'Second switch', false),
  spec('capacitor-2', 'capacitor', 'Second capacitor', false),
  spec('jack', 'jack', 'Jack', false),
  spec('neck-screws', 'neck-screws', 'Neck screws'),
  spec('tailpiece', 'tailpiece', 'Tailpiece', false),
  spec('ferrules', 'ferrules', 'String ferrules', false),
  spec('string-tree', 'string-tree', 'String tree', false),
  spec('springs', 'springs', 'Springs and claw', false),
  spec('ring-neck', 'ring', 'Neck pickup ring', false),
  spec('ring-bridge', 'ring', 'Bridge pickup ring', false),
  spec('knobs', 'knobs', 'Knobs', false),
  spec('strap-buttons', 'strap-buttons', 'Strap buttons', false),
  spec('shielding', 'shielding', 'Shielding', false),
  spec('battery', 'battery', 'Battery', false),
  spec('wire', 'wire', 'Wire', false),
  spec('harness', 'harness', 'Pre-wired harness', false),
  spec('jack-plate', 'jack-plate', 'Jack plate or cup', false),
] as const satisfies readonly SlotSpec[]

export type Slot = (typeof SLOTS)[number]['slot']
export const SLOT_NAMES = SLOTS.map((s) => s.slot) as Slot[]
const BY_NAME: ReadonlyMap<string, SlotSpec> = new Map(SLOTS.map((s) => [s.slot, s]))
export const slotSpec = (slot: Slot): SlotSpec => BY_NAME.get(slot)!
export const isSlot = (name: string): name is Slot => BY_NAME.has(name)
/** The kind of part each slot takes, at the type level. */
export type KindOf<S extends Slot> = Extract<(typeof SLOTS)[number], { slot: S }>['kind']
