import type { Build } from '../../document/build'
import { allInPlace } from '../../document/inPlace'
import type { Check, JudgedJoint } from '../../judge/joint'
import { isPartHere } from '../../parts/part'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn, type JointKind } from '../kind'

/** How unsure a joint's verdict is: what its likeliest class leaves over, the worst of its checks. */
export const unsure = ({ checks }: { checks: readonly Check[] }): number => checks.reduce((worst, c) => Math.max(worst, unsureOf(c)), 0)

/** A check that lacks sizes is open, and a little less so with each that is found; the last one settles it. */
function unsureOf(c: Check): number {
  const open = c.unknown.length + c.untold.length + c.unmade.length
  if (open) return 1 - LAST / open
  return 1 - Math.max(...Object.values(c.raw.chances)) + (c.hearsay ? HEARSAY : 0)
}
/** What stays open of a check while one size of it is missing, and of a pattern known only from listings. [ours] */
const LAST = 0.2
const HEARSAY = 0.3

/** Of a joint where a mistake is put right in minutes. [ours] */
const LIGHT = 0.3

/** What a mistake at a joint costs, as a weight: nothing where all of it is in place and stays so; one, or less where it is light, and one more for every 40 of parts not yet in hand. [ours] */
export function weightOf(build: Build, kind: JointKind, joint: JudgedJoint): number {
  if (allInPlace(build, joint.slots)) return 0
  const open = joint.slots.reduce((sum, slot) => {
    const part = build.parts[slot]
    return sum + (part && !isPartHere(part) ? (part.price ?? 0) : 0)
  }, 0)
  return (kind.light ? LIGHT : 1) + open / 40
}

/** Total of what is not known, weighted. */
export function doubtOfBuild(build: Build): number {
  return JOINT_KINDS.filter((k) => existsIn(k, build)).reduce((sum, kind) => {
    const joint = kind.find(build)
    return sum + weightOf(build, kind, joint) * unsure(joint)
  }, 0)
}
