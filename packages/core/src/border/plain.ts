import { LIMITS } from './limits'
import { whyNotText } from './text'

/** Where something is wrong, and one sentence. */
export interface Finding {
  path: string
  why: string
}

/**
 * The first look at anything that comes in, before a rule is run or anything is copied: how deep it is, how much of it there is,
 * and that it holds nothing that can never be kept (text with control characters, keys that every object has of its own). Walks with a list of its own, so that no depth can exhaust the stack, and stops at the first limit.
 * @param values how many values may be in it
 */
export function whyNotPlain(root: unknown, values: number = LIMITS.values): Finding | undefined {
  const open: { value: unknown; at: string; depth: number }[] = [{ value: root, at: '', depth: 0 }]
  let seen = 0
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, at, depth } = next
    if (typeof value === 'string') {
      const why = whyNotText(value)
      if (why) return { path: at, why }
    }
    if (typeof value !== 'object' || value === null) continue
    if (depth >= LIMITS.depth) return { path: at, why: `This is nested too deeply; at most ${LIMITS.depth} levels are taken.` }
    const list = Array.isArray(value)
    const keys = list ? undefined : Object.keys(value)
    const count = keys ? keys.length : (value as unknown[]).length
    const most = keys ? LIMITS.map : LIMITS.list
    if (count > most) return { path: at, why: `There are ${count} entries; at most ${most} are allowed.` }
    seen += count
    if (seen > values) return { path: at, why: `There is too much in it: at most ${values} values are taken at once.` }
    const inside = (key: string | number) => (at ? `${at}.${key}` : String(key))
    if (keys)
      for (const key of keys) {
        const why = whyNotKey(key)
        if (why) return { path: at, why }
        open.push({ value: (value as Record<string, unknown>)[key], at: inside(key), depth: depth + 1 })
      }
    // Numbers need no look of their own: a long list of them costs one step.
    else (value as unknown[]).forEach((v, i) => typeof v !== 'number' && open.push({ value: v, at: inside(i), depth: depth + 1 }))
  }
  return undefined
}

/** A key that every object has from birth would be looked past by whatever checks the rest. */
function whyNotKey(key: string): string | undefined {
  if (key in Object.prototype) return `"${key}" cannot be the name of anything here.`
  if (key.length > LIMITS.key) return `A name has at most ${LIMITS.key} letters; one has ${key.length}.`
  return whyNotText(key)
}
