import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { evaluate } from '../evaluate/evaluate'
import { holeCards } from '../drill/holes'
import { findJoints } from '../fit/findJoints'
import { valueAt } from '../document/read'
import { anyBuild, knownBuild } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'

const TODAY = '2026-11-24'
const drawn = fc.oneof(anyBuild, knownBuild).chain((b) => fc.constantFrom(b, drillable(b)))
const keyOf = (a: { slot: string; size: string }) => `${a.slot}/${a.size}`

/** A hole that is too small is found by Dry fit and by Drill. */
describe('one hole', () => {
  it('is opened to one size, whichever station says so', () => {
    let met = 0
    holds(
      fc.property(drawn, (build) => {
        // Where a plate's screws stand against a cup's bore, Dry fit does not ask for it.
        const opened = holeCards(build).filter(
          (c) => c.work === 'ream' && c.alters?.length === 1 && !c.guards.some((g) => g.id === 'plate' && g.verdict !== 'snug'),
        )
        if (!opened.length) return
        const joints = findJoints(build)
        for (const card of opened) {
          const [ref] = card.alters!
          const now = valueAt(build, ref!)
          // Two pots in holes of one size: the thicker decides.
          const wanted = joints.flatMap((joint) =>
            joint.cures.flatMap(({ plan }) => (plan && !plan.also && keyOf(plan) === keyOf(ref!) ? [now! + plan.delta] : [])),
          )
          if (now === undefined || !wanted.length) continue
          // A bit is one that is sold, half a tenth beside what is aimed at.
          expect(Math.abs(Math.max(...wanted) - card.bit!), `${wanted.join()} and ${card.says}`).toBeLessThan(0.06)
          met++
        }
      }),
      1500,
    )
    expect(met).toBeGreaterThan(5)
  })
  it('stands once in the plan', () => {
    holds(
      fc.property(drawn, (build) => {
        const { plan, drill, fit } = evaluate(build, TODAY)
        const bored = new Set(plan.steps.filter((s) => s.station === 'drill').flatMap((s) => s.insteadOf ?? []))
        expect(plan.steps.filter((s) => bored.has(s.id)).map((s) => s.title)).toEqual([])
        // Nor is it to be done before itself.
        for (const step of plan.steps.filter((s) => s.insteadOf?.length)) {
          const card = drill.find((c) => c.id === step.thing)!
          const cures = fit.filter((j) => step.insteadOf!.includes(`cure-${j.id}`)).map((j) => j.cures[0]!.job.replace(/\.$/, ''))
          for (const cure of cures) expect(card.first, card.id).not.toContain(cure)
        }
      }),
      200,
    )
  })
  it('a jack’s bore of 9.2 for a thread of 9.5: one step, to 9.8, and its plate’s screws wait for it', () => {
    const small = changed(fullBuild(), { 'body/jack.bore': 9.2, 'jack/bore': 9.5 })
    const cure = findJoints(small).find((j) => j.id === 'jack')!.cures[0]!
    expect(cure.job).toBe('Ream the jack bore to 9.8 mm.')
    expect(holeCards(small).find((c) => c.id === 'jack-bore')).toMatchObject({ work: 'ream', size: '9.8' })
    const about = evaluate(small, TODAY).plan.steps.filter((s) => /jack bore/i.test(s.title))
    expect(about.map((s) => s.id)).toEqual(['drill-jack-bore'])
  })
  it('pots of two bushings, 6.4 and 9.4, in holes of 6.6: opened for the thicker, and not before both are known', () => {
    const two = changed(fullBuild(), { 'guard/pot.hole': 6.6, 'pot-volume/bushing.diameter': 6.4, 'pot-tone/bushing.diameter': 9.4 })
    expect(holeCards(two).find((c) => c.id === 'pot-holes')).toMatchObject({ work: 'ream', size: '9.6' })
    const { 'bushing.diameter': _, ...rest } = two.parts['pot-tone']!.sizes
    const untold = { ...two, parts: { ...two.parts, 'pot-tone': { ...two.parts['pot-tone']!, sizes: rest } } }
    expect(holeCards(untold).find((c) => c.id === 'pot-holes')).toMatchObject({ stands: 'waiting' })
  })
  it('wide under a plate it is as it should be; none is made, nor one filled, while the plate and what holds the jack are at odds', () => {
    const wide = changed(fullBuild(), { 'body/jack.bore': 24, 'jack/bore': 9.5 })
    const plate = {
      ...wide,
      parts: {
        ...wide.parts,
        'jack-plate': { kind: 'jack-plate' as const, name: 'plate', state: 'in hand' as const, sizes: {}, traits: {} },
      },
    }
    expect(holeCards(wide).find((c) => c.id === 'jack-bore')).toMatchObject({ work: 'plug' })
    for (const held of ['plate', 'thread'])
      expect(holeCards(changed(plate, {}, { 'jack/held': held })).find((c) => c.id === 'jack-bore')).toBeUndefined()
    const unbored = (held: string) =>
      holeCards(changed(plate, { 'body/jack.bore': undefined }, { 'jack/held': held, 'body/bored.jack': 'none' })).find(
        (c) => c.id === 'jack-bore',
      )!
    expect(unbored('thread')).toMatchObject({ stands: 'refused', steps: [] })
    expect(unbored('thread').says).toContain('Say of the jack that the plate holds it, or take the plate out')
    expect(unbored('plate').guards.some((g) => g.id === 'odds')).toBe(false)
  })
})
