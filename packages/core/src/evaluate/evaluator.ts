import type { Build } from '../document/build'
import { USUAL_BENCH, type Bench } from '../drill/bench'
import { shared } from '../document/shared'
import type { Remember } from '../stations/contribution'
import { evaluate, type Evaluation } from './evaluate'
import { watch, type Depth } from './watch'

/** A size is the smallest piece looked at: what read another size of the same part need not be computed anew. */
const DEPTH: Depth = { parts: { '*': { sizes: {}, traits: {} } } }

/**
 * Evaluates one version of a build after another, computing only what has read something that changed since. The answer is what
 * `evaluate` gives; pieces that did not change are the very objects of the answer before.
 */
export function evaluator(): (build: Build, today: string, bench?: Bench) => Evaluation {
  const kept = new Map<string, { stillReads: (now: Build) => boolean; value: unknown }>()
  const remember: Remember = (key, build, work) => {
    const before = kept.get(key)
    if (before?.stillReads(build)) return before.value as ReturnType<typeof work>
    const { watched, stillReads } = watch(build, DEPTH)
    const value = work(watched)
    kept.set(key, { stillReads, value })
    return value
  }
  let last: Build | undefined
  return (build, today, bench = USUAL_BENCH) => {
    // A build sent over from another thread is a copy; what it has in common with the last one is put back, so that it is seen to be the same.
    last = last ? shared(last, build) : build
    return evaluate(last, today, remember, bench)
  }
}
