import type { Build } from '../document/build'
import type { Cure, Joint } from '../judge/joint'
import { lookedAt } from '../judge/assemble'
import { onPaper } from '../judge/onPaper'
import { firstOf, harms, moves } from '../judge/vet'
import { JOINT_KINDS } from './jointKinds'

/** What was found for a joint, and the joints it was found against: the same objects give the same answer. */
const found = new WeakMap<Joint, { against: readonly Joint[]; spared: Joint }>()

/** The joint with only those cures that make no other joint worse. @param all every joint of the build as it is */
export function harmless(build: Build, joint: Joint, all: readonly Joint[]): Joint {
  const plans = joint.cures.flatMap((c) => c.plan ?? [])
  if (!plans.length) return joint
  const others = all.filter((o) => o.id !== joint.id && plans.some((plan) => moves(plan, o.reads)))
  const known = found.get(joint)
  if (known && known.against.length === others.length && known.against.every((o, i) => o === others[i])) return known.spared
  const spares = ({ plan }: Cure): boolean => {
    if (!plan) return true
    const done = onPaper(build, plan)
    return others
      .filter((o) => moves(plan, o.reads))
      .every((o) => !harms(o.checks, JOINT_KINDS.find((k) => k.id === o.id)!.find(done).checks))
  }
  const cures = firstOf(joint.cures.filter(spares))
  const spared = cures.length === joint.cures.length ? joint : { ...joint, ...lookedAt(joint), cures }
  found.set(joint, { against: others, spared })
  return spared
}
