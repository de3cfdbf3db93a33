import type { Build } from '../document/build'
import { USUAL_BENCH, type Bench } from '../drill/bench'
import { evaluate, type Evaluation } from './evaluate'
import { putBack, remembering } from './remembering'

/**
 * Evaluates one version of a build after another, computing only what has read something that changed since. The answer is what
 * `evaluate` gives; pieces that did not change are the very objects of the answer before.
 */
export function evaluator(): (build: Build, today: string, bench?: Bench, ready?: Parameters<typeof evaluate>[4]) => Evaluation {
  const remember = remembering()
  const same = putBack()
  return (build, today, bench = USUAL_BENCH, ready?) => evaluate(same(build), today, remember, bench, ready)
}
