import type { Build } from '../../document/build'
import type { BenchTest, Outcome } from './benchTests'
import { cabinetFor } from './hunt'
import { nextTest } from './nextTest'
import { suspects, type Evidence } from './rank'
import { answer, roundOf, scored, type Score } from './trainer'

/** A round as the learner sees it: what can be asked, what came of it, what could be named. */
export interface Training {
  tests: BenchTest[]
  answers: { test: string; outcome: Outcome }[]
  faults: { id: string; says: string }[]
  score?: Score
}

/** One round of the trainer on the build's own harness. @param named the fault the learner names; the round is over then */
export function training(build: Build, seed: number, asked: readonly string[], named?: string): Training | undefined {
  const c = cabinetFor(build)
  if (!c) return undefined
  const round = roundOf(c, seed)
  return {
    tests: [...c.tests],
    answers: asked.map((test) => ({ test, outcome: answer(c, round, test) })),
    faults: c.faults.flatMap((f) => (f ? [{ id: f.id, says: f.says }] : [])),
    ...(named === undefined ? {} : { score: scored(c, round, asked, named, parOf(build, seed)) }),
  }
}

/** Minutes of one who follows the next tests until one suspect is left. */
function parOf(build: Build, seed: number): number {
  const c = cabinetFor(build)!
  const round = roundOf(c, seed)
  const evidence: Evidence[] = []
  let minutes = 0
  for (let next = nextTest(c, evidence); next && evidence.length < 30; next = nextTest(c, evidence)) {
    evidence.push({ test: next.test.id, outcome: answer(c, round, next.test.id) })
    minutes += next.test.minutes
    if (suspects(c, evidence)[0]!.chance > 0.95) break
  }
  return minutes
}
