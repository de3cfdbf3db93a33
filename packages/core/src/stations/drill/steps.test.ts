import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { USUAL_BENCH } from '../../drill/bench'
import { holeCards } from '../../drill/holes'
import { evaluate } from '../../evaluate/evaluate'
import { anyBuild } from '../../testing/anyBuild'
import { drillable } from '../../testing/drillable'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { drillSteps } from './steps'

describe('a hole that is refused', () => {
  it('stands in the plan as what has to be put right, each once, and is not drilled', () =>
    void holds(
      fc.property(anyBuild.map(drillable), (build) => {
        const cards = holeCards(build, USUAL_BENCH)
        const ids = drillSteps(build, cards, []).map((s) => s.id)
        for (const c of cards.filter((x) => x.work !== 'keep')) {
          const refused = c.stands === 'refused'
          expect([ids.filter((i) => i === `settle-${c.id}`).length, ids.filter((i) => i === `drill-${c.id}`).length], c.id).toEqual(
            refused ? [1, 0] : [0, 1],
          )
        }
      }),
      300,
    ))
  it('comes before the trial build and before the wood is sanded', () => {
    // A screw of 20 mm through a plate of 1.5 into a head of 14 would come out of its face.
    const build = changed(drillable(fullBuild()), { 'tuners/screw.length': 20 })
    const { steps } = evaluate(build, '2026-11-28').plan
    const settle = steps.find((s) => s.id === 'settle-tuner-screws')!
    expect(settle.title).toBe('Put right first: tuner screws')
    expect(settle.why).toContain('too long')
    const befores = (id: string) => steps.find((s) => s.id === id)!.befores.map((b) => b.id)
    expect(befores('sand')).toContain(settle.id)
    expect(steps.findIndex((s) => s.id === settle.id)).toBeLessThan(steps.findIndex((s) => s.id === 'trial-build'))
  })
})
