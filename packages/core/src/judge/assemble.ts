import { effectsOf, type Build } from '../document/build'
import { sizesFor, type SizeRef } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import { nothingYet } from '../drawing/sections'
import type { Point } from '../geometry/point'
import type { Slot } from '../parts/slots'
import { printMm } from '../quantity/length'
import { isMeasured, type Size } from '../quantity/size'
import { Asker, type Ask } from './ask'
import { keyOf, type TraitRef } from './completed'
import { missingSays, oddsSays } from './doubtWords'
import { figureOf, type Check, type Cure, type DetailTable, type Joint, type JudgedJoint } from './joint'
import { isWorse, worst, type Verdict } from './verdict'
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
export function judged(build: Build, plan: JointPlan): JudgedJoint {
  const asker = new Asker(build, plan.condition)
  const asked: Asked = []
  asker.vet = vetOf(build, asked, plan.slots)
  for (const ask of plan.asks) asked.push({ ask, checks: asker.judge(ask) })
  const joint = jointOf(
    build,
    plan,
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

/** A joint of checks already judged. */
export const jointOf = (build: Build, plan: Omit<JointPlan, 'asks'>, checks: Check[]): JudgedJoint => new OfChecks(build, plan, checks)

const NO_TABLES = () => []

/** All of it but its verdict is worked out for whoever looks at it. */
class OfChecks implements JudgedJoint {
  readonly id: string
  readonly title: string
  readonly condition?: true
  readonly slots: Slot[]
  readonly seatsNeck?: true
  readonly draw: () => Drawing
  readonly tables: () => DetailTable[]
  readonly verdict: Verdict
  readonly coated?: Verdict
  readonly checks: Check[]
  readonly missing: SizeRef[]
  readonly untold: TraitRef[]
  readonly unmade: SizeRef[]
  readonly settles?: SizeRef
  readonly #build: Build
  readonly #place: () => Point
  /** The check that speaks for it: the worst one. */
  readonly #speaker: Check | undefined
  #at: Point | undefined
  #says: string | undefined
  #cures: Cure[] | undefined
  #reads: SizeRef[] | undefined
  #planned: string[] | undefined

  constructor(build: Build, { id, title, condition, slots, seatsNeck, at, draw, tables }: Omit<JointPlan, 'asks'>, checks: Check[]) {
    const speaker = checks.reduce<Check | undefined>((a, b) => (!a || isWorse(b.raw.verdict, a.raw.verdict) ? b : a), undefined)
    this.id = id
    this.title = title
    if (condition) this.condition = condition
    this.slots = slots
    if (seatsNeck) this.seatsNeck = seatsNeck
    this.draw = checks.some(isFault) ? draw : () => nothingOff(draw())
    this.tables = tables ?? NO_TABLES
    this.verdict = worst(checks.map((c) => c.raw.verdict))
    if (checks.some((c) => c.coated)) this.coated = worst(checks.map((c) => (c.coated ?? c.raw).verdict))
    this.checks = checks
    this.missing = checks.some((c) => c.unknown.length) ? uniqueRefs(checks.flatMap((c) => c.unknown)) : []
    this.untold = checks.some((c) => c.untold.length) ? uniqueRefs(checks.flatMap((c) => c.untold)) : []
    this.unmade = checks.some((c) => c.unmade.length) ? uniqueRefs(checks.flatMap((c) => c.unmade)) : []
    const settles =
      this.verdict === 'cant-tell' && speaker && !this.unmade.length ? (this.missing[0] ?? mostSay(build, speaker.reads)) : undefined
    if (settles) this.settles = settles
    this.#build = build
    this.#place = at
    this.#speaker = speaker
  }

  get at(): Point {
    return (this.#at ??= this.#place())
  }

  get figure(): JudgedJoint['figure'] {
    const speaker = this.#speaker
    // A figure that rests on what nobody knows is none.
    return speaker && !speaker.supposed && !speaker.unknown.length && !speaker.untold.length && !speaker.unmade.length
      ? figureOf(speaker)
      : undefined
  }

  get says(): string {
    const open = this.verdict === 'cant-tell' && (this.missing.length || this.untold.length || this.unmade.length)
    return (this.#says ??= open
      ? missingSays(this.missing, this.untold, this.unmade) + oddsSays(this.#build, this.missing)
      : (this.#speaker?.says ?? ''))
  }

  get cures(): Cure[] {
    const speaker = this.#speaker
    // What cures the check that speaks comes first.
    return (this.#cures ??= speaker ? [speaker, ...this.checks.filter((c) => c !== speaker)].flatMap((c) => c.cures) : [])
  }

  get reads(): SizeRef[] {
    return (this.#reads ??= uniqueRefs(this.checks.flatMap((c) => c.reads)))
  }

  get planned(): string[] {
    const moved = ({ slot, size }: SizeRef) => this.reads.some((r) => r.slot === slot && r.size === size)
    return (this.#planned ??= Object.entries(this.#build.jobs)
      .filter(([, job]) => effectsOf(job).some(moved))
      .map(([id]) => id))
  }
}

/** What of a joint is worked out for whoever looks, worked out. */
export const lookedAt = ({ at, figure, says, cures, reads, planned }: Joint) => ({ at, figure, says, cures, reads, planned })

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
