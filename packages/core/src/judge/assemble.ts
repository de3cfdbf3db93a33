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
import { figureOf, type Check, type Cure, type DetailTable, type JudgedJoint } from './joint'
import { isWorse, worst } from './verdict'
import { isFault, vetOf } from './vet'

export interface JointPlan {
  id: string
  title: string
  /** Not how two parts fit but whether something is as it should be. */
  condition?: true
  slots: Slot[]
  /** Where its peg stands; worked out for whoever looks. */
  at: () => Point
  seatsNeck?: true
  draw: () => Drawing
  tables?: () => DetailTable[]
  /** Each check it has, asked of a build in which nothing is unknown. */
  asks: readonly Ask[]
}

type Asked = { ask: Ask; checks: Check[] }[]
const askedFor = new WeakMap<JudgedJoint, Asked>()

/** Asks every check of a joint; the worst that is sure speaks for it. */
export function judged(build: Build, { asks, ...base }: JointPlan): JudgedJoint {
  const asker = new Asker(build, base.condition)
  const asked: Asked = []
  asker.vet = vetOf(build, asked)
  for (const ask of asks) asked.push({ ask, checks: asker.judge(ask) })
  const joint = jointOf(
    build,
    base,
    asked.flatMap((a) => a.checks),
  )
  askedFor.set(joint, asked)
  return joint
}

/**
 * The checks of a joint in a build that differs from the one it was judged in by a single size: those that do not read it are as they were.
 * @returns nothing for a joint that was not judged by its checks alone, such as one tried by hand
 */
export function checksOnce(joint: JudgedJoint, build: Build, moved: SizeRef): Check[] | undefined {
  const asker = new Asker(build, joint.condition)
  // What gave no check may give one now: nobody knows what it read.
  const reads = (checks: readonly Check[]) => !checks.length || checks[0]!.reads.some((r) => r.slot === moved.slot && r.size === moved.size)
  return askedFor.get(joint)?.flatMap(({ ask, checks }) => (reads(checks) ? asker.judge(ask) : checks))
}

/** A joint of checks already judged; all but its verdict is worked out for whoever looks at it. */
export function jointOf(build: Build, base: Omit<JointPlan, 'asks'>, checks: Check[]): JudgedJoint {
  const verdict = worst(checks.map((c) => c.raw.verdict))
  const speaker = checks.reduce<Check | undefined>((a, b) => (!a || isWorse(b.raw.verdict, a.raw.verdict) ? b : a), undefined)
  const touched = checks.some((c) => c.coated)
  const missing = checks.some((c) => c.unknown.length) ? uniqueRefs(checks.flatMap((c) => c.unknown)) : []
  const untold = checks.some((c) => c.untold.length) ? uniqueRefs(checks.flatMap((c) => c.untold)) : []
  const unmade = checks.some((c) => c.unmade.length) ? uniqueRefs(checks.flatMap((c) => c.unmade)) : []
  const settles = verdict === 'cant-tell' && speaker && !unmade.length ? (missing[0] ?? mostSay(build, speaker.reads)) : undefined
  let at: Point | undefined
  let says: string | undefined
  let cures: Cure[] | undefined
  let reads: SizeRef[] | undefined
  let planned: string[] | undefined
  const joint: JudgedJoint = {
    tables: () => [],
    ...base,
    draw: checks.some(isFault) ? base.draw : () => nothingOff(base.draw()),
    get at() {
      return (at ??= base.at())
    },
    verdict,
    ...(touched ? { coated: worst(checks.map((c) => (c.coated ?? c.raw).verdict)) } : {}),
    get figure() {
      // A figure that rests on what nobody knows is none.
      return speaker && !speaker.supposed && !speaker.unknown.length && !speaker.untold.length && !speaker.unmade.length
        ? figureOf(speaker)
        : undefined
    },
    get says() {
      return (says ??=
        verdict === 'cant-tell' && (missing.length || untold.length || unmade.length)
          ? missingSays(missing, untold, unmade)
          : (speaker?.says ?? ''))
    },
    get cures() {
      // What cures the check that speaks comes first.
      return (cures ??= speaker ? [speaker, ...checks.filter((c) => c !== speaker)].flatMap((c) => c.cures) : [])
    },
    checks,
    missing,
    untold,
    unmade,
    ...(settles ? { settles } : {}),
    get reads() {
      return (reads ??= uniqueRefs(checks.flatMap((c) => c.reads)))
    },
    get planned() {
      return (planned ??= Object.entries(build.jobs)
        .filter(([, job]) => effectsOf(job).some((effect) => joint.reads.some((r) => r.slot === effect.slot && r.size === effect.size)))
        .map(([id]) => id))
    },
  }
  return joint
}

/** Without what is hatched to come off: where no check is sure of a fault, nothing is. */
const nothingOff = (drawing: Drawing): Drawing => ({
  ...drawing,
  marks: drawing.marks.filter((m) => m.mark !== 'area' || m.role !== 'remove'),
})

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
