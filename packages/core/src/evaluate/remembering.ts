import type { Build } from '../document/build'
import type { Remember } from '../document/remember'
import { shared } from '../document/shared'
import { watch, type Depth } from './watch'

/** A size is the smallest piece looked at: what read another size of the same part need not be computed anew. */
const DEPTH: Depth = { parts: { '*': { sizes: {}, traits: {} } } }

/** Keeps each piece with what it read of its build. */
export function remembering(): Remember {
  const kept = new Map<string, { stillReads: (now: Build) => boolean; value: unknown }>()
  return (key, build, work) => {
    const before = kept.get(key)
    if (before?.stillReads(build)) return before.value as ReturnType<typeof work>
    const { watched, madeFrom, stillReads } = watch(build, DEPTH)
    const value = work(watched, madeFrom)
    kept.set(key, { stillReads, value })
    return value
  }
}

/** A build sent over from another thread is a copy: what it has in common with the last one is put back, so that it is seen to be the same. */
export function putBack(): (build: Build) => Build {
  let last: Build | undefined
  return (build) => {
    last = last ? shared(last, build) : build
    return last
  }
}
