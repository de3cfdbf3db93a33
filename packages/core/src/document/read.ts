import { isAtOdds } from '../parts/atOdds'
import { isNaught, type SizeSpec } from '../parts/kind'
import { KINDS, type SizeKey } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { SLOT_NAMES, slotSpec, type KindOf, type Slot } from '../parts/slots'
import { told, type Size } from '../quantity/size'
import { effectsOf, type Build } from './build'

/** Names one size of one chosen part. */
export interface SizeRef {
  slot: Slot
  size: string
}
export const sizeRef = <S extends Slot>(slot: S, size: SizeKey<KindOf<S>>): SizeRef => ({ slot, size })

/** Specification of the size named; throws when the slot's kind has no such size, which is a mistake in code. */
export function specAt(ref: SizeRef): SizeSpec {
  const spec = KINDS[slotSpec(ref.slot).kind].sizes[ref.size]
  if (!spec) throw new Error(`${ref.slot} has no size ${ref.size}`)
  return spec
}

/** "Pocket width, mouth" as people say it, with its part where the label alone would be unclear. */
export const nameOf = (ref: SizeRef): string => specAt(ref).label

type Reader = (slot: Slot, size: string) => Size | undefined
const readers = new WeakMap<Build, Reader>()
/** Lets what stands in for a build answer for its sizes at once, instead of by way of its parts; the answer must be the same. */
export const answersSizes = (build: Build, reader: Reader): Build => {
  readers.set(build, reader)
  return build
}

const real = new WeakMap<Build, Build>()
/** Remembers which build it is that another, with an answer to everything, stands in for. */
export const standsFor = (build: Build, told: Build): Build => {
  real.set(build, told)
  return build
}
/** The build with only what somebody has said: for what is there or not until somebody says otherwise. */
export const asTold = (build: Build): Build => real.get(build) ?? build

/** What there is none of is known to be 0. */
export const NAUGHT: Size = { value: 0, doubt: 0, known: 'calipers' }

/** The size as entered, or nothing; 0 where there is none of it on a part that is what it is said to be. */
export function enteredAt(build: Build, ref: SizeRef): Size | undefined {
  const reader = readers.get(build)
  return reader ? reader(ref.slot, ref.size) : ofPart(build.parts[ref.slot], ref)
}
const ofPart = (part: Part | undefined, { slot, size }: SizeRef): Size | undefined =>
  part && isNaught(KINDS[slotSpec(slot).kind], part.traits, size) ? NAUGHT : part?.sizes[size]

/** The size as far as it is believed: one that contradicts another of its part is no more than assumed. */
export function believedAt(build: Build, ref: SizeRef): Size | undefined {
  const entered = enteredAt(build, ref)
  const part = entered && entered.known !== 'assumed' && !readers.has(build) ? build.parts[ref.slot] : undefined
  return part ? believed(part, ref.size, entered) : entered
}

/** An entered size of a part, as far as it is believed. */
export const believed = (part: Part, size: string, entered: Size | undefined): Size | undefined =>
  entered && isAtOdds(part, size) ? { ...entered, known: 'assumed' } : entered

/** A size with the jobs planned on paper already done to it. */
export function withJobs(build: Build, ref: SizeRef, entered: Size): Size {
  let { value, doubt } = entered
  let moved = false
  const { jobs } = build
  for (const id in jobs)
    for (const effect of effectsOf(jobs[id]!)) {
      if (effect.slot !== ref.slot || effect.size !== ref.size) continue
      value += effect.delta
      doubt = Math.hypot(doubt, effect.doubt)
      moved = true
    }
  return moved ? { ...entered, value, doubt } : entered
}

/** The size as the joints see it: as entered and believed, with its planned jobs; nothing when it was never entered. */
export function sizeAt(build: Build, ref: SizeRef): Size | undefined {
  const entered = believedAt(build, ref)
  // To what there is none of nothing can be done, whatever was planned before that was said.
  return entered && entered !== NAUGHT ? withJobs(build, ref, entered) : entered
}

export const valueAt = (build: Build, ref: SizeRef): number | undefined => sizeAt(build, ref)?.value

export const traitAt = (build: Build, slot: Slot, trait: string): string | undefined => build.parts[slot]?.traits[trait]

/** Has somebody said it, by reading or by listing, or is it only assumed? */
export const isSaid = (build: Build, ...refs: readonly SizeRef[]): boolean =>
  refs.every((ref) => told(believedAt(build, ref)) !== undefined)

/** Are neck and body one piece? There is then no pocket and no heel, and nothing to put in or to take off. */
export const isThrough = (build: Build): boolean => traitAt(asTold(build), 'body', 'neckIs') === 'through'

/** Is the neck there for good, glued in or one piece with the body? It is then there before any finish, and has no screws. */
export const isGlued = (build: Build): boolean => isThrough(build) || traitAt(build, 'neck', 'joint') === 'set'

/** Nobody has said how the neck is held, and no screws are among the parts that would say it: a glued one goes in before any finish. */
export const isJointUntold = (build: Build): boolean =>
  build.parts.body !== undefined &&
  build.parts.neck !== undefined &&
  build.parts['neck-screws'] === undefined &&
  !isThrough(build) &&
  traitAt(build, 'neck', 'joint') === undefined

/** Where the neck's wood ends under the strings: the heel's end, or of one piece the board's. */
export const neckEnd = (build: Build): SizeRef => sizeRef('neck', isThrough(build) ? 'boardLength' : 'nutToHeelEnd')

/** Of one piece places on a body are counted from the board's end, so much further on than a pocket's mouth: a heel's usual length, mm. [ours] */
export const UNDER_BOARD = 76

/** What tilts the strings' plane against the front: the pocket's floor, or of one piece the board itself. */
export const tiltRef = (build: Build): SizeRef => sizeRef('body', isThrough(build) ? 'board.tilt' : 'pocket.tilt')

/** What carries the board's top over the pocket's floor; of one piece, over the front. */
export const boardRef = (build: Build): SizeRef => (isThrough(build) ? sizeRef('body', 'board.over') : sizeRef('neck', 'heel.thickness'))

/** A nut that clamps its strings: hard metal, set in height by what lies under it. Nothing of it is filed. */
export const hasLockingNut = (build: Build): boolean => nutWork(build) === 'whole'

/** How a nut comes to its height: slot by slot with a file, or as a whole where it clamps its strings. */
export type NutWork = 'filed' | 'whole'

/** Nothing while nobody has said what nut it is: a file on hard metal is spoiled, and a bone nut has no shims to take out. */
export function nutWork(build: Build): NutWork | undefined {
  const type = traitAt(build, 'nut', 'type')
  return type === undefined ? undefined : type === 'locking' ? 'whole' : 'filed'
}

/** A truss rod with a nut to turn; a neck of which nobody has said is taken to have one. */
export const hasTrussNut = (build: Build): boolean => !['fixed', 'no-rod'].includes(traitAt(build, 'neck', 'truss') ?? '')

/** All of the sizes asked for, or the list of those missing. */
export function sizesFor<const K extends string>(
  build: Build,
  refs: Readonly<Record<K, SizeRef>>,
): { have: Record<K, Size>; missing: SizeRef[] } {
  const have = {} as Record<K, Size>
  const missing: SizeRef[] = []
  for (const name of Object.keys(refs) as K[]) {
    const size = sizeAt(build, refs[name])
    if (size) have[name] = size
    else missing.push(refs[name])
  }
  return { have, missing }
}

/** Chosen parts in slot order: a database gives them back in an order of its own. */
export function chosenParts({ parts }: Pick<Build, 'parts'>): [Slot, Part][] {
  return SLOT_NAMES.flatMap((slot): [Slot, Part][] => (parts[slot] ? [[slot, parts[slot]]] : []))
}
