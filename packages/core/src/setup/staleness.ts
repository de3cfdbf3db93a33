import type { Build } from '../document/build'
import { readingsOf, type Asked } from '../document/setupReadings'
import { stringPulls } from '../instrument/stringPulls'
import { SAME_PULL } from './learning'

/** What all strings pull together, N; nothing while a gauge is unknown. */
export function totalPull(build: Build): number | undefined {
  const pulls = stringPulls(build)
  return pulls.length < build.strings ? undefined : pulls.reduce((s, p) => s + p.newton, 0)
}

/** Why the newest reading no longer holds: it was taken while the strings pulled otherwise. Nothing where it holds or nobody can tell. */
export function staleSays(build: Build, asked: Asked, total = totalPull(build)): string | undefined {
  const last = readingsOf(build, asked).at(-1)
  if (!last?.pull || total === undefined || Math.abs(last.pull - total) <= SAME_PULL * total) return undefined
  return `Read while the strings pulled ${Math.round(last.pull)} N; they pull ${Math.round(total)} N now. Read it again before anything is turned.`
}
