import { OPEN_LINE } from '../../quantity/electrical'
import type { BenchTest, Outcome } from './benchTests'
import { distinct } from './distinct'
import { chances, type Cabinet, type Evidence, type Weigh } from './rank'

/** Opening the guard costs so many minutes once. [practice] */
const OPENING = 8

export interface NextTest {
  test: BenchTest
  /** Bits of what is not known that it takes away, on the average. */
  bits: number
  minutes: number
}

/**
 * The test that takes away most of what is not known for each minute it costs; what needs the guard open waits until nothing cheaper tells
 * anything. [published: expected information, Lindley 1956, from memory]
 */
export function nextTest(c: Cabinet, evidence: readonly Evidence[], weigh?: Weigh): NextTest | undefined {
  const p = chances(c, evidence, weigh)
  const done = new Set(evidence.map((e) => e.test))
  const opened = evidence.some((e) => c.tests.find((t) => t.id === e.test)?.open)
  const live = p.flatMap((chance, i) => (chance > 1e-4 ? [i] : []))
  let best: (NextTest & { worth: number }) | undefined
  c.tests.forEach((test, k) => {
    if (done.has(test.id)) return
    const bits = gain(c, k, live, p)
    if (bits < 0.002) return
    const minutes = test.minutes + (test.open && !opened ? OPENING : 0)
    const worth = bits / minutes
    if (!best || worth > best.worth) best = { test, bits, minutes, worth }
  })
  return best
}

/** Entropy of which class of outcome would come, less what slips keep of it. */
function gain(c: Cabinet, k: number, live: readonly number[], p: readonly number[]): number {
  const { values, of } = distinct(c)[k]!
  const chanceOf = new Map<number, number>()
  for (const i of live) chanceOf.set(of[i]!, (chanceOf.get(of[i]!) ?? 0) + p[i]!)
  const classes: { like: Outcome; chance: number }[] = []
  for (const [value, chance] of chanceOf) {
    const shown = values[value]!
    const found = classes.find((x) => same(x.like, shown, c.spread[k]!))
    if (found) found.chance += chance
    else classes.push({ like: shown, chance })
  }
  const all = classes.reduce((s, x) => s + x.chance, 0)
  const entropy = classes.reduce((s, x) => s - (x.chance / all) * Math.log2(x.chance / all), 0)
  // Ears are wrong now and then: what they say is worth less.
  return c.tests[k]!.kind === 'ohms' ? entropy : entropy * 0.75
}

function same(a: Outcome, b: Outcome, spread: number): boolean {
  if (typeof a === 'string' || typeof b === 'string') return a === b
  if (a >= OPEN_LINE || b >= OPEN_LINE) return a >= OPEN_LINE && b >= OPEN_LINE
  return Math.abs(a - b) <= 2.5 * Math.hypot(spread * a, 1)
}
