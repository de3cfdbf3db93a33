import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import { withReading } from '../testing/setup'
import { applyChange } from './change'
import { readingsOf, setupProblems, setupReading, takeReading } from './setupReadings'

const at = (minute: number) => `2026-11-24T20:0${minute}:00Z`
const relief = { what: 'relief' } as const

describe('readings of a setup', () => {
  it('none yet: nothing to count', () => expect(setupReading(fullBuild(), relief)).toBeUndefined())
  it('the newest counts, whatever order they were written in; none is lost', () => {
    let b = withReading(fullBuild(), { ...relief, value: 0.4 })
    b = applyChange(b, takeReading(b, { ...relief, value: 0.2, at: at(5) }, 'x'))
    b = applyChange(b, takeReading(b, { ...relief, value: 0.3, at: at(1) }, 'x'))
    expect(readingsOf(b, relief).map((r) => r.value)).toEqual([0.4, 0.3, 0.2])
    expect(setupReading(b, relief)).toBe(0.2)
  })
  it('strings and kinds are kept apart', () => {
    let b = withReading(fullBuild(), { what: 'action', string: 1, value: 1.4 })
    b = withReading(b, { what: 'action', string: 6, value: 1.9 })
    b = withReading(b, { what: 'cents', string: 1, value: -3 })
    expect(setupReading(b, { what: 'action', string: 1 })).toBe(1.4)
    expect(setupReading(b, { what: 'action', string: 6 })).toBe(1.9)
    expect(setupReading(b, { what: 'cents', string: 1 })).toBe(-3)
    expect(setupReading(b, { what: 'cents', string: 6 })).toBeUndefined()
  })
  it.each([
    ['3 mm of relief is the most', { what: 'relief', value: 3 }, undefined],
    ['more is something else', { what: 'relief', value: 3.1 }, /from -1 to 3 mm/],
    ['action is above the fret', { what: 'action', string: 1, value: -0.1 }, /from 0 to 6 mm/],
    ['relief has no string', { what: 'relief', string: 1, value: 0.2 }, /of the neck/],
    ['cents are of a string', { what: 'cents', value: 3 }, /names a string from 1 to 6/],
    ['of a string there is', { what: 'cents', string: 7, value: 3 }, /names a string from 1 to 6/],
  ] as const)('%s', (_, reading, why) => {
    const problems = setupProblems(withReading(fullBuild(), reading))
    if (why) expect(problems.map((p) => p.why).join()).toMatch(why)
    else expect(problems).toEqual([])
  })
})
