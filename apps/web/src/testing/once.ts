/**
 * What is worked out from the same values is worked out once: most of these tests begin with the same build. A build is never changed in
 * place, and what is worked out of it neither.
 */
export function once<A extends unknown[], R>(work: (...args: A) => R): (...args: A) => R {
  const known = new Map<string, R>()
  return (...args) => {
    const key = JSON.stringify(args)
    if (!known.has(key)) known.set(key, work(...args))
    return known.get(key)!
  }
}
