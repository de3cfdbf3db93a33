import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { asData } from '../../judge/judgedCheck'
import { parseLength } from '../../quantity/length'
import { KINDS } from '../../parts/kinds/index'
import { SLOT_NAMES, type Slot } from '../../parts/slots'
import { anyBuild } from '../../testing/anyBuild'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { judgeRows } from '../../testing/rows'
import { judgeJoints } from '../findJoints'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn } from '../kind'

describe('strap buttons', () => {
  judgeRows([
    {
      what: 'a screw that bites 11 mm',
      joint: 'strap-buttons',
      check: 'bite',
      verdict: 'tight',
      says: 'The button’s screw bites 11 mm; 14 is wanted, square to the rim.',
      job: 'Take a button screw 4 mm longer.',
      sizes: { 'strap-buttons/screw.length': 17 },
    },
    {
      what: 'a screw that bites 4 mm',
      joint: 'strap-buttons',
      check: 'bite',
      verdict: 'wont-go',
      says: 'The button’s screw bites 3 mm; 14 is wanted, square to the rim.',
      job: 'Take a button screw 12 mm longer.',
      sizes: { 'strap-buttons/screw.length': 10, 'strap-buttons/thickness': 14 },
    },
  ])
})

describe('hands and metals', () => {
  it.each(['neck', 'tuners', 'guard', 'body'] as const)('a left-handed %s in a right-handed build', (slot) => {
    const b = changed(fullBuild(), {}, { [`${slot}/hand`]: 'left' })
    expect(jointIn(b, 'hands').verdict).toBe('wont-go')
    expect(jointIn(b, 'hands').says.toLowerCase()).toContain(slot)
  })
  it('one part of another metal is a soft joint: it works, the eye decides', () => {
    const b = structuredClone(fullBuild())
    b.parts.tuners!.metal = 'gold'
    expect(jointIn(b, 'metals').verdict).toBe('loose')
    expect(jointIn(b, 'metals').says).toMatch(/gold/)
  })
})

/** The build with nothing known of one of its parts. */
const bare = (b: Build, slot: Slot): Build => ({
  ...b,
  parts: { ...b.parts, [slot]: { ...b.parts[slot]!, sizes: {}, traits: {}, outline: [] } },
})

const OTHER: Record<string, string> = { left: 'right', right: 'left' }

describe('laws over every joint', () => {
  it('a mirrored left-handed build has the same joints, bass for bass, but for that of hands', () =>
    void holds(
      fc.property(anyBuild, (build) => {
        const right: Build = { ...build, handedness: 'right' }
        const left: Build = { ...structuredClone(build), handedness: 'left' }
        for (const part of Object.values(left.parts)) if (part?.traits.hand) part.traits.hand = OTHER[part.traits.hand] ?? part.traits.hand
        const of = (b: Build) =>
          judgeJoints(b)
            .filter((j) => j.id !== 'hands')
            .map((j) => [j.id, j.verdict, j.figure, j.says, j.checks.map((c) => c.says), j.cures.map((c) => [c.id, c.job, c.how, c.plan])])
            .toSorted(([a], [c]) => String(a).localeCompare(String(c)))
        expect(of(left)).toEqual(of(right))
      }),
      60,
    ))
  it('with every doubt at zero no joint is left untold and every chance is 0 or 1', () => {
    const sure = structuredClone(fullBuild())
    for (const part of Object.values(sure.parts)) for (const size of Object.values(part?.sizes ?? {})) size.doubt = 0
    const certain = judgeJoints(sure).flatMap((j) =>
      j.checks.filter((c) => !c.hearsay && c.clearance.every((n) => n.sigma === 0)).map((c) => ({ ...asData(c), at: `${j.id}/${c.id}` })),
    )
    expect(certain.length).toBeGreaterThan(40)
    for (const c of certain) {
      expect(c.raw.verdict, c.at).not.toBe('cant-tell')
      for (const p of Object.values(c.raw.chances)) expect(p === 0 || p === 1, c.at).toBe(true)
    }
  })
  it('every doubt ten times as large makes no joint surer of itself', () => {
    const vague = structuredClone(fullBuild())
    for (const part of Object.values(vague.parts)) for (const size of Object.values(part?.sizes ?? {})) size.doubt *= 10
    const sureness = (b: typeof vague) =>
      new Map(judgeJoints(b).flatMap((j) => j.checks.map((c) => [`${j.id}/${c.id}`, Math.max(...Object.values(c.raw.chances))] as const)))
    const [plain, wide] = [sureness(fullBuild()), sureness(vague)]
    for (const [id, p] of wide) expect(p, id).toBeLessThanOrEqual(plain.get(id)! + 1e-9)
  })
  it('sizes that went through inches and back give the same verdicts and figures', () => {
    const inches = structuredClone(fullBuild())
    let through = 0
    // As a person types it, by a calliper that shows inches to a hundred-thousandth of a millimetre.
    const typed = (mm: number) => {
      const read = parseLength(`${(mm / 25.4).toFixed(9)} in`)
      if (!read.ok) throw new Error(read.why)
      return Math.round(read.value * 1e6) / 1e6
    }
    for (const part of Object.values(inches.parts))
      for (const [key, size] of Object.entries(part?.sizes ?? {})) {
        if (KINDS[part!.kind].sizes[key]!.unit !== 'mm') continue
        size.value = typed(size.value)
        size.doubt = typed(size.doubt)
        through++
      }
    expect(through).toBeGreaterThan(100)
    const of = (b: typeof inches) => judgeJoints(b).map((j) => [j.id, j.verdict, j.figure?.text])
    expect(of(inches)).toEqual(of(fullBuild()))
  })
  it('a joint’s verdict depends on no part it does not declare, but for its being there: choosing rests on that', () => {
    const full = fullBuild()
    for (const [k, kind] of JOINT_KINDS.entries()) {
      if (!existsIn(kind, full)) continue
      const declared = new Set<Slot>([...kind.needs, ...(kind.also ?? [])])
      const says = (b: typeof full) => existsIn(kind, b) && kind.find(b).checks.map((c) => [c.id, c.raw.verdict, c.clearance])
      const before = says(full)
      for (const slot of SLOT_NAMES.filter((s) => !declared.has(s) && full.parts[s]))
        expect(says(bare(full, slot)), `kind ${k} (${kind.needs.join('+')}) with nothing known of ${slot}`).toEqual(before)
    }
  })
  it('each joint reads only sizes of slots it names or needs, and says so once', () => {
    let read = 0
    for (const kind of JOINT_KINDS) {
      if (!existsIn(kind, fullBuild())) continue
      const declared = new Set<Slot>([...kind.needs, ...(kind.also ?? [])])
      const joint = kind.find(fullBuild())
      const seen = joint.reads.map((r) => `${r.slot}/${r.size}`)
      expect(new Set(seen).size, joint.id).toBe(seen.length)
      for (const r of joint.reads) expect(declared.has(r.slot), `${joint.id} reads ${r.slot}/${r.size}`).toBe(true)
      read += seen.length
    }
    expect(read).toBeGreaterThan(100)
  })
})
