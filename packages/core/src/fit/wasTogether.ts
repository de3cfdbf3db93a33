import type { Build, TrialResult } from '../document/build'
import type { Joint } from '../judge/joint'
import { JOINT_KINDS } from './jointKinds'

/**
 * Joints of an instrument that is here, which nobody can tell from numbers yet, each with how it went: it was together, and whoever saw it
 * knows. A part that is exchanged opens its own again.
 */
export function wasTogether(build: Build, joints: readonly Joint[]): { joint: Joint; result: TrialResult }[] {
  if (build.job === undefined || build.job === 'kit' || build.job === 'finished') return []
  // The first that is offered of a trial is the good one.
  const good = new Map(JOINT_KINDS.map((k) => [k.id, k.trial.offers[0]![0]]))
  const isHere = (j: Joint) => j.slots.every((slot) => build.parts[slot] === undefined || build.parts[slot].state === 'in hand')
  return joints.filter((j) => j.verdict === 'cant-tell' && !j.tried && isHere(j)).map((joint) => ({ joint, result: good.get(joint.id)! }))
}
