import { isAnother } from '../../judge/another'
import { EXCHANGE } from '../../judge/reach'
import { effectsOf, type Build } from '../../document/build'
import type { Check, Cure, JudgedJoint } from '../../judge/joint'
import { firstOf } from '../../judge/vet'
import { isFinished } from '../../finish/ground'
import { SURE, type Verdict } from '../../judge/verdict'
import { canDo } from './benchTools'
import type { ChooseLimits } from './request'

/** Bench minutes a joint that must be worked on costs, by its verdict. [practice, from memory: half an hour a small job] */
const MINUTES: Record<Exclude<Verdict, 'wont-go'>, number> = { snug: 0, loose: 10, tight: 30, 'cant-tell': 20 }
/** What cannot be told but is bad whichever it is costs more than a tight joint: it may not go at all. [ours] */
const BAD_EITHER_WAY = 40
/** Twice a small job for each thing that will not go as it is. [ours] */
const REPLANNED = 60
const surelyBad = ({ raw }: Check): boolean => raw.verdict === 'cant-tell' && raw.chances.snug + raw.chances.loose <= 1 - SURE
/** What of a neck is worked through its film: heel, board and nut have none. */
const THROUGH_FILM: readonly string[] = ['tuner.bore', 'head.thickness']
const effectsOn = ({ plan }: Cure) => (plan ? effectsOf(plan) : [])
const cuts = (cure: Cure, build: Build) =>
  (cure.gives === 'body' && isFinished(build, 'body')) ||
  (effectsOn(cure).some((e) => e.slot === 'neck' && THROUGH_FILM.includes(e.size)) && isFinished(build, 'neck'))
/** Minutes to make a joint go under the limits; Infinity rules the pairing out. */
export function minutesFor(joint: JudgedJoint, build: Build, limits: ChooseLimits): number {
  if (joint.verdict === 'wont-go') return Infinity
  // Cures are vetted when they are looked at, which is as much work as the verdict: only where a limit asks for it.
  const limited = limits.noCuttingFinished || limits.lacking?.length
  if (joint.verdict === 'tight' && limited && joint.cures.length && !joint.cures.some((c) => allowed(c, build, limits))) return Infinity
  return joint.verdict === 'cant-tell' && joint.checks.some(surelyBad) ? BAD_EITHER_WAY : MINUTES[joint.verdict]
}
/** The same where what will not go as it is may be planned anew: a larger job for each thing in the way. */
export const minutesReplanned = (joint: JudgedJoint, build: Build, limits: ChooseLimits): number =>
  joint.verdict === 'wont-go' ? (replanOf(joint, build, limits)?.length ?? Infinity) * REPLANNED : minutesFor(joint, build, limits)
/** A job on what is here for each thing that keeps a joint from going; nothing where there is none for one of them, or nobody can say which it is. */
export function replanOf(joint: JudgedJoint, build: Build, limits: ChooseLimits): Cure[] | undefined {
  const jobs = joint.checks
    .filter((c) => c.raw.verdict === 'wont-go')
    .map((c) => firstOf(c.cures.filter((cure) => isOnWhatIsHere(cure, build, limits)))[0])
  return jobs.length && jobs.every((cure) => cure !== undefined) ? jobs : undefined
}
const isOnWhatIsHere = (cure: Cure, build: Build, limits: ChooseLimits): boolean =>
  cure.plan !== undefined &&
  !isAnother(cure) &&
  allowed(cure, build, limits) &&
  !(limits.noCuttingFinished && effectsOn(cure).some((e) => e.slot === 'body') && isFinished(build, 'body'))
const allowed = (cure: Cure, build: Build, limits: ChooseLimits) =>
  !cure.id.startsWith(EXCHANGE) && !(limits.noCuttingFinished && cuts(cure, build)) && canDo(cure.tools, limits.lacking ?? [])
