import { describe, expect, it } from 'vitest'
import { holeCards } from '../drill/holes'
import { evaluate } from '../evaluate/evaluate'
import { aControlPlate } from '../testing/onAPlate'
import { jointIn } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { inHollow, panelOf } from './panel'

const through = (access: string) => changed(fullBuild(), { 'body/control.top': 3 }, { 'body/access': access })

describe('what carries the controls', () => {
  it('a guard where they go in under it, and no guard that only lies on a top they hang from', () => {
    expect(panelOf(through('front')).slot).toBe('guard')
    expect(panelOf(through('back')).slot).toBe('body')
    expect(panelOf(through('sound-hole')).slot).toBe('body')
    expect(panelOf(without(through('front'), 'guard')).slot).toBe('body')
    expect([inHollow(through('sound-hole')), inHollow(through('back'))]).toEqual([true, false])
  })
  it('a plate before any guard, wherever they go in', () => {
    for (const access of ['front', 'back', 'sound-hole']) {
      const build = through(access)
      expect(panelOf({ ...build, parts: { ...build.parts, 'control-plate': aControlPlate() } }).slot).toBe('control-plate')
    }
  })
  it('joint, hole and step all speak of the top', () => {
    const [front, back] = [through('front'), through('back')]
    expect([jointIn(front, 'pot-tone').title, jointIn(back, 'pot-tone').title]).toEqual(['Tone pot in guard', 'Tone pot in top'])
    const holes = (b: typeof front) => holeCards(drillable(b)).find((c) => c.id === 'pot-holes')!.title
    expect([holes(front), holes(back)]).toEqual(['Pot holes in the guard', 'Pot holes in the top'])
    // While nobody has told, neither is named as if it were sure.
    const untold = through('front')
    delete untold.parts.body!.traits!['access']
    expect([jointIn(untold, 'pot-tone').title, holes(untold)]).toEqual(['Tone pot in guard or top', 'Pot holes in the guard or top'])
    const steps = (b: typeof front) => evaluate(b, '2026-11-29').plan.steps.map((s) => s.id)
    // Under a guard the harness goes in as one with it.
    expect([steps(front).includes('harness-in'), steps(back).includes('harness-in')]).toEqual([false, true])
    expect(steps(back)).toContain('close-guard')
  })
})
