import type { Build } from '../document/build'
import { takenPart } from '../instrument/idleParts'
import type { JudgedJoint } from '../judge/joint'
import type { TrialKind } from './trial'
import type { Slot } from '../parts/slots'

/**
 * A kind of joint: which slots must be filled for it to exist, which others it reads when they are, and how it is judged. Of slots it
 * does not name it may know at most whether they are filled.
 */
export interface JointKind {
  /** Of the joint it finds. */
  id: string
  needs: readonly Slot[]
  /** Must be filled too, but nothing of it is read. */
  beside?: readonly Slot[]
  also?: readonly Slot[]
  when?: (build: Build) => boolean
  /** Says itself that nothing takes what it needs; without it there is no joint with such a part. */
  evenIdle?: true
  /** A mistake here is put right in minutes and cents: what costs wood or weeks is measured before it. [ours] */
  light?: true
  /** How it is tried by hand. */
  trial: TrialKind
  find: (build: Build) => JudgedJoint
}

export const existsIn = (kind: Omit<JointKind, 'find'>, build: Build): boolean =>
  kind.needs.every((slot) => (kind.evenIdle ? build.parts[slot] : takenPart(build, slot))) &&
  (kind.beside ?? []).every((slot) => build.parts[slot]) &&
  (kind.when?.(build) ?? true)
