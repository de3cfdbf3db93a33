import { describe, expect, it } from 'vitest'
import { applyChange } from '../document/change'
import type { Build } from '../document/build'
import { aBuild } from '../testing/bench'
import { addDays } from '../quantity/days'
import { decisionsOf, setDecision } from './decisions'
import { before } from './reasons'
import { planResult } from './planResult'
import { step } from './step'

const TODAY = '2026-11-24'
const build: Build = { ...aBuild({}), evenings: [60, 60, 60, 60, 60, 60, 60] }
const a = (id: string, minutes: number) => step({ id, title: `Step ${id}`, why: '', station: 'plan', stage: 'hardware', minutes })
// Sixty minutes an evening: the last step falls eleven evenings on.
const steps = [
  a('near', 60),
  { ...a('long', 600), befores: [before('near', 'setupOrder')] },
  { ...a('far', 60), befores: [before('long', 'setupOrder')] },
]
const ask = (b: Build, id: string, before: string, chosen?: string) =>
  applyChange(
    b,
    setDecision(b, id, { question: `Which ${id}?`, options: ['one', 'other'], before, ...(chosen ? { chosen, reason: 'here' } : {}) }),
  )
const of = (b: Build) => decisionsOf(b, planResult(b, steps, TODAY))

describe('what is still to decide', () => {
  it('names the step it binds at and its day; what presses stands first', () => {
    const b = ask(ask(build, 'guard', 'far'), 'knobs', 'near')
    expect(of(b)[0]!.binds!.title).toBe('Step near')
    expect(of(b)[1]!.state).toBe('open')
    const days = of(b).map((d) => d.binds!.date!)
    expect(days).toEqual(days.toSorted())
    expect(of(b).find((d) => d.id === 'knobs')!.state).toBe('soon')
  })
  it('once chosen it goes to the end with its reason; nothing else of the plan is lost', () => {
    const off = { ...build, plan: { daysOff: [addDays(TODAY, 3)] } }
    const b = ask(ask(off, 'guard', 'far', 'black'), 'knobs', 'near')
    expect(of(b).map((d) => d.id)).toEqual(['knobs', 'guard'])
    expect(of(b)[1]).toMatchObject({ state: 'chosen', chosen: 'black', reason: 'here' })
    expect(b.plan!.daysOff).toEqual([addDays(TODAY, 3)])
  })
  it('a step that is done while nobody chose has overtaken it', () => {
    const b = { ...ask(build, 'guard', 'near'), steps: { near: { done: TODAY } } }
    expect(of(b)[0]!.state).toBe('overtaken')
  })
})
