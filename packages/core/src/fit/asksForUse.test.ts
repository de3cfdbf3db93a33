import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { specAt, type SizeRef } from '../document/read'
import type { JudgedJoint } from '../judge/joint'
import type { Size } from '../quantity/size'
import { KINDS } from '../parts/kinds/index'
import { slotSpec } from '../parts/slots'
import { aBass } from '../testing/aBass'
import { everyTrait, untold } from '../testing/anyBuild'
import { jointIn } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { onAPlate } from '../testing/onAPlate'
import { aTwelve } from '../testing/otherMakes'
import { judgeJoints } from './findJoints'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

const read = (build: Build, { slot, size }: SizeRef, value: number): Build => {
  const part = build.parts[slot]!
  const told: Size = { value, doubt: 0.05, known: 'calipers' }
  return { ...build, parts: { ...build.parts, [slot]: { ...part, sizes: { ...part.sizes, [size]: told } } } }
}

const said = (joint: JudgedJoint | undefined) =>
  JSON.stringify(joint?.checks.map((c) => [c.id, c.clearance, c.raw.verdict, c.coated, c.says, c.cures.map((cure) => cure.job)]))

/** Does anything the joint says hang on this size, be it a little more or less, or as far out as such sizes go? */
function moves(build: Build, id: string, ref: SizeRef): boolean {
  const { min, max, usual } = specAt(ref)
  const now = build.parts[ref.slot]?.sizes[ref.size]?.value ?? usual ?? (min + max) / 2
  const before = said(jointIn(read(build, ref, now), id))
  const kind = JOINT_KINDS.find((k) => k.id === id)!
  const others = [now * 1.05, now * 0.95, min, max, now * 2, now / 2, now + 1].filter((v) => v >= min && v <= max && v !== now)
  return others.map((v) => read(build, ref, v)).some((other) => said(existsIn(kind, other) ? kind.find(other) : undefined) !== before)
}

/** What weighs in a choice among others, and on these builds never tips it. */
const WEIGHED = [
  // Where a guard lies best hangs on all of its openings.
  /^guard-(openings|cover) /,
  // The string that is worst off speaks for the set.
  /^string-reach strings\/gauge\./,
  // Of all knobs the two nearest.
  /^control-reach (body|pot)\W?\S*volume-2/,
]

/** One string lies a little too flat behind the nut: whether it is wound further down hangs on its own thickness. */
function justFlat(build: Build, n: number): Build {
  const b = changed(without(build, 'string-tree'), { 'neck/head.angle': 6 })
  for (let height = 5; height < 40; height += 0.1) {
    const higher = changed(b, { [`tuners/post.height.${n}`]: height })
    if (jointIn(higher, 'nut-break').verdict !== 'snug') return changed(b, { [`tuners/post.height.${n}`]: height + 0.7 })
  }
  throw new Error(`String ${n} never lies too flat.`)
}

describe('a joint asks for nothing that moves nothing', () => {
  it('each size it reads changes what it says, on one build or another', { timeout: 300_000 }, () => {
    const idle = new Set<string>()
    const used = new Set<string>()
    const flat = [...[1, 4].map((n) => justFlat(fullBuild(), n)), ...[9, 10].map((n) => justFlat(aTwelve(), n))]
    for (const build of [fullBuild(), aBass(), aTwelve(), onAPlate(), ...flat])
      for (const joint of judgeJoints(build))
        for (const ref of joint.reads) {
          const key = `${joint.id} ${ref.slot}/${ref.size}`
          if (used.has(key) || !moves(build, joint.id, ref)) idle.add(key)
          else used.add(key)
        }
    expect(used.size).toBeGreaterThan(250)
    expect([...idle].filter((key) => !used.has(key) && !WEIGHED.some((pattern) => pattern.test(key)))).toEqual([])
  })
  it('each trait it asks for does, on one build or another', { timeout: 300_000 }, () => {
    const idle = new Set<string>()
    const used = new Set<string>()
    for (const build of [fullBuild(), aBass(), aTwelve(), onAPlate()])
      for (const [slot, trait] of everyTrait(build)) {
        const as = (option: string) => {
          const part = build.parts[slot]!
          return { ...build, parts: { ...build.parts, [slot]: { ...part, traits: { ...part.traits, [trait]: option } } } }
        }
        const less = untold(build, 'traits', slot, trait)
        // No other looks into the part.
        for (const kind of JOINT_KINDS.filter((k) => (k.needs.includes(slot) || k.also?.includes(slot)) && existsIn(k, less))) {
          const key = `${kind.id} ${slot}/${trait}`
          if (used.has(key) || !kind.find(less).untold.some((t) => t.slot === slot && t.trait === trait)) continue
          const options = KINDS[slotSpec(slot).kind].traits[trait]!.options.map(([option]) => as(option))
          const answers = new Set(options.map((b) => said(existsIn(kind, b) ? kind.find(b) : undefined)))
          if (answers.size > 1) used.add(key)
          else idle.add(key)
        }
      }
    expect(used.size).toBeGreaterThan(40)
    expect([...idle].filter((key) => !used.has(key))).toEqual([])
  })
})
