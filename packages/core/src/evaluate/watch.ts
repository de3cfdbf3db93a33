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

/**
 * The object with a note of everything that is read of it. Whoever computes from `watched` computes the same again from any object
 * of which `stillReads` says yes.
 */
export function watch<T extends object>(object: T, depth: Depth): { watched: T; stillReads: (now: T) => boolean } {
  const seen = newSeen()
  return { watched: watchedOf(object, depth, seen) as T, stillReads: (now) => readsSame(seen, now) }
}

function watchedOf(object: object, depth: Depth, seen: Seen): object {
  return new Proxy(object, {
    get(target, key) {
      const value: unknown = Reflect.get(target, key)
      if (typeof key === 'symbol') return value
      const deeper = depth[key] ?? depth['*']
      if (!deeper || !isObject(value)) {
        seen.values.set(key, value)
        return value
      }
      const there = seen.within.get(key)
      if (there) return there.watched
      const inner = newSeen()
      const made = { seen: inner, watched: watchedOf(value, deeper, inner) }
      seen.within.set(key, made)
      return made.watched
    },
    has(target, key) {
      const held = Reflect.has(target, key)
      if (typeof key === 'string') seen.held.set(key, held)
      return held
    },
    getOwnPropertyDescriptor(target, key) {
      const found = Reflect.getOwnPropertyDescriptor(target, key)
      if (typeof key === 'string') seen.held.set(key, found !== undefined)
      return found
    },
    ownKeys(target) {
      seen.keys = keysOf(target)
      return Reflect.ownKeys(target)
    },
  })
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
