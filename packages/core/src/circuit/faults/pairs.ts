import type { Fault } from './fault'
import { TestBench } from './predict'
import { agreement, type Cabinet, type Evidence } from './rank'

/** Below this a test speaks against a fault rather than for it. */
const AGAINST = 0.15
/** Of the singles, so many are tried in pairs: those that explain most of it. */
const TRIED = 22

/** Two faults at once that explain together what no single one does. */
export interface PairSuspect {
  faults: [Fault, Fault]
  /** How many of the tests they explain. */
  explains: number
}

/** Does any single fault, or none at all, explain everything that was found out? */
export const explained = (c: Cabinet, evidence: readonly Evidence[]): boolean =>
  c.faults.some((_, i) => evidence.every((e) => agreementOf(c, e, i) > AGAINST))

function agreementOf(c: Cabinet, e: Evidence, i: number): number {
  const k = c.tests.findIndex((t) => t.id === e.test)
  return k < 0 ? 1 : agreement(c.tests[k]!, c.spread[k]!, c.shown[i]![k]!, e.outcome)
}

/** Pairs that explain the evidence, the likeliest first; nothing while a single fault does. */
export function pairSuspects(c: Cabinet, evidence: readonly Evidence[]): PairSuspect[] {
  if (!evidence.length || explained(c, evidence)) return []
  const tests = evidence.flatMap((e) => {
    const k = c.tests.findIndex((t) => t.id === e.test)
    return k < 0 ? [] : [{ k, test: c.tests[k]!, outcome: e.outcome }]
  })
  // A fault that is half of it explains what the good harness does not, somewhere.
  const worth = c.faults.map((f, i) =>
    f
      ? tests.reduce(
          (s, t) =>
            s +
            Math.log(agreement(t.test, c.spread[t.k]!, c.shown[i]![t.k]!, t.outcome)) -
            Math.log(agreement(t.test, c.spread[t.k]!, c.shown[0]![t.k]!, t.outcome)),
          0,
        ) +
        Math.log(f.prior) / 2
      : -Infinity,
  )
  const tried = worth
    .map((w, i) => ({ w, i }))
    .toSorted((a, b) => b.w - a.w)
    .slice(0, TRIED)
    .map(({ i }) => c.faults[i]!)
  const good = new TestBench(c.harness)
  const found = tried.flatMap((a, i) =>
    tried.slice(i + 1).map((b) => {
      const bench = new TestBench(b.apply(a.apply(c.harness)), good)
      const each = tests.map((t) => agreement(t.test, c.spread[t.k]!, bench.outcome(t.test), t.outcome))
      const fit = each.reduce((s, x) => s + Math.log(x), Math.log(a.prior * b.prior))
      return { faults: [a, b] as [Fault, Fault], explains: each.filter((x) => x > AGAINST).length, fit }
    }),
  )
  return found
    .toSorted((a, b) => b.explains - a.explains || b.fit - a.fit)
    .slice(0, 6)
    .map(({ faults, explains }) => ({ faults, explains }))
}
