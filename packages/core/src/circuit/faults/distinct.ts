import type { Outcome } from './benchTests'

/** What one test shows of all faults: most show what the good harness does, so there are few outcomes and many faults. */
export interface Distinct {
  values: readonly Outcome[]
  /** Which of the values, by fault. */
  of: readonly number[]
}

/** What each test would show, by fault. */
interface Shown {
  tests: readonly unknown[]
  shown: readonly (readonly Outcome[])[]
}

const known = new WeakMap<Shown, readonly Distinct[]>()

/** The outcomes of each test, each once, in the order of the first fault that shows it. */
export function distinct(c: Shown): readonly Distinct[] {
  const found = known.get(c)
  if (found) return found
  const made = c.tests.map((_, k): Distinct => {
    const places = new Map<Outcome, number>()
    const of = c.shown.map((shown) => {
      const value = shown[k]!
      const place = places.get(value) ?? places.size
      places.set(value, place)
      return place
    })
    return { values: [...places.keys()], of }
  })
  known.set(c, made)
  return made
}
