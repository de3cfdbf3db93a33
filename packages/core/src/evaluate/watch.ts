/** How deep an object is watched: what is named is looked into, under its own name or as any ('*'); all else counts as one piece. */
export type Depth = { readonly [key: string]: Depth }

/** What was read of one object. */
interface Seen {
  values: Map<string, unknown>
  held: Map<string, boolean>
  keys?: string
  within: Map<string, { seen: Seen; watched: object }>
}

const newSeen = (): Seen => ({ values: new Map(), held: new Map(), within: new Map() })
const keysOf = (o: object) => Object.keys(o).join('\n')
const isObject = (x: unknown): x is object => typeof x === 'object' && x !== null

/** An object with a note of everything that is read of it. */
export interface Watch<T> {
  watched: T
  /** Another, made from the same by changing some of it: what is read of it is noted as read of the first. */
  madeFrom: (change: (object: T) => T) => T
  /** Whoever computes from `watched`, and what is made from it, computes the same again from any object of which this says yes. */
  stillReads: (now: T) => boolean
}

export function watch<T extends object>(object: T, depth: Depth): Watch<T> {
  const seen = newSeen()
  return {
    watched: watchedOf(object, object, depth, seen) as T,
    madeFrom: (change) => watchedOf(change(object), object, depth, seen) as T,
    stillReads: (now) => readsSame(seen, now),
  }
}

/** @param noted what stands in the notes as read: the object itself, or the one it was made from */
function watchedOf(object: object, noted: object, depth: Depth, seen: Seen): object {
  const own = object === noted
  const changed = new Map<string, object>()
  return new Proxy(object, {
    get(target, key) {
      const value: unknown = Reflect.get(target, key)
      if (typeof key === 'symbol') return value
      const was: unknown = own ? value : Reflect.get(noted, key)
      const deeper = depth[key] ?? depth['*']
      if (!deeper || !isObject(value) || !isObject(was)) {
        seen.values.set(key, was)
        return value
      }
      const there = value === was ? seen.within.get(key)?.watched : changed.get(key)
      if (there) return there
      const at = seen.within.get(key) ?? within(was, deeper)
      seen.within.set(key, at)
      if (value === was) return at.watched
      const made = watchedOf(value, was, deeper, at.seen)
      changed.set(key, made)
      return made
    },
    has(target, key) {
      if (typeof key === 'string') seen.held.set(key, Reflect.has(noted, key))
      return Reflect.has(target, key)
    },
    getOwnPropertyDescriptor(target, key) {
      if (typeof key === 'string') seen.held.set(key, Object.hasOwn(noted, key))
      return Reflect.getOwnPropertyDescriptor(target, key)
    },
    ownKeys(target) {
      seen.keys = keysOf(noted)
      return Reflect.ownKeys(target)
    },
  })
}

function within(object: object, depth: Depth): { seen: Seen; watched: object } {
  const seen = newSeen()
  return { seen, watched: watchedOf(object, object, depth, seen) }
}

function readsSame(seen: Seen, now: object): boolean {
  const at = now as Record<string, unknown>
  if (seen.keys !== undefined && seen.keys !== keysOf(now)) return false
  for (const [key, held] of seen.held) if (Object.hasOwn(at, key) !== held) return false
  for (const [key, value] of seen.values) if (!Object.is(at[key], value)) return false
  for (const [key, { seen: inner }] of seen.within) {
    const value = at[key]
    if (!isObject(value) || !readsSame(inner, value)) return false
  }
  return true
}
