import type { Build, Tool } from '../../document/build'
import { applyChange } from '../../document/change'
import { setTrait } from '../../document/changes'
import { computed, type From, type Remember } from '../../document/remember'
import { believedAt, specAt, type SizeRef } from '../../document/read'
import { idleFor, takenPart } from '../../instrument/idleParts'
import { checksOnce } from '../../judge/assemble'
import { keyOf, type TraitRef } from '../../judge/completed'
import type { JudgedJoint } from '../../judge/joint'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec } from '../../parts/slots'
import { isMeasured, told, type Size } from '../../quantity/size'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn, type JointKind } from '../kind'
import { bestTool, predictive, slices, withSizes } from './readings'
import { unsure, weightOf } from './unsure'

/** What is to be gained for one joint by readings that only together tell: all that it lacks, or one of the sizes it is in doubt about. */
export interface Stake {
  joint: string
  needs: SizeRef[]
  /** Expected fall of what is unsure about its verdict once all of them are read, weighted by what a wrong buy costs. */
  worth: number
  /** It waits for more than readings: somebody has to say how a part is made. */
  waits?: true
}

/** A reading that is expected to change no verdict by this much is not worth asking for. [ours] */
export const WORTH_READING = 0.002
/** Equally likely readings a single size is tried at, and ways that several together are. [ours] */
const READINGS = 5
const TOGETHER = 8
/** Each size goes through its readings in an order of its own: odd steps meet all of eight. */
const STEPS = [1, 3, 5, 7] as const

/** What there is to be gained, joint by joint, so that whoever asks can do something else in between, or stop. */
export function* stakes(build: Build, tools: readonly Tool[], remember: Remember = computed): Generator<Stake[]> {
  const held = tools.join()
  for (const kind of JOINT_KINDS) yield remember(`${kind.id} ${held}`, build, (b, from) => stakesAt(b, from, kind, tools))
}

function stakesAt(build: Build, from: From, kind: JointKind, tools: readonly Tool[]): Stake[] {
  if (!counts(kind, build)) return []
  const joint = kind.find(build)
  // No reading settles what hangs on a hole that is still to be made.
  if (joint.unmade.length) return []
  const weight = weightOf(build, kind, joint)
  if (weight * unsure(joint) < WORTH_READING) return []
  const found = joint.missing.length ? lacking(build, from, kind, joint, tools) : doubtful(build, from, kind, joint, tools)
  return found.map((s) => ({ ...s, worth: weight * s.worth, ...(joint.untold.length ? { waits: true as const } : {}) }))
}

/** Is it a joint of this build, and of parts that something takes? Others are read for nothing. */
const counts = (kind: JointKind, build: Build): boolean => existsIn(kind, build) && kind.needs.every((slot) => takenPart(build, slot))

/** A joint that lacks sizes: nothing is told before the last of them is read. */
function lacking(build: Build, from: From, kind: JointKind, joint: JudgedJoint, tools: readonly Tool[]): Stake[] {
  const needs = needsOf(from, build, kind, joint)
  if (!needs.every((ref) => bestTool(ref, tools) && !idleFor(build.parts, ref.slot))) return []
  const each = needs.map((ref, i) => ({ ref, reading: readingsOf(build, ref, tools, TOGETHER), step: STEPS[i % STEPS.length]!, first: i }))
  let left = 0
  for (let k = 0; k < TOGETHER; k++) {
    const read = each.map(({ ref, reading, step, first }) => [ref, reading((k * step + first) % TOGETHER)] as const)
    left += unsure(kind.find(from((b) => withSizes(b, read))))
  }
  return [{ joint: joint.id, needs, worth: Math.max(0, unsure(joint) - left / TOGETHER) }]
}

/** Of what it lacks, what is asked for whatever a trait turns out to be that nobody has told: the rest may be read for nothing. */
function needsOf(from: From, build: Build, kind: JointKind, joint: JudgedJoint): SizeRef[] {
  const answers = joint.untold.flatMap((ref) =>
    optionsOf(ref).map((option) => from((b) => applyChange(b, setTrait(b, ref.slot, ref.trait, option)))),
  )
  const asked = answers.map((b) => new Set(counts(kind, b) ? kind.find(b).missing.map(keyOf) : []))
  return joint.missing.filter((r) => build.parts[r.slot] && asked.every((keys) => keys.has(keyOf(r))))
}

const optionsOf = ({ slot, trait }: TraitRef) => KINDS[slotSpec(slot).kind].traits[trait]!.options.map(([option]) => option)

/** A joint whose sizes are all known but not well enough: each may be what it hangs on. */
function doubtful(build: Build, from: From, kind: JointKind, joint: JudgedJoint, tools: readonly Tool[]): Stake[] {
  return joint.reads.flatMap((ref): Stake[] => {
    const best = idleFor(build.parts, ref.slot) ? undefined : bestTool(ref, tools)
    const now = believedAt(build, ref)
    if (!best || !now || (isMeasured(now.known) && now.doubt <= best.doubt(now.value) + 1e-9)) return []
    const reading = readingsOf(build, ref, tools, READINGS)
    const before = unsure(joint)
    const after = (k: number) => {
      const then = from((b) => withSizes(b, [[ref, reading(k)]]))
      return unsure({ checks: checksOnce(joint, then, ref) ?? kind.find(then).checks })
    }
    // Where neither the least nor the greatest reading changes anything, none between them does.
    const ends = [after(0), after(READINGS - 1)] as const
    if (ends.every((u) => Math.abs(u - before) < WORTH_READING / 5)) return []
    let left = ends[0] + ends[1]
    for (let k = 1; k < READINGS - 1; k++) left += after(k)
    return [{ joint: joint.id, needs: [ref], worth: before - left / READINGS }]
  })
}

/** So many equally likely readings of a size. */
function readingsOf(build: Build, ref: SizeRef, tools: readonly Tool[], count: number): (k: number) => Size {
  const spec = specAt(ref)
  const best = bestTool(ref, tools)!
  const known = told(believedAt(build, ref))
  const values = slices(predictive(known, spec, KINDS[slotSpec(ref.slot).kind].trade === 'wood'), count).map((v) =>
    Math.min(spec.max, Math.max(spec.min, v)),
  )
  return (k) => ({ value: values[k]!, doubt: best.doubt(values[k]!), known: best.tool })
}
