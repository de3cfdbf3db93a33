import type { Build } from '../document/build'
import { lookedAt } from '../judge/assemble'
import { asData } from '../judge/judgedCheck'
import type { Joint, JudgedJoint } from '../judge/joint'
import type { CutLimits } from '../judge/leastCut'
import type { Verdict } from '../judge/verdict'
import { JOINT_KINDS } from './jointKinds'
import { existsIn, type JointKind } from './kind'

/** A kind whose joint is plain data. */
type PlainKind = Omit<JointKind, 'find'> & { find: (build: Build) => Joint }
const PLAIN_KINDS: readonly PlainKind[] = JOINT_KINDS.map((kind) => ({ ...kind, find: (build) => undrawn(kind.find(build)) }))

const URGENCY: Verdict[] = ['wont-go', 'tight', 'cant-tell', 'loose', 'snug']

/** All joints of a build with the way to draw them, in mock-up order. */
export const judgeJoints = (build: Build): JudgedJoint[] => JOINT_KINDS.filter((k) => existsIn(k, build)).map((k) => k.find(build))

/** One joint's verdict, at once and nothing else; nothing where the build has no such joint. */
export function verdictOf(build: Build, id: string): Verdict | undefined {
  const kind = JOINT_KINDS.find((k) => k.id === id)
  return kind && existsIn(kind, build) ? kind.find(build).verdict : undefined
}

/** As plain data, its words and cures worked out here, where a fault of theirs is this station's alone. */
const undrawn = (judged: JudgedJoint): Joint => {
  const { draw: _, tables: __, ...joint } = judged
  return { ...joint, ...lookedAt(judged), checks: judged.checks.map(asData) }
}

/**
 * All joints of a build as plain data, those that need a person first; equal ones stay in mock-up order.
 * @param judge how one kind's joint is come by; computed from the build unless the caller knows it already
 */
export const findJoints = (build: Build, judge: (kind: PlainKind) => Joint = (kind) => kind.find(build)): Joint[] =>
  PLAIN_KINDS.filter((k) => existsIn(k, build))
    .map(judge)
    .toSorted((a, b) => URGENCY.indexOf(a.verdict) - URGENCY.indexOf(b.verdict))

/** What each cure of one joint that takes something off must do at least and may do at most, by the cure's id. */
export function cutsOf(build: Build, id: string): Readonly<Record<string, CutLimits>> {
  const kind = JOINT_KINDS.find((k) => k.id === id)
  const cures = kind && existsIn(kind, build) ? kind.find(build).cures : []
  return Object.fromEntries(cures.flatMap((c) => (c.cut ? [[c.id, c.cut]] : [])))
}
