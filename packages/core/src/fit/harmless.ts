import type { Build } from '../document/build'
import type { Cure, Joint } from '../judge/joint'
import { onPaper } from '../judge/onPaper'
import { harms, moves } from '../judge/vet'
import { JOINT_KINDS } from './findJoints'

/** The joint with only those cures that make no other joint worse. @param all every joint of the build as it is */
export function harmless(build: Build, joint: Joint, all: readonly Joint[]): Joint {
  if (!joint.cures.some((c) => c.plan)) return joint
  const spares = ({ plan }: Cure): boolean => {
    if (!plan) return true
    const done = onPaper(build, plan)
    return all
      .filter((o) => o.id !== joint.id && moves(plan, o.reads))
      .every((o) => !harms(o.checks, JOINT_KINDS.find((k) => k.id === o.id)!.find(done).checks))
  }
  const cures = joint.cures.filter(spares)
  return cures.length === joint.cures.length ? joint : { ...joint, cures }
}
