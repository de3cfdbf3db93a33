import type { Build, SetupReading, SetupScrew, SetupWhat } from '../document/build'
import { bassString, readingsOf, setupReading, type Asked } from '../document/setupReadings'
import { stringPulls } from '../instrument/stringPulls'
import { printMm } from '../quantity/length'
import { isAfter } from '../quantity/moments'
import { listed } from '../quantity/words'
import { slotSpec } from '../parts/slots'
import { readingAsOf } from './asOf'
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

/** What a reading rests on, and by how much that may be otherwise before it is another one, mm. [ours: what a feeler finds twice alike] */
const RESTS_ON: Partial<Record<SetupWhat, readonly { what: 'relief' | 'action' | 'pickup'; within: number }[]>> = {
  action: [{ what: 'relief', within: 0.05 }],
  cents: [
    { what: 'relief', within: 0.05 },
    { what: 'action', within: 0.1 },
  ],
  pickup: [{ what: 'action', within: 0.1 }],
  level: [{ what: 'pickup', within: 0.1 }],
}

/** What was read otherwise after a reading that rests on it, though nobody noted a turn. */
function movedSays(build: Build, last: SetupReading): string | undefined {
  if (!last.at) return undefined
  for (const { what, within } of RESTS_ON[last.what] ?? []) {
    for (const asked of besides(build, what, last)) {
      const [then, now] = [readingAsOf(build, asked, last.at), readingsOf(build, asked).at(-1)]
      if (!then || !now || !isAfter(now.at, last.at) || then.fret !== now.fret || Math.abs(now.value - then.value) <= within) continue
      return `${named(asked)} was ${printMm(then.value, 2)} mm when it was read and is ${printMm(now.value, 2)} mm now. Read it again before anything else is turned.`
    }
  }
  return undefined
}

/** What a reading rests on: the neck's relief, its own string's action where that was read, the outer strings' where it was not, its pickup's two ends. */
function besides(build: Build, what: 'relief' | 'action' | 'pickup', { string, slot }: SetupReading): Asked[] {
  if (what === 'relief') return [{ what }]
  const outer = [1, bassString(build)].map((n) => ({ what, string: n, ...(what === 'pickup' && slot ? { slot } : {}) }))
  const own = what === 'action' && string !== undefined ? { what, string } : undefined
  return own && readingsOf(build, own).length ? [own] : outer
}

/** What hangs on how thick its own string is. Sets differ by 0.025 mm a string. [practice, from memory: a thousandth of an inch] */
export const BY_STRING: readonly SetupWhat[] = ['cents', 'level']
const SAME_GAUGE = 0.02

/** Another string, or one that pulls otherwise while all together pull the same: one down and one up, a heavier set tuned lower. */
function otherStringSays(build: Build, { what, string, gauge, newton }: SetupReading): string | undefined {
  if (!BY_STRING.includes(what) || gauge === undefined || newton === undefined) return undefined
  const now = stringPulls(build).find((p) => p.number === string)
  if (!now) return undefined
  const asThick = Math.abs(now.gauge - gauge) <= SAME_GAUGE
  if (asThick && (what !== 'cents' || Math.abs(now.newton - newton) <= SAME_PULL * newton)) return undefined
  return asThick
    ? `String ${string} pulled ${Math.round(newton)} N when it was read and pulls ${Math.round(now.newton)} N now. Read it again before its saddle goes anywhere.`
    : `String ${string} was ${printMm(gauge, 2)} mm thick when it was read and is ${printMm(now.gauge, 2)} mm now. Read it again before anything is turned.`
}

const named = ({ what, string, slot }: Asked): string =>
  what === 'relief'
    ? 'The relief'
    : what === 'action'
      ? `The action of string ${string}`
      : `From string ${string} to the ${slotSpec(slot!).label.toLowerCase()} it`

/** Why the newest reading no longer holds: frets were levelled or screws were turned after it, what it rests on was read otherwise, or the strings pull otherwise now. Nothing where it holds or nobody can tell. */
export function staleSays(build: Build, asked: Asked, total = totalPull(build)): string | undefined {
  const last = readingsOf(build, asked).at(-1)
  if (!last) return undefined
  const levelled = build.steps['level-frets']?.done
  if (levelled && last.at && isAfter(levelled, last.at) && OVER_CROWNS.includes(asked.what))
    return 'Frets were levelled since it was read: crowns are lower, gaps wider. Read it again.'
  const turned = [...new Set(turnsSince(build, asked).map((t) => NAMES[t.screw]))]
  if (turned.length) return `Turned since it was read: ${listed(turned)}. Retune and read it again before anything else is turned.`
  const moved = movedSays(build, last) ?? otherStringSays(build, last)
  if (moved) return moved
  if (!last.pull || !PULLED.includes(asked.what) || total === undefined || Math.abs(last.pull - total) <= SAME_PULL * total)
    return undefined
  return `Read while the strings pulled ${Math.round(last.pull)} N; they pull ${Math.round(total)} N now. Read it again before anything is turned.`
}

/** The newest reading where it still holds; nothing where there is none, or it does not. */
export const freshReading = (build: Build, asked: Asked): number | undefined =>
  staleSays(build, asked) ? undefined : setupReading(build, asked)

export const holds = (build: Build, asked: Asked): boolean => freshReading(build, asked) !== undefined
