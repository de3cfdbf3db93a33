import type { Build, TrialResult } from '../document/build'
import { allInPlace } from '../document/inPlace'
import type { Joint } from '../judge/joint'
import type { Part } from '../parts/part'
import { comesApart } from '../parts/starting/jobs'
import { JOINT_KINDS } from './jointKinds'

/** A joint of parts that stay in place, which no number tells: it is as it was, and nobody has to know more. */
export const isAsItWas = (build: Build, joint: Joint): boolean =>
  joint.verdict === 'cant-tell' && !joint.tried && allInPlace(build, joint.slots)

/**
 * Joints of an instrument that is here, which nobody can tell from numbers yet, each with how it went: it was together, and whoever saw it
 * knows. A part that is exchanged opens its own again.
 */
export function wasTogether(build: Build, joints: readonly Joint[]): { joint: Joint; result: TrialResult }[] {
  if (!comesApart(build)) return []
  // The first that is offered of a trial is the good one.
  const good = new Map(JOINT_KINDS.map((k) => [k.id, k.trial.offers[0]![0]]))
  // What was bought for it was not there then.
  const wasThere = (p: Part | undefined) =>
    !p || p.state === 'in place' || (p.state === 'in hand' && p.seller === undefined && p.price === undefined)
  return joints
    .filter((j) => j.verdict === 'cant-tell' && !j.tried && j.slots.every((slot) => wasThere(build.parts[slot])))
    .map((joint) => ({ joint, result: good.get(joint.id)! }))
}
