import type { Build } from '../document/build'
import { answersSizes, believed, NAUGHT, standsFor, type SizeRef } from '../document/read'
import { isNaught } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { isSlot, slotSpec, type Slot } from '../parts/slots'
import { told, type Size } from '../quantity/size'

/** Names one trait of one chosen part. */
export interface TraitRef {
  slot: Slot
  trait: string
}

export const keyOf = (ref: SizeRef | TraitRef): string => `${ref.slot}/${'size' in ref ? ref.size : ref.trait}`

/** What to take for what nobody knows, while a check is asked. */
export interface Suppose {
  size: (ref: SizeRef, key: string) => Size
  /** A known size taken as this much more, to see what its doubt does. */
  shifted?: { key: string; by: number } | undefined
  trait: (ref: TraitRef, key: string) => string
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
  const made = new Map<string, Completed>()
  const fill = (slot: string): Completed | undefined => {
    const known = made.get(slot)
    if (known) return known
    const part = isSlot(slot) ? build.parts[slot] : undefined
    if (!part) return undefined
    const full = completedPart(part, slot as Slot, suppose, note)
    made.set(slot, full)
    return full
  }
  const parts = new Proxy(build.parts, {
    get: (target, slot) => (typeof slot === 'symbol' ? undefined : fill(slot)?.part) ?? (Reflect.get(target, slot) as unknown),
  })
  const whole = new Proxy(build, { get: (target, key) => (key === 'parts' ? parts : (Reflect.get(target, key) as unknown)) })
  return answersSizes(standsFor(whole, build), (slot, size) => fill(slot)?.sizeOf(size))
}

/** A size of a part, as it was found when it was first looked at. */
interface Met {
  key: string
  ref: SizeRef
  entered: Size | undefined
  told: boolean
  silent: boolean
  /** Where it was last written down. */
  notedIn: Noted | undefined
}

interface Completed {
  part: Part
  sizeOf: (size: string) => Size | undefined
}

function completedPart(part: Part, slot: Slot, suppose: Suppose, note: { noted: Noted }): Completed {
  const kind = KINDS[slotSpec(slot).kind]
  /** Each size is looked up once; after that it is only noted, once in every run. */
  const met = new Map<string, Met>()
  const meet = (size: string) => {
    const spec = Object.hasOwn(kind.sizes, size) ? kind.sizes[size] : undefined
    const naught = isNaught(kind, part.traits, size)
    const entered = naught ? NAUGHT : Object.hasOwn(part.sizes, size) ? believed(part, size, part.sizes[size]) : undefined
    const isTold = told(entered) !== undefined
    // Not a size of its kind, or there is none of it: the part itself answers.
    const silent = !spec || naught || (!entered && spec.optional === true)
    const found: Met = { key: `${slot}/${size}`, ref: { slot, size }, entered, told: isTold, silent, notedIn: undefined }
    met.set(size, found)
    return found
  }
  const sizeOf = (size: string): Size | undefined => {
    const known = met.get(size) ?? meet(size)
    if (known.silent) return known.entered
    const { noted } = note
    if (known.notedIn !== noted) {
      known.notedIn = noted
      noted.reads.set(known.key, known.ref)
      if (!known.told) noted.sizes.set(known.key, known.ref)
    }
    if (!known.told) return suppose.size(known.ref, known.key)
    const { shifted } = suppose
    return shifted?.key === known.key ? { ...known.entered!, value: known.entered!.value + shifted.by } : known.entered
  }
  const traitOf = (trait: string): string | undefined => {
    const told = part.traits[trait]
    if (told !== undefined || !Object.hasOwn(kind.traits, trait)) return told
    const ref = { slot, trait }
    const key = `${slot}/${trait}`
    note.noted.traits.set(key, ref)
    return suppose.trait(ref, key)
  }
  const sizes = answering(part.sizes, sizeOf)
  const traits = answering(part.traits, traitOf)
  const whole = new Proxy(part, {
    get: (target, key) => (key === 'sizes' ? sizes : key === 'traits' ? traits : (Reflect.get(target, key) as unknown)),
  })
  return { part: whole, sizeOf }
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
