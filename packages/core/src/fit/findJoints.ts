import type { Build } from '../build'
import type { Slot } from '../parts'
import { bridgeHeightJoint } from './bridgeHeight'
import { bridgeReachJoint } from './bridgeReach'
import { guardOpeningsJoint } from './guardOpenings'
import type { Joint } from './joint'
import { pocketWidthJoint } from './pocketWidth'
import { potInGuardJoint } from './potInGuard'
import { stringsOnBoardJoint } from './stringsOnBoard'
import type { Verdict } from './verdict'

/** A kind of joint: which slots must be filled for it to exist, and how it is judged. */
interface JointKind {
  needs: readonly Slot[]
  find: (build: Build) => Joint
}

/** Every kind of joint this tool knows, in the order the mock-up meets them. */
const JOINT_KINDS: readonly JointKind[] = [
  { needs: ['body', 'neck'], find: (b) => pocketWidthJoint(b, 'mouth') },
  { needs: ['body', 'neck'], find: (b) => pocketWidthJoint(b, 'end') },
  { needs: ['body', 'neck', 'bridge'], find: bridgeReachJoint },
  { needs: ['neck', 'nut', 'bridge'], find: stringsOnBoardJoint },
  { needs: ['body', 'neck', 'bridge', 'nut'], find: bridgeHeightJoint },
  { needs: ['body', 'guard', 'pickup-bridge'], find: guardOpeningsJoint },
  { needs: ['guard', 'pot-volume'], find: (b) => potInGuardJoint(b, 'pot-volume') },
  { needs: ['guard', 'pot-tone'], find: (b) => potInGuardJoint(b, 'pot-tone') },
]

const URGENCY: Verdict[] = ['wont-go', 'tight', 'cant-tell', 'loose', 'snug']

/** All joints of a build, those that need a person first; equal ones stay in mock-up order. */
export function findJoints(build: Build): Joint[] {
  return JOINT_KINDS.filter((k) => k.needs.every((slot) => build.parts[slot]))
    .map((k) => k.find(build))
    .toSorted((a, b) => URGENCY.indexOf(a.verdict) - URGENCY.indexOf(b.verdict))
}
