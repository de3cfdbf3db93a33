import type { Build } from '../document/build'
import { nameOf, sizesFor, type SizeRef } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import { nothingYet } from '../drawing/sections'
import type { Point } from '../geometry/point'
import { slotSpec, type Slot } from '../parts/slots'
import { printMm } from '../quantity/length'
import { isMeasured, type Size } from '../quantity/size'
import { figureOf, type Check, type DetailTable, type JudgedJoint } from './joint'
import { isWorse, worst } from './verdict'

export interface JointBase {
  id: string
  title: string
  slots: Slot[]
  at: Point
  seatsNeck?: true
  draw: () => Drawing
  tables?: DetailTable[]
}

/** A joint whose sizes are all there: the worst of its checks speaks for it. */
export function jointOf(build: Build, base: JointBase, checks: Check[]): JudgedJoint {
  const verdict = worst(checks.map((c) => c.raw.verdict))
  const speaker = checks.reduce((a, b) => (isWorse(b.raw.verdict, a.raw.verdict) ? b : a))
  const touched = checks.filter((c) => c.coated)
  const reads = uniqueRefs(checks.flatMap((c) => c.reads))
  const figure = figureOf(speaker)
  const settles = verdict === 'cant-tell' ? mostSay(build, speaker.reads) : undefined
  const planned = Object.entries(build.jobs)
    .filter(([, job]) => reads.some((r) => r.slot === job.slot && r.size === job.size))
    .map(([id]) => id)
  return {
    tables: [],
    ...base,
    verdict,
    ...(touched.length ? { coated: worst(checks.map((c) => (c.coated ?? c.raw).verdict)) } : {}),
    ...(figure ? { figure } : {}),
    says: speaker.says,
    // What cures the check that speaks comes first.
    cures: [speaker, ...checks.filter((c) => c !== speaker)].flatMap((c) => c.cures),
    checks,
    missing: [],
    ...(settles ? { settles } : {}),
    reads,
    planned,
  }
}

/** A joint that cannot be judged yet: it says which sizes to take first. */
export function waitingJoint(base: JointBase, missing: SizeRef[]): JudgedJoint {
  const [first] = missing
  const names = missing.slice(0, 3).map((r) => `${nameOf(r).toLowerCase()} (${slotSpec(r.slot).label.toLowerCase()})`)
  const more = missing.length > 3 ? ` and ${missing.length - 3} more` : ''
  return {
    tables: [],
    ...base,
    verdict: 'cant-tell',
    says: `Not known yet: ${names.join(', ')}${more}.`,
    cures: [],
    checks: [],
    missing,
    ...(first ? { settles: first } : {}),
    reads: missing,
    planned: [],
  }
}

const uniqueRefs = (refs: SizeRef[]): SizeRef[] => [...new Map(refs.map((r) => [`${r.slot}/${r.size}`, r])).values()]

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

/** What most joints are made of: sizes it cannot do without, its checks from them, its drawing from them. */
export interface JointPlan<K extends string> extends Omit<JointBase, 'draw'> {
  refs: Readonly<Record<K, SizeRef>>
  checks: (have: Record<K, Size>) => Check[]
  draw: (have: Record<K, Size>) => Drawing
  tables?: DetailTable[]
}

/** Judges a planned joint, or says which sizes to take first. */
export function judged<K extends string>(build: Build, { refs, checks, draw, ...base }: JointPlan<K>): JudgedJoint {
  const { have, missing } = sizesFor(build, refs)
  if (missing.length) return waitingJoint({ ...base, draw: () => nothingYet(base.title) }, missing)
  return jointOf(build, { ...base, draw: () => draw(have) }, checks(have))
}
