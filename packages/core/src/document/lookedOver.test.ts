import { describe, expect, it } from 'vitest'
import { evaluate } from '../evaluate/evaluate'
import type { PartState } from '../parts/part'
import { fullBuild } from '../testing/fullBuild'
import { UNPACKED, type Build, type Unpacked } from './build'
import { applyChange, inverse } from './change'
import { putOnPile } from './box'
import { lookedOver } from './lookedOver'

const TODAY = '2026-12-02'
const withState = (state: PartState): Build => {
  const b = fullBuild()
  return { ...b, parts: { ...b.parts, guard: { ...b.parts.guard!, state } } }
}
const after = (state: PartState, found: Unpacked | undefined) => applyChange(withState(state), lookedOver(withState(state), 'guard', found))
const waits = (build: Build) =>
  evaluate(build, TODAY).plan.steps.some(
    (s) => s.stage === 'parcel' && s.state !== 'done' && s.why.length > 0 && [s.slot, ...(s.slots ?? [])].includes('guard'),
  )

describe('a part out of its parcel', () => {
  it('is in hand once it was seen, whole or not; its parcel is waited for no longer', () => {
    for (const state of ['planned', 'ordered'] as const)
      for (const found of ['present', 'damaged'] as const) {
        expect(waits(withState(state)), state).toBe(true)
        expect(after(state, found).parts.guard!.state).toBe('in hand')
        expect(after(state, found).unpacked!.guard).toBe(found)
        expect(waits(after(state, found)), `${state} ${found}`).toBe(false)
      }
    expect(lookedOver(withState('ordered'), 'guard', 'damaged').label).toBe('Pickguard: damaged, in hand')
  })
  it('that is missing was not in it: what counted as here is waited for', () => {
    expect(after('in hand', 'missing').parts.guard!.state).toBe('ordered')
    expect(waits(after('in hand', 'missing'))).toBe(true)
    expect(after('planned', 'missing').parts.guard!.state).toBe('planned')
    expect(lookedOver(withState('in hand'), 'guard', 'missing').label).toBe('Pickguard: missing, waited for')
  })
  it('what is in place stays there, and what was not looked over after all stays where it is', () => {
    for (const found of UNPACKED) expect(after('in place', found).parts.guard!.state).toBe('in place')
    for (const state of ['planned', 'ordered', 'in hand', 'in place'] as const)
      expect(after(state, undefined).parts.guard!.state).toBe(state)
  })
  it('put on the pile of what is here, what was missing is missing no longer', () => {
    const missing = after('in hand', 'missing')
    const came = applyChange(missing, putOnPile(missing, ['guard'], 'box'))
    expect([came.parts.guard!.state, came.unpacked!.guard]).toEqual(['in hand', undefined])
    const damaged = after('ordered', 'damaged')
    expect(applyChange(damaged, putOnPile(damaged, ['guard'], 'place')).unpacked!.guard).toBe('damaged')
    expect(applyChange(missing, putOnPile(missing, ['guard'], 'coming')).unpacked!.guard).toBe('missing')
  })
  it('what was missing and came after all is seen, and in hand', () => {
    const missing = after('in hand', 'missing')
    for (const found of ['present', 'damaged'] as const) {
      const came = applyChange(missing, lookedOver(missing, 'guard', found))
      expect([came.parts.guard!.state, came.unpacked!.guard]).toEqual(['in hand', found])
    }
  })
  it('is one change, taken back as one', () => {
    for (const found of UNPACKED) {
      const b: Build = { ...withState('ordered'), unpacked: {} }
      expect(applyChange(applyChange(b, lookedOver(b, 'guard', found)), inverse(lookedOver(b, 'guard', found)))).toEqual(b)
    }
  })
})
