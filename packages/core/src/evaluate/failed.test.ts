import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import { evaluate } from './evaluate'

const TODAY = '2026-11-24'

describe('a station that cannot be worked out', () => {
  it('says why, takes only what stands on it along, and leaves the others as they were', () => {
    const build = fullBuild()
    const whole = evaluate(build, TODAY)
    expect(whole.failed).toEqual({})
    const told: string[] = []
    const hurt = evaluate({ ...build, finish: undefined as never }, TODAY, undefined, undefined, (station) => void told.push(station))
    // What failed is not told of as worked out.
    expect(told.toSorted()).toEqual(['drill', 'log', 'parts', 'setup', 'wire'])
    expect(Object.keys(hurt.failed).toSorted()).toEqual(['finish', 'fit', 'plan'])
    expect(hurt.failed.plan).toMatch(/stands on fit/)
    expect(hurt.drill.map((h) => h.id)).toEqual(whole.drill.map((h) => h.id))
    expect(hurt.setup.total).toBe(whole.setup.total)
  })
})
