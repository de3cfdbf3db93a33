import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { judgeJoints } from '../../fit/findJoints'
import { measureNext } from '../../fit/measure/measureNext'
import { bodyOutline } from '../../instrument/bodyShape'
import { controlPlace } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { partProblems } from '../check'
import { KINDS } from '../kinds/index'
import { START_IDS, STARTING_SETS, type StartId } from './sets'

/** Saddles that each have a height of their own follow any radius. */
const SETTLED_BY_KIND = 'radii/radius'
const TODAY = '2026-11-24'
const begun = (start: StartId, handedness: Build['handedness'] = 'right'): Build => {
  const { strings, scale } = STARTING_SETS[start]
  return newBuild({ name: 'New', handedness, strings, scale, start }, TODAY)
}

describe.each(START_IDS.map((id) => [id] as const))('a build begun with %s', (id) => {
  const build = () => begun(id)
  it('has parts such as may be stored, every size of them a guess, every trait one there is', () => {
    for (const [slot, part] of Object.entries(build().parts)) {
      expect(partProblems(part), slot).toEqual([])
      for (const [size, s] of Object.entries(part.sizes)) expect(s.known, `${slot}/${size}`).toBe('assumed')
      for (const [trait, told] of Object.entries(part.traits))
        expect(
          KINDS[part.kind].traits[trait]!.options.map(([value]) => value),
          `${slot}.${trait}`,
        ).toContain(told)
    }
  })
  it('has its joints at once, and is sure of none that hangs on a size', () => {
    const joints = judgeJoints(build())
    expect(joints.length).toBeGreaterThan(20)
    for (const joint of joints)
      for (const check of joint.checks.filter((c) => c.reads.length && `${joint.id}/${c.id}` !== SETTLED_BY_KIND))
        expect(check.raw.verdict, `${joint.id}/${check.id}: ${check.says}`).toBe('cant-tell')
  })
  it('every station has something to show, and none fails', () => {
    const e = evaluate(build(), TODAY)
    expect(e.failed).toEqual({})
    expect(e.plan.steps.length).toBeGreaterThan(5)
    expect(e.drill.length).toBeGreaterThan(0)
    // A hole cannot be taken back: none is drilled by a guess.
    for (const card of e.drill) expect([card.stands, card.missing.length + card.untold.length > 0], card.id).toEqual(['waiting', true])
  })
  it('is drawn with its bridge and its knobs on its body', () => {
    const b = build()
    const end = Math.max(...bodyOutline(b, datums(b).mouth).map((p) => p.x))
    expect(datums(b).studs).toBeLessThan(end - 30)
    for (const knob of ['volume', 'tone'] as const) expect(controlPlace(b, knob).x, knob).toBeLessThan(end)
  })
  it('says what to measure first, of what it has', () => {
    const ranked = measureNext(build())
    expect(ranked.length).toBeGreaterThan(10)
    for (const { ref } of ranked) expect(build().parts[ref.slot], ref.slot).toBeDefined()
  })
})

describe('what an instrument of a kind has not', () => {
  const sizes = (id: StartId) => Object.keys(begun(id).parts.body!.sizes)
  it('is not among its sizes: no middle route where no middle pickup is, no spring room without a vibrato', () => {
    expect(sizes('bolt-through').filter((s) => /middle|vibrato|spring|claw|tail|studBore/.test(s))).toEqual([])
    expect(sizes('bolt-through')).toContain('ferrule.bore')
    expect(sizes('bolt-guard-vibrato').filter((s) => /tail|ferrule|string\.hole|volume|pot\.hole/.test(s))).toEqual([])
    expect(sizes('bolt-guard-vibrato')).toContain('spring.depth')
    expect(sizes('post-stop')).toContain('tail.bore')
    expect(sizes('semi-hollow')).toContain('rim.thickness')
    expect(sizes('post-stop')).not.toContain('rim.thickness')
  })
})
