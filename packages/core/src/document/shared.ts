const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null

/** The second value with every piece that reads the same in the first taken from there: equal pieces are then the same object. */
export function shared<T>(before: T, now: T): T {
  if (Object.is(before, now) || !isObject(before) || !isObject(now) || Array.isArray(before) !== Array.isArray(now)) return now
  const keys = Object.keys(now)
  let same = keys.length === Object.keys(before).length
  const copy: Record<string, unknown> = {}
  for (const key of keys) {
    copy[key] = Object.hasOwn(before, key) ? shared(before[key], now[key]) : now[key]
    same &&= Object.hasOwn(before, key) && Object.is(copy[key], before[key])
  }
  if (same) return before
  return (Array.isArray(now) ? Object.values(copy) : copy) as T
}
