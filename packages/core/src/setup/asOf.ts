import type { Build, SetupReading } from '../document/build'
import { readingsOf, type Asked } from '../document/setupReadings'
import { isAfter } from '../quantity/moments'
import { turnsBetween } from './learning'

/** Read so shortly before, in one sitting, nothing is likely to have been turned without being read again, ms. [ours] */
const SITTING = 3 * 3_600_000

/**
 * The reading that tells how it was at a moment: the last before it or the first after, whichever no screw was turned between. Where that
 * does not tell them apart: the one of the same sitting before it, else the nearer in time.
 * @param at of what it is asked for; where nobody noted it, before all that was noted
 */
export function readingAsOf(build: Build, asked: Asked, at: string | undefined): SetupReading | undefined {
  const all = readingsOf(build, asked)
  const before = all.filter((r) => !isAfter(r.at, at)).at(-1)
  const after = all.find((r) => isAfter(r.at, at))
  if (!before || !after || before.at === at) return before ?? after
  const [sinceThen, untilThen] = [turnsBetween(build, asked, before.at, at), turnsBetween(build, asked, at, after.at)]
  if (!!sinceThen.length !== !!untilThen.length) return sinceThen.length ? after : before
  const ago = apart(before.at, at)
  return ago <= SITTING || ago <= apart(at, after.at) ? before : after
}

/** Milliseconds from one moment to a later one; no end where one was not noted. */
const apart = (from: string | undefined, to: string | undefined): number =>
  from === to ? 0 : from && to ? Date.parse(to) - Date.parse(from) : Infinity
