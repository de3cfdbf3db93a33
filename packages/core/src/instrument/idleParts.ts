import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import { isVibrato } from './vibrato'

type Parts = Partial<Record<Slot, Part>>

const mount = (parts: Parts) => parts.bridge?.traits.mount

/** What is said of a ring by the pickup it is for. */
const ring = (place: 'neck' | 'bridge') => (parts: Parts) => {
  const pickup = parts[`pickup-${place}`]
  if (!pickup) return `there is no ${place} pickup`
  const by = pickup.traits.mount
  return by !== undefined && by !== 'ring' ? `the ${place} pickup does not hang from a ring` : undefined
}

const HELD_BY_THREAD: ReadonlySet<string | undefined> = new Set(['thread', 'panel'])

/** What makes a part one that nothing takes; silent while that is not told. A battery may feed what is no part here. */
const BY_OTHERS: Partial<Record<Slot, (parts: Parts) => string | undefined>> = {
  springs: (parts) => (mount(parts) !== undefined && !isVibrato(mount(parts)) ? 'the bridge does not move' : undefined),
  tailpiece: (parts) => (mount(parts) !== undefined && mount(parts) !== 'post' ? 'the bridge holds the strings itself' : undefined),
  ferrules: (parts) => (mount(parts) !== undefined && mount(parts) !== 'string-through' ? 'no string goes through the body' : undefined),
  'neck-screws': (parts) => (parts.neck?.traits.joint === 'set' ? 'the neck is glued in' : undefined),
  'ring-neck': ring('neck'),
  'ring-bridge': ring('bridge'),
  'control-plate': (parts) =>
    parts.body?.traits.access !== undefined && parts.body.traits.access !== 'front'
      ? 'the controls do not go in from the front'
      : undefined,
  'jack-plate': (parts) => (HELD_BY_THREAD.has(parts.jack?.traits.held) ? 'the jack is held by its own thread' : undefined),
}

/** Why nothing in this build takes the part in this slot: bought for nothing, or another part is not what it was told to be. */
export const idleFor = (parts: Parts, slot: Slot): string | undefined => (parts[slot] ? BY_OTHERS[slot]?.(parts) : undefined)
