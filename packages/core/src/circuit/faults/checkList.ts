import { NO_IDEA } from '../bench/readings'
import { OPEN_LINE, printOhms } from '../../quantity/electrical'
import type { BenchTest, Outcome } from './benchTests'
import { agreement, type Cabinet } from './rank'

/** Two outcomes that go together less well than this are told apart. [ours] */
const APART = 0.2
/** A beeper sounds below about so much, ohm: a coil's kilohms stay silent. [practice] */
const BEEPS = 30
/** Probes and leads add up to so much, ohm. [practice] */
const LEADS = 2

/** One line of the check before anything is closed: what is done, and what should come. */
export interface CheckLine {
  test: BenchTest
  should: Outcome
  /** How surely, share of it, one standard deviation. */
  spread: number
  /** In words: beep, ohms with their band, or silence. */
  expect: string
  /** Faults this line alone finds of those the lines before it do not. */
  finds: number
}

/**
 * The fewest tests that find every fault that any test without an iron can find, what costs least for each fault first. A good joint in the
 * wrong place passes any beep test: so that what should stay silent is on it too. [published: greedy set cover, from memory]
 */
export function checkList(c: Cabinet): CheckLine[] {
  const finds = c.tests.map((t, k) => {
    const found = new Set<number>()
    for (let i = 1; i < c.faults.length; i++) if (agreement(t, c.spread[k]!, c.shown[i]![k]!, c.shown[0]![k]!) < APART) found.add(i)
    return found
  })
  const open = new Set(finds.flatMap((f) => [...f]))
  const list: { k: number; finds: number }[] = []
  const taken = new Set<number>()
  while (open.size) {
    let best: { k: number; worth: number; finds: number } | undefined
    c.tests.forEach((t, k) => {
      if (taken.has(k)) return
      const more = [...finds[k]!].filter((i) => open.has(i)).length
      // What needs the guard open comes last, whatever it finds.
      const worth = more / (t.minutes + (t.open ? 20 : 0))
      if (more && (!best || worth > best.worth)) best = { k, worth, finds: more }
    })
    if (!best) break
    taken.add(best.k)
    list.push({ k: best.k, finds: best.finds })
    for (const i of finds[best.k]!) open.delete(i)
  }
  return list.map(({ k, finds: n }) => ({
    test: c.tests[k]!,
    should: c.shown[0]![k]!,
    spread: c.spread[k]!,
    expect: expected(c.tests[k]!, c.shown[0]![k]!, c.spread[k]!),
    finds: n,
  }))
}

/** What is heard, in a sentence's words. */
const HEARD_WORDS: Record<string, string> = {
  thumps: 'a thump',
  faint: 'a faint tick',
  nothing: 'nothing at all',
  darkens: 'the sound going dark',
  'darkens a little': 'the sound going a little darker',
  'does nothing': 'no change: this knob does nothing here',
  silent: 'silence',
  'one pickup falls out': 'one pickup falling out, the rest staying',
  stays: 'no change: this knob does nothing here',
  falls: 'less hum',
  'stays the same': 'the same hum',
  'as marked': 'what is marked on it',
}

/** What should come, as it is read off a meter or heard. */
export function expected({ well }: Pick<BenchTest, 'well'>, should: Outcome, spread: number): string {
  if (typeof should === 'string') return should === 'as it should' && well ? well : (HEARD_WORDS[should] ?? should)
  if (should >= OPEN_LINE) return 'silence: an open line'
  if (should < LEADS) return 'a beep: under 2 Ω'
  // Some part of it was never read: any figure would be made up.
  if (2 * spread > NO_IDEA && should >= BEEPS) return 'a reading, no beep: how much nobody can say yet'
  const band = `${printOhms(should)} ±${printOhms(2 * spread * should, 2)}`
  return should < BEEPS ? `a beep: ${band}` : `${band}, no beep`
}

/** What came, as it was read or heard. */
export const foundWords = (found: Outcome): string =>
  typeof found === 'string' ? found : found >= OPEN_LINE ? 'an open line' : found < LEADS ? 'a beep' : printOhms(found)

/** Is what was found what the good harness would show, within what its parts and a meter leave open? */
export function fits({ should, spread }: { should: Outcome; spread: number }, found: Outcome): boolean {
  if (typeof should === 'string' || typeof found === 'string') return should === found
  if (should >= OPEN_LINE || found >= OPEN_LINE) return should >= OPEN_LINE && found >= OPEN_LINE
  return Math.abs(found - should) <= Math.max(2 * spread * should, LEADS)
}
