import { lengthDoubt, type Size } from '../../quantity/size'
import { bandOf, type SizeSpec } from '../kind'
import { KINDS } from '../kinds/index'
import type { Part } from '../part'
import { slotSpec, type Slot } from '../slots'
import { STARTING_SETS, type StartId, type StartingSet } from './sets'

/** Which of a part's sizes an instrument of this kind does not have at all: nobody is asked for them. */
function lacks({ parts }: StartingSet, slot: Slot, size: string): boolean {
  const place = /^(?:route|opening)\.(neck|middle|bridge)\./.exec(size)?.[1] as 'neck' | 'middle' | 'bridge' | undefined
  if (place) return !parts[`pickup-${place}`]
  if (slot !== 'body') return false
  const mount = parts.bridge?.traits?.mount ?? ''
  const through = mount === 'string-through'
  const swings = ['two-stud', 'six-screw', 'double-locking'].includes(mount)
  if (/^(vibrato|spring|claw)\b/.test(size)) return !swings
  if (/^(string\.hole|ferrule\.bore)$/.test(size)) return !through
  if (/^studBore/.test(size)) return !['two-stud', 'double-locking', 'post'].includes(mount)
  if (size.startsWith('tail.')) return !parts.tailpiece
  if (/^(pot\.hole|volume\.|tone\.|switch\.|control\.top)/.test(size)) return parts.guard !== undefined
  if (/^(block|rim|chamber|soundHole)\./.test(size)) return parts.body?.traits?.build === 'solid' && !size.startsWith('block.thickness')
  return size.startsWith('battery.') && !parts.battery
}

/** A size nobody has read: as usual, and as far from it as such parts are found. [ours] */
function assumed(spec: SizeSpec, value: number, slot: Slot): Size {
  const { low, high } = bandOf(spec)
  // Where all such parts are nearly alike the guess is no wider than they are.
  const widest = Math.max(value - low, high - value)
  const doubt = spec.unit === 'mm' ? Math.min(widest, lengthDoubt('assumed', KINDS[slotSpec(slot).kind].trade)) : widest / 2
  return { value, doubt, known: 'assumed' }
}

/** The parts of a starting set, each with the sizes its kind usually has; what has no usual value stays unknown. */
export function startParts(id: StartId): Partial<Record<Slot, Part>> {
  const set: StartingSet = STARTING_SETS[id]
  const parts: Partial<Record<Slot, Part>> = {}
  for (const [slot, { name, traits = {}, sizes = {} }] of Object.entries(set.parts) as [Slot, NonNullable<StartingSet['parts'][Slot]>][]) {
    const kind = KINDS[slotSpec(slot).kind]
    const known = Object.entries(kind.sizes).flatMap(([size, spec]) => {
      const value = sizes[size] ?? (spec.optional ? undefined : spec.usual)
      return value === undefined || lacks(set, slot, size) ? [] : [[size, assumed(spec, value, slot)] as const]
    })
    parts[slot] = { kind: slotSpec(slot).kind, name, state: 'planned', traits: { ...traits }, sizes: Object.fromEntries(known) }
  }
  return parts
}
