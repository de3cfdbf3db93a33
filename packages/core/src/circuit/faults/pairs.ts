import type { BenchTest, Outcome } from './benchTests'
import type { Fault } from './fault'
import { TestBench } from './predict'
import { agreement, type Cabinet, type Evidence } from './rank'

/** Below this a test speaks against a fault rather than for it. */
const AGAINST = 0.15
/** Of the singles, so many are tried in pairs: those that explain most of it. */
const TRIED = 22
/** So many pairs are told. */
const SHOWN = 6

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

/** How well what was found goes with what a fault of the cabinet shows. */
const agreed = (c: Cabinet, t: { test: BenchTest; k: number; outcome: Outcome }, i: number) =>
  agreement(t.test, c.spread[t.k]!, c.shown[i]![t.k]!, t.outcome)

/** Pairs that explain the evidence, the likeliest first; nothing while a single fault does. */
export function pairSuspects(c: Cabinet, evidence: readonly Evidence[]): PairSuspect[] {
  if (!evidence.length || explained(c, evidence)) return []
  const tests = evidence.flatMap((e) => {
    const k = c.tests.findIndex((t) => t.id === e.test)
    return k < 0 ? [] : [{ k, test: c.tests[k]!, outcome: e.outcome }]
  })
  // A fault that is half of it explains what the good harness does not, somewhere.
  const worth = c.faults.map((f, i) =>
    f ? tests.reduce((s, t) => s + Math.log(agreed(c, t, i)) - Math.log(agreed(c, t, 0)), 0) + Math.log(f.prior) / 2 : -Infinity,
  )
  const tried = worth
    .map((w, i) => ({ w, i }))
    .toSorted((a, b) => b.w - a.w)
    .slice(0, TRIED)
    .map(({ i }) => c.faults[i]!)
  const good = new TestBench(c.harness)
  // What speaks most against a good harness first: a pair that does not explain it is given up soonest.
  const telling = tests.toSorted((a, b) => agreed(c, a, 0) - agreed(c, b, 0))
  let best: Tried[] = []
  tried.forEach((a, i) => {
    for (const b of tried.slice(i + 1)) {
      const bench = new TestBench(b.apply(a.apply(c.harness)), good)
      const pair: Tried = { faults: [a, b], explains: 0, fit: Math.log(a.prior * b.prior) }
      const sixth = best[SHOWN - 1]
      const gaveUp = telling.some((t, n) => {
        // Even if it explained all the rest.
        if (sixth && inOrder({ ...pair, explains: pair.explains + telling.length - n }, sixth) >= 0) return true
        const agrees = agreement(t.test, c.spread[t.k]!, bench.outcome(t.test), t.outcome)
        pair.fit += Math.log(agrees)
        if (agrees > AGAINST) pair.explains++
        return false
      })
      if (!gaveUp) best = [...best, pair].toSorted(inOrder).slice(0, SHOWN)
    }
  })
  return best.map(({ faults, explains }) => ({ faults, explains }))
}

interface Tried extends PairSuspect {
  /** How likely it is, as a logarithm; each test it does not show takes from it. */
  fit: number
}

/** The one that explains more first, of two such the likelier. */
const inOrder = (a: Tried, b: Tried) => b.explains - a.explains || b.fit - a.fit
