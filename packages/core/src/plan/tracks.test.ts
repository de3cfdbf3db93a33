import { describe, expect, it } from 'vitest'
import { evaluate } from '../evaluate/evaluate'
import { changed, fullBuild } from '../testing/fullBuild'
import { difficulty } from './difficulty'
import { step, type Step } from './step'
import { nextOfTracks, trackOf } from './tracks'

describe('tracks', () => {
  const { steps } = evaluate(fullBuild(), '2026-11-24').plan
  it('neck, body and electrics each have a next step of their own', () => {
    const next = nextOfTracks(steps)
    expect(next.map((n) => n.track)).toEqual(['neck', 'body', 'electrics'])
    for (const { track, next: s } of next) expect(trackOf(s)).toBe(track)
    expect(trackOf(steps.find((s) => s.id === 'nut-on')!)).toBe('neck')
    expect(trackOf(steps.find((s) => s.id === 'solder')!)).toBe('electrics')
    expect(trackOf(steps.find((s) => s.id === 'sand')!)).toBe('body')
  })
  it('what can be done now goes before what waits', () => {
    for (const { next, track } of nextOfTracks(steps))
      if (next.state !== 'ready') expect(steps.some((s) => s.state === 'ready' && s.stage !== 'parcel' && trackOf(s) === track)).toBe(false)
  })
})

describe('how hard it is', () => {
  const a = (more: Partial<Step> = {}): Step => step({ id: 'x', title: '', why: '', station: 'plan', stage: 'wood', minutes: 30, ...more })
  it('four cuts, a gluing in one go, two that can hurt and ten hours: 8 + 3 + 1 + 5 = 17, fair', () => {
    const cuts = Array.from({ length: 4 }, () => a({ final: true, minutes: 60 }))
    const rest = [a({ whole: true, minutes: 120 }), a({ cautions: ['x'], minutes: 120 }), a({ cautions: ['y'], minutes: 120 })]
    expect(difficulty([...cuts, ...rest])).toMatchObject({ mark: 2, word: 'fair' })
    expect(difficulty([...cuts, ...rest]).because).toBe('4 steps that cannot be undone, 1 in one go, 2 that can hurt, 10 hours of hands')
  })
  it('a step more never makes it easier', () => {
    const full = evaluate(fullBuild(), '2026-11-24').plan.steps
    for (let n = 1; n <= full.length; n++)
      expect(difficulty(full.slice(0, n)).mark).toBeGreaterThanOrEqual(difficulty(full.slice(0, n - 1)).mark)
    const glued = evaluate(changed(fullBuild(), {}, { 'neck/joint': 'set' }), '2026-11-24').plan.steps
    expect(glued.some((s) => s.whole && s.final)).toBe(true)
  })
})
