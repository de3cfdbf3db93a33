import { describe, expect, it } from 'vitest'
import type { Repair } from '../../document/build'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import { benchTests, HEARD } from './benchTests'
import { hunt } from './hunt'
import { cabinetOf, suspects } from './rank'
import { repairSays, weighBy } from './repairs'
import { evidenceOf, symptomsOf } from './symptoms'

const build = wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' })
const made = harnessOf(build)
if (!made.ok) throw new Error('no harness')
const { harness } = made
const all = symptomsOf(harness)

describe('what people say is wrong', () => {
  it('names each complaint once', () => expect(new Set(all.map((s) => s.id)).size).toBe(all.length))
  it('what stands for a test is a test of this harness, and an outcome it can have', () => {
    const tests = new Map(benchTests(harness).map((t) => [t.id, t]))
    for (const { id, shows } of all) {
      if (!shows) continue
      const t = tests.get(shows.test)
      expect(t, id).toBeDefined()
      expect(t!.kind === 'ohms' ? [] : HEARD[t!.kind], id).toContain(shows.outcome)
    }
  })
  it('every complaint either shows something or says what to do first', () => {
    for (const s of all) expect(Boolean(s.shows) || Boolean(s.first), s.id).toBe(true)
  })
  it('a test that was really done counts for more than what was said', () => {
    const said = { 'dead 1': '2026-11-26' }
    expect(evidenceOf(harness, said, [])).toEqual([{ test: 'strum 1', outcome: 'dead' }])
    const found = [{ test: 'strum 1', outcome: 'as it should' }]
    expect(evidenceOf(harness, said, found)).toEqual(found)
  })
  it('hum that grows on touching puts tip and sleeve among the first three', () => {
    const told = { ...build, circuit: { ...build.circuit, complaints: { 'touch rises': '2026-11-26' } } }
    const first = hunt(told, [])!.suspects.slice(0, 3)
    expect(first.map((s) => s.says).join()).toMatch(/Tip and sleeve are in each other/)
    expect(
      hunt(build, [])!
        .suspects.slice(0, 3)
        .map((s) => s.says)
        .join(),
    ).not.toMatch(/Tip and sleeve are/)
  })
})

describe('repairs as evidence', () => {
  const cabinet = cabinetOf(harness)
  const evidence = [{ test: 'strum 5', outcome: 'dead' }]
  const wire = harness.wires.find((w) => w.from === 'neck.finish')!
  const chance = (repairs: Repair[]) =>
    suspects(cabinet, evidence, weighBy(repairs)).find((s) => s.fault?.id === `open ${[wire.from, wire.to].toSorted().join(' ')}`)
      ?.chance ?? 0
  const repair = (then: Repair['then'], kept = true): Repair => ({
    on: '2026-11-26',
    what: 'Resoldered the neck’s hot lead',
    lugs: [wire.from, wire.to],
    then,
    kept,
  })
  it('a joint that was resoldered and kept without a change is hardly the cause', () =>
    expect(chance([repair('same')])).toBeLessThan(chance([]) / 2))
  it('a joint that was worked on and put back weighs more', () => expect(chance([repair('same', false)])).toBeGreaterThan(chance([])))
  it('after something got worse its joints come first', () => expect(chance([repair('worse')])).toBeGreaterThan(chance([repair('better')])))
  it('says to put back what made it worse, and to measure again otherwise', () => {
    expect(repairSays([])).toBeUndefined()
    expect(repairSays([repair('worse')])).toMatch(/Put it back/)
    expect(repairSays([repair('gone')])).toMatch(/check again/)
    expect(repairSays([repair('same')])).toMatch(/take them again/)
  })
})
