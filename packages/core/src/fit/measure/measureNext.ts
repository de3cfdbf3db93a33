import { TOOLS, type Build, type Tool } from '../../document/build'
import { enteredAt, type SizeRef } from '../../document/read'
import { checksOnce } from '../../judge/assemble'
import type { Check, JudgedJoint } from '../../judge/joint'
import { bandOf, type SizeSpec } from '../../parts/kind'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec, SLOTS, type Slot } from '../../parts/slots'
import { ofSize, orAnotherPattern, probabilityBetween, type Distribution } from '../../quantity/distribution'
import { electricalDoubt, isMeasured, lengthDoubt, type Known, type Size } from '../../quantity/size'
import { JOINT_KINDS } from '../findJoints'
import { existsIn, type JointKind } from '../kind'
import { OTHER_PATTERN } from '../guard/guardOpenings'

/** Worth of measuring one size. */
export interface MeasureRank {
  ref: SizeRef
  /** Expected fall of what is not known about all verdicts, weighted by what a wrong buy costs. */
  gain: number
  /** Minutes it takes with the tool. [ours] */
  minutes: number
  tool: Known
  /** Joints it has a say in. */
  joints: string[]
}

/** Minutes one reading takes. [ours] */
const MINUTES: Record<Tool, number> = { calipers: 1.5, rule: 1.5, template: 6, tape: 2, meter: 2, scale: 1 }

/** Nodes the predicted readings are taken at: the middles of this many equally likely slices. */
const SLICES = 9

/** The tool on hand that would read this size best; nothing when none can. */
function bestTool(ref: SizeRef, tools: readonly Tool[]): { tool: Tool; doubt: (value: number) => number } | undefined {
  const kind = KINDS[slotSpec(ref.slot).kind]
  const unit = kind.sizes[ref.size]?.unit
  const can = (t: Tool) => tools.includes(t)
  if (unit === 'ohm' || unit === 'farad') return can('meter') ? { tool: 'meter', doubt: (v) => electricalDoubt('meter', v) } : undefined
  if (unit === 'g') return can('scale') ? { tool: 'scale', doubt: () => 2 } : undefined
  if (unit === 'deg') return can('rule') ? { tool: 'rule', doubt: () => 0.1 } : undefined
  if (unit !== 'mm') return undefined
  const lengths = TOOLS.filter((t) => t !== 'meter' && t !== 'scale' && can(t))
  const [tool] = lengths.toSorted((a, b) => lengthDoubt(a, kind.trade) - lengthDoubt(b, kind.trade))
  return tool && { tool, doubt: () => lengthDoubt(tool, kind.trade) }
}

/** How unsure a joint's verdict is: what its likeliest class leaves over, the worst of its checks. */
export const unsure = ({ checks }: { checks: readonly Check[] }): number => checks.reduce((worst, c) => Math.max(worst, unsureOf(c)), 0)

/** A check that lacks sizes is open, and a little less so with each that is found; the last one settles it. */
function unsureOf(c: Check): number {
  if (c.unknown.length || c.untold.length) return 1 - LAST / (c.unknown.length + c.untold.length)
  return 1 - Math.max(...Object.values(c.raw.chances)) + (c.hearsay ? HEARSAY : 0)
}
/** What stays open of a check while one size of it is missing, and of a pattern known only from listings. [ours] */
const LAST = 0.2
const HEARSAY = 0.3

/** What a wrong buy of the parts in a joint costs, as a weight: one, and one more for every 40 not yet in hand. [ours] */
function weightOf(build: Build, joint: JudgedJoint): number {
  const open = joint.slots.reduce((sum, slot) => {
    const part = build.parts[slot]
    return sum + (part && part.state !== 'in hand' ? (part.price ?? 0) : 0)
  }, 0)
  return 1 + open / 40
}

/** What a reading of the size may turn out to be: as known now, a wrong pattern included for what is only listed. */
function predictive(size: Size | undefined, spec: SizeSpec, wood: boolean): Distribution {
  const { low, high } = bandOf(spec)
  if (!size) return [{ weight: 1, mean: spec.usual ?? (low + high) / 2, sigma: (high - low) / 8 }]
  const d = ofSize(size)
  return size.known === 'listed' && wood ? orAnotherPattern(d, OTHER_PATTERN.q, OTHER_PATTERN.wide) : d
}

/** Halves the range to less than a billionth of it. */
const HALVINGS = 30

/** Values at the middles of equally likely slices of a mixture, by bisection on its distribution function. */
export function slices(d: Distribution, count: number): number[] {
  const low = Math.min(...d.map((n) => n.mean - 6 * n.sigma - 1e-9))
  const high = Math.max(...d.map((n) => n.mean + 6 * n.sigma + 1e-9))
  return Array.from({ length: count }, (_, i) => {
    const goal = (i + 0.5) / count
    let a = low
    let b = high
    for (let k = 0; k < HALVINGS; k++) {
      const m = (a + b) / 2
      if (probabilityBetween(d, -Infinity, m) < goal) a = m
      else b = m
    }
    return (a + b) / 2
  })
}

const withSize = (build: Build, ref: SizeRef, size: Size): Build => {
  const part = build.parts[ref.slot]!
  return { ...build, parts: { ...build.parts, [ref.slot]: { ...part, sizes: { ...part.sizes, [ref.size]: size } } } }
}

interface Reader {
  kind: JointKind
  joint: JudgedJoint
}

/** Which joints read each size, missing ones included. */
function readers(build: Build): Map<string, Reader[]> {
  const by = new Map<string, Reader[]>()
  for (const kind of JOINT_KINDS) {
    if (!existsIn(kind, build)) continue
    const joint = kind.find(build)
    for (const ref of [...joint.reads, ...joint.missing]) {
      const key = `${ref.slot}/${ref.size}`
      if (!build.parts[ref.slot] || by.get(key)?.some((r) => r.joint.id === joint.id)) continue
      by.set(key, [...(by.get(key) ?? []), { kind, joint }])
    }
  }
  return by
}

/** Total of what is not known, weighted. */
export function doubtOfBuild(build: Build): number {
  return JOINT_KINDS.filter((k) => existsIn(k, build))
    .map((k) => k.find(build))
    .reduce((s, j) => s + weightOf(build, j) * unsure(j), 0)
}

/** Tools most people have. */
const USUAL_TOOLS: readonly Tool[] = ['calipers', 'rule', 'meter', 'scale']

/**
 * Sizes worth measuring, best first: for each size not yet measured as well as the tools on hand can, the expected fall of what is
 * unsure about the verdicts it has a say in, over the readings it may give (pre-posterior analysis). [published method: Raiffa &
 * Schlaifer, from memory]
 * @param tools on hand
 */
export const measureNext = (build: Build, tools: readonly Tool[] = USUAL_TOOLS): MeasureRank[] =>
  bestFirst(build, [...rankSizes(build, tools)])

/** The same one size at a time, so that whoever asks can do something else between two sizes, or stop. */
export function* rankSizes(build: Build, tools: readonly Tool[] = USUAL_TOOLS): Generator<MeasureRank> {
  for (const [key, every] of readers(build)) {
    // What is sure already can only stay so: a reading cannot settle it further.
    const all = every.filter((r) => weightOf(build, r.joint) * unsure(r.joint) >= SETTLED)
    if (!all.length) continue
    const [slot, size] = [key.slice(0, key.indexOf('/')) as Slot, key.slice(key.indexOf('/') + 1)]
    const ref: SizeRef = { slot, size }
    const kind = KINDS[slotSpec(slot).kind]
    const spec = kind.sizes[size]
    const best = bestTool(ref, tools)
    const now = enteredAt(build, ref)
    if (!spec || !best || (now && isMeasured(now.known) && now.doubt <= best.doubt(now.value) + 1e-9)) continue
    const before = all.reduce((s, r) => s + weightOf(build, r.joint) * unsure(r.joint), 0)
    const values = slices(predictive(now, spec, kind.trade === 'wood'), SLICES).map((v) => Math.min(spec.max, Math.max(spec.min, v)))
    const after =
      values.reduce((sum, value) => {
        const told = withSize(build, ref, { value, doubt: best.doubt(value), known: best.tool })
        return (
          sum +
          all.reduce(
            (s, r) => s + weightOf(build, r.joint) * unsure({ checks: checksOnce(r.joint, told, ref) ?? r.kind.find(told).checks }),
            0,
          )
        )
      }, 0) / values.length
    yield { ref, gain: before - after, minutes: MINUTES[best.tool], tool: best.tool, joints: all.map((r) => r.joint.id) }
  }
}

/** Less than this of a joint left open is none. [ours] */
const SETTLED = 1e-4

/** Ranks what `rankSizes` gave, and leaves out what tells nothing. */
export function bestFirst(build: Build, sizes: readonly MeasureRank[]): MeasureRank[] {
  // A joint with several sizes missing moves only when the last is known: among those, what the kinds ask first goes first.
  const order = (r: MeasureRank) => SLOTS.findIndex((s) => s.slot === r.ref.slot)
  return sizes
    .filter((r) => r.gain > 1e-6 || !enteredAt(build, r.ref))
    .toSorted((a, b) => (Math.abs(b.gain - a.gain) > 1e-9 ? b.gain - a.gain : order(a) - order(b)))
}
