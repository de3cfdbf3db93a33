import type { Build, SetupScrew, SetupWhat } from '../document/build'
import { readingsOf, setupReading, type Asked } from '../document/setupReadings'
import { stringPulls } from '../instrument/stringPulls'
import { listed } from '../quantity/words'
import { SAME_PULL, turnsSince } from './learning'

/** What all strings pull together, N; nothing while a gauge is unknown. */
export function totalPull(build: Build): number | undefined {
  const pulls = stringPulls(build)
  return pulls.length < build.strings ? undefined : pulls.reduce((s, p) => s + p.newton, 0)
}

const NAMES: Record<SetupScrew, string> = {
  truss: 'the truss nut',
  claw: 'the claw',
  bass: 'the bass side’s height',
  treble: 'the treble side’s height',
  length: 'its length screw',
}

/** What changes with what the strings pull. */
const PULLED: readonly SetupWhat[] = ['relief', 'action', 'float', 'cents', 'pickup']
/** Over the crowns' tops, so that levelling them changes it. */
const OVER_CROWNS: readonly SetupWhat[] = ['relief', 'action', 'gap', 'sliver', 'pickup']

/** Why the newest reading no longer holds: frets were levelled or screws were turned after it, or the strings pull otherwise now. Nothing where it holds or nobody can tell. */
export function staleSays(build: Build, asked: Asked, total = totalPull(build)): string | undefined {
  const last = readingsOf(build, asked).at(-1)
  if (!last) return undefined
  const levelled = build.steps['level-frets']?.done
  if (levelled && last.at && levelled > last.at && OVER_CROWNS.includes(asked.what))
    return 'Frets were levelled since it was read: crowns are lower, gaps wider. Read it again.'
  const turned = [...new Set(turnsSince(build, asked).map((t) => NAMES[t.screw]))]
  if (turned.length) return `Turned since it was read: ${listed(turned)}. Retune and read it again before anything else is turned.`
  if (!last.pull || !PULLED.includes(asked.what) || total === undefined || Math.abs(last.pull - total) <= SAME_PULL * total)
    return undefined
  return `Read while the strings pulled ${Math.round(last.pull)} N; they pull ${Math.round(total)} N now. Read it again before anything is turned.`
}

/** The newest reading where it still holds; nothing where there is none, or it does not. */
export const freshReading = (build: Build, asked: Asked): number | undefined =>
  staleSays(build, asked) ? undefined : setupReading(build, asked)

export const holds = (build: Build, asked: Asked): boolean => freshReading(build, asked) !== undefined
