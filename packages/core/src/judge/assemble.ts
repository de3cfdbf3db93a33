import { effectsOf, type Build } from '../document/build'
import { sizesFor, type SizeRef } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import { nothingYet } from '../drawing/sections'
import type { Point } from '../geometry/point'
import type { Slot } from '../parts/slots'
import { printMm } from '../quantity/length'
import { isMeasured, type Size } from '../quantity/size'
import { Asker, type Ask } from './ask'
import { keyOf } from './completed'
import { missingSays } from './doubtWords'
import { figureOf, type Check, type DetailTable, type JudgedJoint } from './joint'
import { lazily } from './lazily'
import { isWorse, worst } from './verdict'
import { vetted } from './vet'

export interface JointPlan {
  id: string
  title: string
  /** Not how two parts fit but whether something is as it should be. */
  condition?: true
  slots: Slot[]
  at: Point
  seatsNeck?: true
  draw: () => Drawing
  tables?: DetailTable[]
  /** Each check it has, asked of a build in which nothing is unknown. */
  asks: readonly Ask[]
}

/** Asks every check of a joint; the worst that is sure speaks for it. */
export function judged(build: Build, { asks, ...base }: JointPlan): JudgedJoint {
  const asker = new Asker(build, base.condition)
  const asked = asks.map((ask) => ({ ask, checks: asker.judge(ask) }))
  return jointOf(build, base, vetted(build, asked))
}

/** A joint of checks already judged. */
export function jointOf(build: Build, base: Omit<JointPlan, 'asks'>, checks: Check[]): JudgedJoint {
  const verdict = worst(checks.map((c) => c.raw.verdict))
  const speaker = checks.reduce<Check | undefined>((a, b) => (!a || isWorse(b.raw.verdict, a.raw.verdict) ? b : a), undefined)
  const touched = checks.filter((c) => c.coated)
  const reads = uniqueRefs(checks.flatMap((c) => c.reads))
  // A figure that rests on what nobody knows is none.
  const figure = speaker && !speaker.unknown.length && !speaker.untold.length ? figureOf(speaker) : undefined
  const missing = uniqueRefs(checks.flatMap((c) => c.unknown))
  const untold = uniqueRefs(checks.flatMap((c) => c.untold))
  const settles = verdict === 'cant-tell' && speaker ? (missing[0] ?? mostSay(build, speaker.reads)) : undefined
  const planned = Object.entries(build.jobs)
    .filter(([, job]) => effectsOf(job).some((effect) => reads.some((r) => r.slot === effect.slot && r.size === effect.size)))
    .map(([id]) => id)
  const joint: JudgedJoint = {
    tables: [],
    ...base,
    verdict,
    ...(touched.length ? { coated: worst(checks.map((c) => (c.coated ?? c.raw).verdict)) } : {}),
    ...(figure ? { figure } : {}),
    says: '',
    cures: [],
    checks,
    missing,
    untold,
    ...(settles ? { settles } : {}),
    reads,
    planned,
  }
  lazily(joint, 'says', () =>
    verdict === 'cant-tell' && (missing.length || untold.length) ? missingSays(missing, untold) : (speaker?.says ?? ''),
  )
  // What cures the check that speaks comes first.
  if (speaker) lazily(joint, 'cures', () => [speaker, ...checks.filter((c) => c !== speaker)].flatMap((c) => c.cures))
  return joint
}

const uniqueRefs = <R extends Parameters<typeof keyOf>[0]>(refs: readonly R[]): R[] => [...new Map(refs.map((r) => [keyOf(r), r])).values()]

/** Of the sizes a check reads, the one with the widest doubt; a listing counts before a reading of the same doubt. */
function mostSay(build: Build, refs: readonly SizeRef[]): SizeRef | undefined {
  const doubt = (r: SizeRef) => {
    const size = build.parts[r.slot]?.sizes[r.size]
    return size ? size.doubt + (isMeasured(size.known) ? 0 : 0.01) : Infinity
  }
  return refs.reduce<SizeRef | undefined>((a, b) => (!a || doubt(b) > doubt(a) ? b : a), undefined)
}

/** "56.10 ±0.05": a size as a drawing's table gives it. */
export const sizeText = (size: Size): string => `${printMm(size.value)} ±${printMm(size.doubt)} mm`

/** A drawing of these sizes, once they are all known. */
export const drawnOnceKnown =
  <K extends string>(build: Build, title: string, refs: Readonly<Record<K, SizeRef>>, draw: (have: Record<K, Size>) => Drawing) =>
  (): Drawing => {
    const { have, missing } = sizesFor(build, refs)
    return missing.length ? nothingYet(title) : draw(have)
  }
