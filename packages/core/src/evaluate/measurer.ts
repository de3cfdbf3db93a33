import type { Build, Tool } from '../document/build'
import { stakes, type Stake } from '../fit/measure/stakes'
import { putBack, remembering } from './remembering'

/** What there is to be gained by readings, for one version of a build after another: only joints that read what changed are tried anew. */
export function measurer(): (build: Build, tools: readonly Tool[]) => Generator<Stake[]> {
  const remember = remembering()
  const same = putBack()
  return (build, tools) => stakes(same(build), tools, remember)
}
