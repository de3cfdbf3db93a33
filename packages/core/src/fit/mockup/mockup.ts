import { oneCut } from '../oneCut'
import { mouthOf } from '../../instrument/neckWords'
import { POTS, potSlot, SWITCHES_OF } from '../../instrument/controlPlace'
import { goesRound } from '../../instrument/guardRound'
import { takenPart } from '../../instrument/idleParts'
import type { Build, MockupResult } from '../../document/build'
import { enteredAt, traitAt, type SizeRef } from '../../document/read'
import type { JudgedJoint } from '../../judge/joint'
import { capital, those } from '../../quantity/words'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn } from '../kind'

/** One thing to do in the real trial build, with what is written down about it. */
export interface MockupStep {
  id: string
  title: string
  /** What to do, in bench words. */
  how: string
  /** Measured: the reading goes to this size. Otherwise a person says how it went. */
  ref?: SizeRef
  /** Joints this step settles. */
  joints: string[]
  /** What the result stands on: when this changes, the result is stale. */
  basis: string
}

interface Wanted {
  id: string
  title: string
  /** Where it goes by what there is, by the build. */
  how: string | ((build: Build) => string)
  /** Whether there is anything to do. */
  when?: (build: Build) => boolean
  joints: readonly string[]
  ref?: SizeRef
}

const size = (slot: SizeRef['slot'], key: string): SizeRef => ({ slot, size: key })

/**
 * The trial build in the order it is done: everything together once before any coat goes on, then apart. Bushings are not pressed in and
 * out; the bridge goes on loosely. [practice]
 */
const ORDER: readonly Wanted[] = [
  {
    id: 'pocket-mouth',
    title: 'Pocket width at the mouth',
    how: 'Inside jaws, at the edge where the neck enters, halfway down the wall. Three readings, the middle one.',
    ref: size('body', 'pocket.widthMouth'),
    joints: ['pocket-mouth'],
  },
  {
    id: 'heel-mouth',
    title: 'Heel width at the mouth',
    how: 'Outside jaws, where the heel leaves the pocket.',
    ref: size('neck', 'heel.widthMouth'),
    joints: ['pocket-mouth'],
  },
  {
    id: 'pocket-end',
    title: 'Pocket width at the end',
    how: 'At the wall the heel stops against.',
    ref: size('body', 'pocket.widthEnd'),
    joints: ['pocket-end'],
  },
  {
    id: 'heel-end',
    title: 'Heel width at the end',
    how: 'At the very end of the heel.',
    ref: size('neck', 'heel.widthEnd'),
    joints: ['pocket-end'],
  },
  {
    id: 'floor',
    title: 'Pocket floor',
    how: 'Straight-edge both ways and across the corners; the deepest gap. Scrape chips and paint lumps first, and write the tilt down before.',
    ref: size('body', 'pocket.dip'),
    joints: ['pocket-depth'],
  },
  {
    id: 'neck-in',
    title: 'Bare neck into the pocket',
    how: 'Firm hand press, no hammer. Does it go home against the end wall, without rocking?',
    joints: ['pocket-mouth', 'pocket-end', 'pocket-depth'],
  },
  {
    id: 'axis',
    title: 'Neck axis at the bridge',
    how: 'Straight-edge along each neck edge, pencil both lines on the body, measure the middle between them against the bridge’s middle. Bass side positive.',
    ref: size('body', 'axisAtBridge'),
    joints: ['strings-on-board'],
  },
  {
    id: 'neck-holes',
    title: 'Neck screws’ holes',
    how: 'Neck home and on that axis, plate or bushings laid on: look through each. A pilot lies in the middle of the body’s hole; one that is off pulls the neck aside as it is screwed down: hardwood dowel, a day, drilled anew.',
    // Drilled in one of the two only, the other is marked through it.
    when: (build) => traitAt(build, 'body', 'bored.neck') !== 'none' && traitAt(build, 'neck', 'pilots') !== 'none',
    joints: ['neck-screws'],
  },
  {
    id: 'reach',
    title: 'Bridge, along the centre line',
    how: (build) =>
      `Ruler along the centre line, from ${mouthOf(build)}. The scale is checked by nut to fret 12, doubled; the reference stands beside it by what the saddles travel.`,
    ref: size('body', 'mouthToBridge'),
    joints: ['bridge-reach'],
  },
  {
    id: 'bridge-on',
    title: 'Bridge loosely in place',
    how: 'On its posts or taped down; nothing pressed, nothing screwed.',
    joints: ['bridge-on-body', 'bridge-screws', 'tail-studs'],
  },
  {
    id: 'strings-line',
    title: 'Two outer strings or threads',
    how: 'From nut to bridge. Do they run inside the board’s edges, over the poles?',
    joints: ['strings-on-board', 'poles-neck', 'poles-middle', 'poles-bridge'],
  },
  {
    id: 'bridge-low',
    title: 'Saddle height at the bridge’s lowest',
    how: 'Wind it right down; body to the top of the saddle.',
    ref: size('bridge', 'height.min'),
    joints: ['bridge-height'],
  },
  {
    id: 'nut-height',
    title: 'Trial nut: slot above the fret plane',
    how: 'Straight-edge on the crowns, feeler under it at the nut.',
    ref: size('nut', 'slot'),
    joints: ['bridge-height', 'nut-in-slot'],
  },
  {
    id: 'low-enough',
    title: 'Can it go low enough',
    how: 'Outer strings on, bridge at its lowest: is the action at fret 12 at or under what you want, and do the strings clear the covers?',
    joints: ['bridge-height', 'saddle-break'],
  },
  {
    id: 'pickups-in',
    title: 'Pickups in',
    how: (build) =>
      `Into their ${those(['routes', true], ['rings', takenPart(build, 'ring-neck') ?? takenPart(build, 'ring-bridge')], ['guard', goesRound(build)])}, screws run down; nothing forced. Wrap them: filings stick.`,
    joints: ['room-neck', 'room-middle', 'room-bridge'],
  },
  {
    id: 'guard-on',
    title: 'Guard on',
    how: (build) =>
      goesRound(build)
        ? 'Neck in, guard pushed tight to it, two pieces of tape. Openings over the routes, bridge clear, screw holes on wood?'
        : 'Where it is to lie, two pieces of tape. Clear of strings, covers and rings, screw holes on wood?',
    joints: ['guard-openings', 'guard-cover', 'guard-beside'],
  },
  {
    id: 'plate-on',
    title: 'Control plate on',
    how: 'Over its route with its controls in, two pieces of tape. Does it lie down by itself, is the route covered, do its end screws find wood?',
    joints: ['plate-cover'],
  },
  {
    id: 'controls-in',
    title: 'Controls in',
    how: ({ parts }) => {
      const here = those(['pots', parts['pot-volume'] ?? parts['pot-tone']], ['switch', parts.switch], ['jack', parts.jack])
      return here
        ? `${capital(here)} through their holes with washer and nut${parts.knobs ? '; knobs on' : ''}. Anything touching inside?`
        : 'The wire through its passages by hand. Does it go, and lie against nothing sharp?'
    },
    joints: [...POTS.map(potSlot), ...SWITCHES_OF, 'knobs', 'jack', 'control-reach', 'wire-passage', 'active', 'shields-meet'],
  },
  {
    id: 'housing',
    title: 'One tuner housing',
    how: 'Across the flange, along the row; deburr first.',
    ref: size('tuners', 'housing.width'),
    joints: ['tuner-row'],
  },
  {
    id: 'tuners-in',
    title: 'Tuners in place',
    how: 'Through their bores without pressing bushings in and out; lined up by a straight-edge.',
    joints: ['tuner-row', 'tuner-bore', 'nut-break'],
  },
  { id: 'truss', title: 'Truss tool', how: 'Does it reach its nut and swing?', joints: ['truss-access'] },
  { id: 'hang', title: 'Hang it on a strap', how: 'Let go of the neck. Does it stay, drift, or dip?', joints: ['balance'] },
]

/** Everything the joints of a step read, as one text; it changes when any of it does. */
function basisOf(build: Build, ref: SizeRef | undefined, joints: readonly JudgedJoint[]): string {
  const refs = joints.flatMap((j) => [...j.reads, ...j.missing])
  // A measured step's own size is its result, not what it stands on.
  const others = refs.filter((r) => !(ref && r.slot === ref.slot && r.size === ref.size))
  const names = joints.flatMap((j) => j.slots).map((s) => `${s}=${build.parts[s]?.name ?? ''}`)
  const traits = joints
    .flatMap((j) => j.slots)
    .flatMap((s) => Object.entries(build.parts[s]?.traits ?? {}).map(([t, v]) => `${s}.${t}=${v}`))
  const values = ref ? [] : others.map((r) => `${r.slot}/${r.size}=${enteredAt(build, r)?.value ?? ''}`)
  return digest([...new Set([...names, ...traits, ...values])].toSorted().join(';'))
}

/** Short fingerprint of a text: FNV-1a, 32 bits. [published: Fowler, Noll, Vo, from memory] */
function digest(text: string): string {
  let h = 0x811c9dc5
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193) >>> 0
  return h.toString(16)
}

/** Steps of the trial build that this build has something for, in order. */
export function mockupSteps(build: Build): MockupStep[] {
  const joints = JOINT_KINDS.filter((k) => existsIn(k, build)).map((k) => k.find(build))
  return ORDER.flatMap((w): MockupStep[] => {
    const mine = joints.filter((j) => w.joints.includes(j.id))
    if (!mine.length || (w.ref && !build.parts[w.ref.slot]) || w.when?.(build) === false) return []
    return [
      {
        id: w.id,
        title: w.title,
        how: typeof w.how === 'string' ? w.how : w.how(build),
        joints: mine.map((j) => j.id),
        basis: basisOf(build, w.ref, mine),
        ...(w.ref ? { ref: w.ref } : {}),
      },
    ]
  })
}

export type MockupState = 'open' | 'done' | 'stale'
export const stateOf = (step: MockupStep, result: MockupResult | undefined): MockupState =>
  !result ? 'open' : result.basis === step.basis ? 'done' : 'stale'

/** A job that is left, of the first joint that asks for it, and which others do too. */
export interface JobLeft<J> {
  joint: J
  job: string
  gives: string
  toGet?: boolean
  alsoFor: J[]
}

/** What the trial leaves to be done, the first way of each joint that does not go. */
export function jobsLeft<J extends Pick<JudgedJoint, 'title' | 'verdict' | 'cures'>>(joints: readonly J[]): JobLeft<J>[] {
  const open = joints.filter((j) => (j.verdict === 'tight' || j.verdict === 'wont-go') && j.cures.length > 0)
  return oneCut(open, (j) => j.cures[0]).map(({ work: joint, others }) => {
    const { job, gives, toGet } = joint.cures[0]!
    return { joint, job, gives, ...(toGet ? { toGet } : {}), alsoFor: others }
  })
}
