import type { Build } from '../document/build'
import type { SizeRef } from '../document/read'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { isSlot, slotSpec, type Slot } from '../parts/slots'
import type { Size } from '../quantity/size'

/** Names one trait of one chosen part. */
export interface TraitRef {
  slot: Slot
  trait: string
}

export const keyOf = (ref: SizeRef | TraitRef): string => `${ref.slot}/${'size' in ref ? ref.size : ref.trait}`

/** What to take for what nobody knows, while a check is asked. */
export interface Suppose {
  size: (ref: SizeRef) => Size
  /** A known size taken as this much more, to see what its doubt does. */
  shifted?: { key: string; by: number } | undefined
  trait: (ref: TraitRef) => string
}

/** What was looked at in a build while a check was asked. */
export interface Noted {
  reads: Map<string, SizeRef>
  /** Of the sizes read, those that were never entered or only assumed. */
  sizes: Map<string, SizeRef>
  traits: Map<string, TraitRef>
}

export const nothingNoted = (): Noted => ({ reads: new Map(), sizes: new Map(), traits: new Map() })

/**
 * The build with an answer to everything that can be asked of its chosen parts. What is known is as entered; what is missing or was only
 * assumed is supposed, and noted. Slots that are empty stay empty: that a part is not there is known.
 * @param note where the next reads are written down; the caller may put another in its place between two checks
 */
export function completed(build: Build, suppose: Suppose, note: { noted: Noted }): Build {
  const made = new Map<Slot, Part>()
  const parts = new Proxy(build.parts, {
    get(target, slot) {
      const part: unknown = Reflect.get(target, slot)
      if (typeof slot === 'symbol' || !part || !isSlot(slot)) return part
      const known = made.get(slot)
      if (known) return known
      const full = completedPart(part as Part, slot, suppose, note)
      made.set(slot, full)
      return full
    },
  })
  return new Proxy(build, { get: (target, key) => (key === 'parts' ? parts : (Reflect.get(target, key) as unknown)) })
}

function completedPart(part: Part, slot: Slot, suppose: Suppose, note: { noted: Noted }): Part {
  const kind = KINDS[slotSpec(slot).kind]
  const sizeOf = (size: string): Size | undefined => {
    const entered = Object.hasOwn(part.sizes, size) ? part.sizes[size] : undefined
    const spec = Object.hasOwn(kind.sizes, size) ? kind.sizes[size] : undefined
    if (!spec || (!entered && spec.optional)) return entered
    const ref = { slot, size }
    const key = `${slot}/${size}`
    note.noted.reads.set(key, ref)
    if (entered && entered.known !== 'assumed')
      return suppose.shifted?.key === key ? { ...entered, value: entered.value + suppose.shifted.by } : entered
    note.noted.sizes.set(key, ref)
    return suppose.size(ref)
  }
  const traitOf = (trait: string): string | undefined => {
    const told = part.traits[trait]
    if (told !== undefined || !Object.hasOwn(kind.traits, trait)) return told
    const ref = { slot, trait }
    note.noted.traits.set(`${slot}/${trait}`, ref)
    return suppose.trait(ref)
  }
  const sizes = answering(part.sizes, sizeOf)
  const traits = answering(part.traits, traitOf)
  return new Proxy(part, {
    get: (target, key) => (key === 'sizes' ? sizes : key === 'traits' ? traits : (Reflect.get(target, key) as unknown)),
  })
}

/** A record that has every key it is asked for, and lists the keys it really has. */
function answering<T>(real: Readonly<Record<string, T>>, answer: (key: string) => T | undefined): Record<string, T> {
  const found = (key: string | symbol) => (typeof key === 'symbol' ? undefined : answer(key))
  return new Proxy({} as Record<string, T>, {
    get: (_, key) => found(key),
    has: (_, key) => found(key) !== undefined,
    ownKeys: () => Reflect.ownKeys(real),
    getOwnPropertyDescriptor(_, key) {
      const value = found(key)
      return value === undefined ? undefined : { value, enumerable: true, configurable: true, writable: false }
    },
  })
}
