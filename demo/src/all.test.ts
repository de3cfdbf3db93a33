import { drawJoint, evaluate, JOINT_KINDS, existsIn, type Verdict } from '@snug/core'
import { checkedItem, problemsOfBuild } from '@snug/contract'
import { describe, expect, it } from 'vitest'
import { demoStock, dunlin, heron, plover } from './index'

const TODAY = '2026-11-24'
const BUILDS = [heron(TODAY, '2027-02-15', '2026-12-05'), plover(TODAY, '2027-02-15'), dunlin(TODAY, '2027-02-15', '2026-12-13')]

describe('the three loan guitars', () => {
  it.each(BUILDS.map((b) => [b.name, b] as const))('%s: passes every check and every station computes', (_, build) => {
    expect(problemsOfBuild(build)).toEqual([])
    const e = evaluate(build, TODAY)
    expect(e.wire.ok).toBe(true)
    expect(e.plan.steps.length).toBeGreaterThan(10)
    for (const j of e.fit) {
      expect(j.says.length, j.id).toBeGreaterThan(5)
      expect(drawJoint(build, j.id)!.marks.length, j.id).toBeGreaterThan(0)
      for (const c of j.checks)
        expect(
          Object.values(c.raw.chances).reduce((a, b) => a + b, 0),
          `${j.id}/${c.id}`,
        ).toBeCloseTo(1, 6)
    }
  })
  it.each(BUILDS.map((b) => [b.name, b] as const))('%s: every cure that can be planned may be stored', (_, build) => {
    for (const j of evaluate(build, TODAY).fit)
      for (const cure of j.cures.filter((c) => c.plan)) {
        const planned = { ...build, jobs: { [`${j.id}/${cure.id}`]: { ...cure.plan!, text: cure.job } } }
        expect(problemsOfBuild(planned), `${j.id}: ${cure.job}`).toEqual([])
      }
  })
  it('stash and offers pass every check', () => expect(demoStock().flatMap((item, i) => checkedItem(item, i).problems)).toEqual([]))
  it('between them every kind of joint occurs', () => {
    const absent = JOINT_KINDS.filter((k) => !BUILDS.some((b) => existsIn(k, b)))
    // None of the three has a small guard beside its pickups, its controls on a plate, or frets that somebody doubted and read.
    expect(absent.map((k) => k.id)).toEqual(['guard-beside', 'plate-cover', 'fret-places'])
  })
  it('and every verdict', () => {
    const seen = new Set<Verdict>(BUILDS.flatMap((b) => evaluate(b, TODAY).fit.map((j) => j.verdict)))
    expect([...seen].toSorted()).toEqual(['cant-tell', 'loose', 'snug', 'tight', 'wont-go'])
  })
})
