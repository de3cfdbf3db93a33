import type { Build } from '../document/build'
import { JOINT_KINDS } from '../fit/jointKinds'
import { existsIn } from '../fit/kind'
import type { JudgedJoint } from '../judge/joint'

/** One of a build's joints: more builds say more than more joints of one. */
export function someJoint(build: Build, n: number): JudgedJoint {
  const here = JOINT_KINDS.filter((k) => existsIn(k, build))
  return here[n % here.length]!.find(build)
}
