import { LIMITS } from './limits'
import { whyNotText } from './text'

/** Where something is wrong, and one sentence. */
export interface Finding {
  path: string
  why: string
}

/** How much lies in something that was looked at and found fine. */
interface Extent {
  values: number
  /** Levels below it. */
  height: number
}

/**
 * What was found fine, by the object itself: plain data is not changed in place, a change makes copies of what it touches, so of a
 * document that was looked at before only that is looked at again. Kept of the outer levels, where the most is saved with the least.
 */
const fine = new WeakMap<object, Extent>()
const KEPT_TO = 2

/**
 * The first look at anything that comes in, before a rule is run or anything is copied: how deep it is, how much of it there is,
 * and that it holds nothing that can never be kept (text with control characters, keys that every object has of its own). Goes no
 * deeper than is allowed, so that no depth can exhaust the stack, and stops at the first limit.
 * @param values how many values may be in it
 */
export function whyNotPlain(root: unknown, values: number = LIMITS.values): Finding | undefined {
  let seen = 0
  /** @returns how many levels lie below, or what is wrong */
  const look = (value: unknown, at: string, depth: number): number | Finding => {
    if (typeof value === 'string') {
      const why = whyNotText(value)
      return why ? { path: at, why } : 0
    }
    if (typeof value !== 'object' || value === null) return 0
    const before = seen
    const known = fine.get(value)
    if (known && seen + known.values <= values && depth + known.height < LIMITS.depth) {
      seen += known.values
      return known.height
    }
    if (depth >= LIMITS.depth) return { path: at, why: `This is nested too deeply; at most ${LIMITS.depth} levels are taken.` }
    const keys = Array.isArray(value) ? undefined : Object.keys(value)
    const count = keys ? keys.length : (value as unknown[]).length
    const most = keys ? LIMITS.map : LIMITS.list
    if (count > most) return { path: at, why: `There are ${count} entries; at most ${most} are allowed.` }
    seen += count
    if (seen > values) return { path: at, why: `There is too much in it: at most ${values} values are taken at once.` }
    let height = 0
    const under = (key: string | number, inner: unknown): Finding | undefined => {
      const below = look(inner, at ? `${at}.${key}` : String(key), depth + 1)
      if (typeof below !== 'number') return below
      if (typeof inner === 'object' && inner !== null) height = Math.max(height, below + 1)
      return undefined
    }
    if (keys)
      for (const key of keys) {
        const why = whyNotKey(key)
        const wrong = why ? { path: at, why } : under(key, (value as Record<string, unknown>)[key])
        if (wrong) return wrong
      }
    else
      for (let i = 0; i < count; i++) {
        const inner = (value as unknown[])[i]
        // Numbers need no look of their own: a long list of them costs one step.
        const wrong = typeof inner === 'number' ? undefined : under(i, inner)
        if (wrong) return wrong
      }
    if (depth > 0 && depth <= KEPT_TO) fine.set(value, { values: seen - before, height })
    return height
  }
  const found = look(root, '', 0)
  return typeof found === 'number' ? undefined : found
}

/** A key that every object has from birth would be looked past by whatever checks the rest. */
function whyNotKey(key: string): string | undefined {
  if (key in Object.prototype) return `"${key}" cannot be the name of anything here.`
  if (key.length > LIMITS.key) return `A name has at most ${LIMITS.key} letters; one has ${key.length}.`
  return whyNotText(key)
}
