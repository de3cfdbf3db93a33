import { EXCHANGE } from '../../judge/reach'
import type { Build } from '../../document/build'
import type { Check, Cure, JudgedJoint } from '../../judge/joint'
import { SURE, type Verdict } from '../../judge/verdict'
import { canDo } from './benchTools'
import type { ChooseLimits } from './request'

/** Bench minutes a joint that must be worked on costs, by its verdict. [practice, from memory: half an hour a small job] */
const MINUTES: Record<Verdict, number> = { snug: 0, loose: 10, tight: 30, 'cant-tell': 20, 'wont-go': Infinity }
/** What cannot be told but is bad whichever it is costs more than a tight joint: it may not go at all. [ours] */
const BAD_EITHER_WAY = 40
const surelyBad = ({ raw }: Check): boolean => raw.verdict === 'cant-tell' && raw.chances.snug + raw.chances.loose <= 1 - SURE
const cuts = (cure: Cure, build: Build) => cure.gives === 'body' && build.parts.body?.traits.surface === 'coated'
/** Minutes to make a joint go under the limits; Infinity rules the pairing out. */
export function minutesFor(joint: JudgedJoint, build: Build, limits: ChooseLimits): number {
  // Cures are vetted when they are looked at, which is as much work as the verdict: only where a limit asks for it.
  const limited = limits.noCuttingFinished || limits.lacking?.length
  if (joint.verdict === 'tight' && limited && joint.cures.length && !joint.cures.some((c) => allowed(c, build, limits))) return Infinity
  return joint.verdict === 'cant-tell' && joint.checks.some(surelyBad) ? BAD_EITHER_WAY : MINUTES[joint.verdict]
}
const allowed = (cure: Cure, build: Build, limits: ChooseLimits) =>
  !cure.id.startsWith(EXCHANGE) && !(limits.noCuttingFinished && cuts(cure, build)) && canDo(cure.tools, limits.lacking ?? [])
