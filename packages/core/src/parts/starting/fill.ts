import type { Size } from '../../quantity/size'
import { startingDoubt } from '../doubt'
import { isNaught, type SizeSpec } from '../kind'
import { KINDS } from '../kinds/index'
import type { Part } from '../part'
import { slotSpec, type Slot } from '../slots'
import { STARTING_SETS, type StartId } from './sets'
import type { StartPart, StartingSet } from './usualParts'

/** What an instrument has, as far as it decides which sizes there are. */
type Instrument = Readonly<Partial<Record<Slot, { traits?: Readonly<Record<string, string>> }>>>

const PLACES = ['neck', 'middle', 'bridge'] as const

/**
 * Which of a part's sizes an instrument of these parts does not have at all: nobody is asked for them. What is not said yet of the other
 * parts leaves everything open.
 */
export function lacks(parts: Instrument, slot: Slot, size: string): boolean {
  const held = parts.jack?.traits?.held
  if (/^(guard|control-plate)$/.test(slot) && size.startsWith('jack.')) return held !== undefined && held !== 'panel'
  // Beside a plate of their own the controls have no holes in the guard.
  if (slot === 'guard' && parts['control-plate'] && IN_PANEL.test(size)) return true
  const isThrough = parts.body?.traits?.neckIs === 'through'
  if (slot === 'neck') return isThrough && OF_HEEL.test(size)
  if (size.startsWith('board.')) return !isThrough
  const place = /^(?:route|opening)\.(neck|middle|bridge)\./.exec(size)?.[1] as (typeof PLACES)[number] | undefined
  if (place) return !parts[`pickup-${place}`] && PLACES.some((p) => parts[`pickup-${p}`])
  if (slot !== 'body') return false
  if (isThrough && isNaught(KINDS.body, { neckIs: 'through' }, size)) return true
  // A guard carries them where they go in from the front; elsewhere it only keeps the top whole.
  const front = parts.body?.traits?.access === 'front'
  const mount = parts.bridge?.traits?.mount
  const isOf = (...mounts: string[]) => mount === undefined || mounts.includes(mount)
  if (/^(vibrato|spring|claw)\b/.test(size)) return !isOf('two-stud', 'six-screw', 'double-locking')
  if (/^(string\.hole|ferrule\.bore)$/.test(size)) return !isOf('string-through')
  if (/^studBore/.test(size)) return !isOf('two-stud', 'double-locking', 'post', 'bar')
  if (size.startsWith('tail.')) return mount !== undefined && !parts.tailpiece
  if (size.startsWith('jack.') && held === 'panel') return true
  if (size.startsWith('plate.')) return !parts['control-plate']
  if (IN_PANEL.test(size) || size === 'control.top') return parts['control-plate'] !== undefined || (parts.guard !== undefined && front)
  if (/^(block|rim|chamber|soundHole)\./.test(size)) return isSolid(parts.body?.traits) && !size.startsWith('block.thickness')
  return size.startsWith('battery.') && mount !== undefined && !parts.battery
}

/** What a neck has that ends in a heel. */
const OF_HEEL = /^(heel\.|nutToHeelEnd$|tilt\.)/

/** Said to be solid, and said to have no sound hole for its controls. */
const isSolid = (traits: Readonly<Record<string, string>> = {}): boolean =>
  traits.build === 'solid' && traits.access !== undefined && traits.access !== 'sound-hole'

/** Where controls sit in what carries them. */
const IN_PANEL = /^(pot\.hole|volume(-2)?\.|tone(-2)?\.|switch(-2)?\.)/

/** A size nobody has read. */
const assumed = (spec: SizeSpec, value: number, slot: Slot): Size => ({
  value,
  doubt: startingDoubt(spec, KINDS[slotSpec(slot).kind].trade, 'assumed', value),
  known: 'assumed',
})

/** A part nobody has described: its sizes as usual of its kind, as far as an instrument of these parts has them; the rest stays unknown. */
export function usualPart(slot: Slot, { name, traits = {}, sizes = {} }: StartPart, parts: Instrument): Part {
  const { kind } = slotSpec(slot)
  const known = Object.entries(KINDS[kind].sizes).flatMap(([size, spec]) => {
    const value = sizes[size] ?? (spec.optional ? undefined : spec.usual)
    return value === undefined || lacks(parts, slot, size) ? [] : [[size, assumed(spec, value, slot)] as const]
  })
  return { kind, name, state: 'planned', traits: { ...traits }, sizes: Object.fromEntries(known) }
}

/** The parts of a starting set. */
export function startParts(id: StartId): Partial<Record<Slot, Part>> {
  const { parts }: StartingSet = STARTING_SETS[id]
  return Object.fromEntries((Object.entries(parts) as [Slot, StartPart][]).map(([slot, part]) => [slot, usualPart(slot, part, parts)]))
}
