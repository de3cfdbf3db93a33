import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { aBuild } from '../testing/bench'
import { fullBuild } from '../testing/fullBuild'
import { atPace, paces } from './pace'
import { step, type Step } from './step'

const a = (id: string, minutes: number, more: Partial<Step> = {}): Step =>
  step({ id, title: id, why: '', station: 'plan', stage: 'wood', minutes, ...more })
const done = (times: Record<string, [took: number, planned: number]>): Build => ({
  ...aBuild({}),
  steps: Object.fromEntries(Object.entries(times).map(([id, [took, planned]]) => [id, { done: '2026-11-24T20:00:00Z', took, planned }])),
})

describe('own pace', () => {
  const steps = [a('one', 30), a('two', 60), a('three', 30), a('open', 40, { times: [20, 90] }), a('wires', 50, { stage: 'wiring' })]
  it('one slow step is not yet a habit: 60 of 30 minutes, beside two usual ones, makes a third more', () => {
    // (60 + 2*30) / (30 + 2*30) = 4/3
    expect(paces(done({ one: [60, 30] }), steps)).toEqual([{ stage: 'wood', ratio: 4 / 3, steps: 1, sure: false }])
    const open = atPace(done({ one: [60, 30] }), steps).find((s) => s.id === 'open')!
    expect([open.minutes, open.usual]).toEqual([53, 40])
    expect(open.times![1]).toBeCloseTo(120, 9)
  })
  it('three of them are: (180 + 2*40) / (120 + 2*40) = 1.3', () => {
    const [pace] = paces(done({ one: [45, 30], two: [90, 60], three: [45, 30] }), steps)
    expect(pace).toEqual({ stage: 'wood', ratio: 1.3, steps: 3, sure: true })
  })
  it('another kind of work keeps its minutes, and so does what is done', () => {
    const paced = atPace(done({ one: [60, 30] }), steps)
    expect(paced.find((s) => s.id === 'wires')).toBe(steps[4])
    expect(paced.find((s) => s.id === 'one')!.minutes).toBe(30)
    expect(atPace(done({}), steps)).toBe(steps)
  })
  it('who takes longer ends later, and it is planned so', () => {
    const b = fullBuild()
    const all = evaluate(b, '2026-11-24').plan
    const [first, ...others] = all.steps.filter((s) => s.stage === 'wood')
    const slow = { ...b, steps: { [first!.id]: { done: '2026-11-24T20:00:00Z', took: 4 * first!.minutes, planned: first!.minutes } } }
    const paced = evaluate(slow, '2026-11-24').plan.steps.find((s) => s.id === others[0]!.id)!
    // (4 + 2) / (1 + 2) = 2
    expect(paced.minutes).toBe(2 * others[0]!.minutes)
  })
})
