import { dice } from '../../quantity/dice'
import { OPEN_LINE } from '../../quantity/electrical'
import { expected, fits, foundWords } from './checkList'
import type { Outcome } from './benchTests'
import { type Cabinet, suspects, type Evidence } from './rank'

/** One hidden fault, by its place in the cabinet. */
export interface Round {
  seed: number
  hidden: number
}

/** A round for a seed: the same one whenever it is asked for. What no test shows is never hidden. */
export function roundOf(c: Cabinet, seed: number): Round {
  const shows = c.faults.map((f, i) => (f && c.shown[i]!.some((o, k) => o !== c.shown[0]![k]) ? f.prior : 0))
  const all = shows.reduce((a, b) => a + b, 0)
  let at = dice(seed)() * all
  const hidden = shows.findIndex((p) => (at -= p) < 0)
  return { seed, hidden: Math.max(1, hidden) }
}

/** What the meter shows or the ear hears in a round: a reading trembles by a share of itself, and by the same share whenever it is taken. */
export function answer(c: Cabinet, round: Round, test: string): Outcome {
  const k = c.tests.findIndex((t) => t.id === test)
  const shown = c.shown[round.hidden]![k]!
  if (typeof shown !== 'number' || shown >= OPEN_LINE) return shown
  return shown * (1 + 0.01 * (dice(round.seed * 1000 + k)() * 2 - 1))
}

export interface Score {
  right: boolean
  tests: number
  minutes: number
  /** Out of ten: right, and how few minutes it took against who goes by the finder. */
  points: number
  says: string
  /** What it was, and how the readings showed it. */
  explains: string[]
}

/** How a round went. @param named id of the fault that was named @param par minutes of one who follows the next tests */
export function scored(c: Cabinet, round: Round, asked: readonly string[], named: string, par: number): Score {
  const fault = c.faults[round.hidden]!
  const evidence = asked.map((test): Evidence => ({ test, outcome: answer(c, round, test) }))
  const group = suspects(c, evidence).find((s) => s.fault?.id === fault.id || s.alike.some((f) => f.id === fault.id))
  const same = new Set([fault.id, group?.fault?.id, ...(group?.alike.map((f) => f.id) ?? [])])
  const right = same.has(named)
  const minutes = asked.reduce((sum, id) => sum + (c.tests.find((t) => t.id === id)?.minutes ?? 0), 0)
  const told = asked.flatMap((id) => {
    const k = c.tests.findIndex((t) => t.id === id)
    const [is, should] = [c.shown[round.hidden]![k]!, c.shown[0]![k]!]
    // Told is what lies outside what parts and a meter leave open.
    return fits({ should, spread: c.spread[k]! }, is)
      ? []
      : [`${c.tests[k]!.says.replace(/\.$/, '')}: ${foundWords(is)}. All being well: ${expected(c.tests[k]!, should, c.spread[k]!)}.`]
  })
  return {
    right,
    tests: asked.length,
    minutes,
    points: right ? Math.max(1, Math.min(10, Math.round((10 * par) / Math.max(par, minutes)))) : 0,
    says: right ? `Right, after ${asked.length} tests and ${Math.round(minutes)} minutes.` : 'It was something else.',
    explains: [fault.says, fault.cure, ...told.slice(0, 4)],
  }
}
