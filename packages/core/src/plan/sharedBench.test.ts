import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { addDays } from '../quantity/days'
import { aBuild } from '../testing/bench'
import { planResult } from './planResult'
import { before } from './reasons'
import { sharedBench, type OnBench } from './sharedBench'
import { step, type Step } from './step'

const TODAY = '2026-11-24'
const build = (due?: string): Build => ({ ...aBuild({}), evenings: [90, 90, 90, 90, 90, 90, 90], ...(due ? { due } : {}) })
const a = (id: string, minutes: number, more: Partial<Step> = {}): Step =>
  step({ id, title: id, why: '', station: 'plan', stage: 'hardware', minutes, ...more })

describe('three builds on one bench', () => {
  it('the one promised first is worked first; the others are later by what it takes', () => {
    const on: OnBench[] = [
      { id: 'late', build: build(), steps: [a('x', 90)] },
      { id: 'soon', build: build('2026-11-25'), steps: [a('x', 90), a('y', 90)] },
      { id: 'then', build: build('2026-11-30'), steps: [a('x', 90)] },
    ]
    const found = sharedBench(on, TODAY)
    expect(found.map((s) => [s.id, s.ends, s.later, s.late])).toEqual([
      ['late', '2026-11-27', 3, 0],
      ['soon', '2026-11-25', 0, 0],
      ['then', '2026-11-26', 2, 0],
    ])
  })
  it('what dries for one lets the hands go to another', () => {
    const glue = [a('glue', 60, { wait: 3 * 1440 }), a('scrape', 30, { befores: [before('glue', 'setupOrder')] })]
    const found = sharedBench(
      [
        { id: 'one', build: build(), steps: glue },
        { id: 'two', build: build(), steps: [a('sand', 120)] },
      ],
      TODAY,
    )
    expect(found.map((s) => s.later)).toEqual([0, 0])
    expect(found[1]!.ends).toBe('2026-11-25')
  })

  const some = fc.array(
    fc.record({ minutes: fc.integer({ min: 5, max: 200 }), wait: fc.constantFrom(0, 0, 1440), noisy: fc.boolean(), after: fc.nat(7) }),
    { minLength: 1, maxLength: 7 },
  )
  const stepsOf = (drawn: { minutes: number; wait: number; noisy: boolean; after: number }[]) =>
    drawn.map((d, i) =>
      a(`s${i}`, d.minutes, {
        wait: d.wait,
        ...(d.noisy ? { noisy: true as const } : {}),
        befores: d.after < i ? [before(`s${d.after}`, 'setupOrder')] : [],
      }),
    )
  it('one alone is planned as ever; beside others none is done sooner, and no evening is used twice', () =>
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 3 }), (drawn) => {
        const on = drawn.map((d, i): OnBench => ({ id: `b${i}`, build: build(i ? addDays(TODAY, 10 * i) : undefined), steps: stepsOf(d) }))
        const found = sharedBench(on, TODAY)
        for (const [i, b] of on.entries()) {
          const alone = planResult(b.build, b.steps, TODAY)
          if (on.length === 1) expect(found[i]!.plan.steps.map((s) => [s.id, s.date])).toEqual(alone.steps.map((s) => [s.id, s.date]))
          expect(found[i]!.alone).toBe(alone.ends)
          expect(found[i]!.ends! >= alone.ends!).toBe(true)
        }
        const hands = on.flatMap((b) => b.steps).reduce((sum, s) => sum + s.minutes, 0)
        const last = found.reduce((d, s) => (s.ends! > d ? s.ends! : d), TODAY)
        expect((Date.parse(last) - Date.parse(TODAY)) / 86_400_000 + 1).toBeGreaterThanOrEqual(hands / 90)
      }),
    ))
})
