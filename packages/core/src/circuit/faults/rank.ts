import { OPEN_LINE } from '../../quantity/electrical'
import type { Harness } from '../model/harness'
import { benchTests, HEARD, type BenchTest, type Outcome } from './benchTests'
import { candidates } from './candidates'
import { distinct } from './distinct'
import type { Fault } from './fault'
import { TestBench } from './predict'

/** A meter and a thumb: a share of the reading, and what probes and lugs add, ohm. [ours] */
const NOISE = 0.02
const CONTACT = 1
/** However sure a sum is, a person misreads or mishears now and then. [ours] */
const SLIP = 0.01
const MISHEARD = 0.06
/** Nothing being wrong at all, against one fault of the commonest kind: whoever looks for a fault has heard something. [ours] */
const NOTHING_WRONG = 0.3

/** Kinds that may do nothing where they happen. */
const HARMLESS: ReadonlySet<string> = new Set(['swapped', 'short', 'reversed'])

/** Something a person found out. */
export interface Evidence {
  test: string
  outcome: Outcome
}

/** One that could be it, and how likely. */
export interface Suspect {
  /** Nothing where all is well. */
  fault?: Fault
  chance: number
  /** Others that every test without an iron shows the same of. */
  alike: Fault[]
}

/** All that is worked out once for a harness, so that each answer costs next to nothing. */
export interface Cabinet {
  harness: Harness
  tests: readonly BenchTest[]
  faults: readonly (Fault | undefined)[]
  /** What each test would show, by fault. */
  shown: readonly (readonly Outcome[])[]
  /** How surely a reading of each test is known beforehand, share of it, one standard deviation. */
  spread: readonly number[]
}

/**
 * Every fault and what every test would show of it.
 * @param spread how far parts may be off for a test of the good harness, share, one standard deviation
 */
export function cabinetOf(harness: Harness, spread: (test: BenchTest) => number = () => 0): Cabinet {
  const tests = benchTests(harness)
  const good = new TestBench(harness)
  const should = tests.map((t) => good.outcome(t))
  const all = candidates(harness).map((fault) => {
    const bench = new TestBench(fault.apply(harness), good)
    return { fault, shown: tests.map((t) => bench.outcome(t)) }
  })
  // Wires in each other's place that do the same there are no fault.
  const real = all.filter(({ fault, shown }) => !HARMLESS.has(fault.kind) || tests.some((t, k) => !t.open && shown[k] !== should[k]))
  const faults = [undefined, ...real.map((r) => r.fault)]
  const shown = [should, ...real.map((r) => r.shown)]
  return { harness, tests, faults, shown, spread: tests.map((t) => Math.hypot(NOISE, t.kind === 'ohms' ? spread(t) : 0)) }
}

/** How well an outcome goes with what would be shown, up to a factor that is the same for all. */
export function agreement(test: BenchTest, spread: number, shown: Outcome, found: Outcome): number {
  if (test.kind !== 'ohms') {
    const words = HEARD[test.kind]
    return shown === found ? 1 - MISHEARD : MISHEARD / (words.length - 1)
  }
  const [p, r] = [Number(shown), Number(found)]
  const [pOpen, rOpen] = [p >= OPEN_LINE, r >= OPEN_LINE]
  if (pOpen || rOpen) return pOpen === rOpen ? 1 : SLIP
  const sigma = Math.hypot(spread * p, CONTACT)
  return SLIP + (1 - SLIP) * Math.exp(-(((r - p) / sigma) ** 2) / 2)
}

/** How much likelier than otherwise a fault is, for what was done at the bench. */
export type Weigh = (fault: Fault) => number

/** Chances of every fault in the cabinet, in its order. */
export function chances(c: Cabinet, evidence: readonly Evidence[], weigh: Weigh = () => 1): number[] {
  const logs = c.faults.map((f) => Math.log(f ? f.prior * weigh(f) : NOTHING_WRONG))
  for (const e of evidence) {
    const k = c.tests.findIndex((t) => t.id === e.test)
    if (k < 0) continue
    const { of, values } = distinct(c)[k]!
    const each = values.map((shown) => Math.log(agreement(c.tests[k]!, c.spread[k]!, shown, e.outcome)))
    logs.forEach((log, i) => (logs[i] = log + each[of[i]!]!))
  }
  const most = Math.max(...logs)
  const raw = logs.map((l) => Math.exp(l - most))
  const all = raw.reduce((a, b) => a + b, 0)
  return raw.map((r) => r / all)
}

const compared = new WeakMap<Cabinet, Map<number, boolean>>()

/** Do all tests without an iron show the same of two faults? However often it is asked, worked out once. */
function alike(c: Cabinet, i: number, j: number): boolean {
  let known = compared.get(c)
  if (!known) compared.set(c, (known = new Map()))
  const pair = i * c.faults.length + j
  const before = known.get(pair)
  if (before !== undefined) return before
  const same = distinct(c).every(({ of, values }, k) => {
    const [a, b] = [of[i]!, of[j]!]
    return a === b || agreement(c.tests[k]!, c.spread[k]!, values[a]!, values[b]!) > 0.5
  })
  known.set(pair, same)
  return same
}

/** Suspects, the likeliest first; those that nothing but an iron can part stand together. */
export function suspects(c: Cabinet, evidence: readonly Evidence[], weigh?: Weigh): Suspect[] {
  const p = chances(c, evidence, weigh)
  const order = p.map((_, i) => i).toSorted((a, b) => p[b]! - p[a]!)
  const taken = new Set<number>()
  const out: Suspect[] = []
  for (const i of order) {
    if (taken.has(i)) continue
    if (p[i]! < 1e-4 && out.length > 2) break
    const group = order.filter((j) => j !== i && !taken.has(j) && c.faults[j] && c.faults[i] && alike(c, i, j))
    for (const j of [i, ...group]) taken.add(j)
    const fault = c.faults[i]
    out.push({ ...(fault ? { fault } : {}), chance: [i, ...group].reduce((s, j) => s + p[j]!, 0), alike: group.map((j) => c.faults[j]!) })
    if (out.length >= 12) break
  }
  return out.toSorted((a, b) => b.chance - a.chance)
}
