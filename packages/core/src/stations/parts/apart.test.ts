import { describe, expect, it } from 'vitest'
import { evaluate } from '../../evaluate/evaluate'
import { fullBuild } from '../../testing/fullBuild'
import type { Build } from '../../document/build'

const steps = (b: Build) => evaluate(b, '2026-11-24').plan.steps

describe('an instrument that is here', () => {
  it('a rescue is heard, noted, taken apart, and only then is wood cut', () => {
    const found = steps({ ...fullBuild(), job: 'rescue' })
    const at = (id: string) => found.findIndex((s) => s.id === id)
    expect(at('test-first')).toBeLessThan(at('note-before'))
    expect(at('note-before')).toBeLessThan(at('take-apart'))
    const cuts = found.filter((s) => s.final)
    expect(cuts.length).toBeGreaterThan(0)
    for (const cut of cuts) expect(at(cut.id), cut.title).toBeGreaterThan(at('take-apart'))
  })
  it('a loosening step ticked without notes says what is gone, and the way back', () => {
    const [apart] = steps({ ...fullBuild(), job: 'upgrade' }).filter((s) => s.id === 'take-apart')
    expect(apart!.open).toMatchObject([{ id: 'note-before', risk: expect.stringMatching(/nobody knows/) }])
    expect(steps({ ...fullBuild(), job: 'upgrade' }).some((s) => s.id === 'test-first')).toBe(false)
  })
  it('what is noted is counted, and a kit has nothing to take apart', () => {
    const noted = { ...fullBuild(), job: 'conversion' as const, plan: { noted: { action: '2026-11-24', tilt: '2026-11-24' } } }
    expect(steps(noted).find((s) => s.id === 'note-before')!.why).toMatch(/^6 of 8/)
    for (const job of ['kit', 'finished', undefined] as const)
      expect(
        steps({ ...fullBuild(), ...(job ? { job } : {}) }).some((s) => s.id === 'take-apart'),
        job,
      ).toBe(false)
  })
})
