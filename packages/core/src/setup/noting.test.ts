import { describe, expect, it } from 'vitest'
import { stringPulls } from '../instrument/stringPulls'
import type { Build } from '../document/build'
import { applyChange } from '../document/change'
import { readingsOf } from '../document/setupReadings'
import { untold } from '../testing/anyBuild'
import { fullBuild, without } from '../testing/fullBuild'
import { learnedTurn } from './learning'
import { HIGH_FRETS, noteReading, noteTurns } from './noting'
import { totalPull } from './staleness'

const AT = '2026-12-01T20:00:00.000Z'
const LATER = '2026-12-01T20:10:00.000Z'
const THIRD = { what: 'cents', string: 3 } as const
const LAST = '2026-12-01T20:20:00.000Z'

describe('writing down', () => {
  it('a reading keeps what the strings pulled; of slack strings, or unknown ones, nothing', () => {
    const pullOf = (b = fullBuild(), what: 'relief' | 'slack' = 'relief') =>
      readingsOf(applyChange(b, noteReading(b, { what, value: 0.2, at: AT }, 'read')), { what }).at(-1)!.pull
    expect(pullOf()).toBeCloseTo(totalPull(fullBuild())!, 0)
    expect(pullOf(fullBuild(), 'slack')).toBeUndefined()
    expect(pullOf(without(fullBuild(), 'strings'))).toBeUndefined()
  })
  it('of a string it keeps how thick that was and what it pulled, unless nobody has said its gauge', () => {
    const noted = (b: Build) => readingsOf(applyChange(b, noteReading(b, { ...THIRD, value: 2, at: AT }, 'read')), THIRD).at(-1)!
    const own = stringPulls(fullBuild()).find((p) => p.number === 3)!
    expect(noted(fullBuild())).toMatchObject({ gauge: own.gauge, newton: Math.round(own.newton * 10) / 10 })
    const usual = untold(fullBuild(), 'sizes', 'strings', 'gauge.3')
    expect([noted(usual).gauge, noted(usual).newton]).toEqual([undefined, undefined])
    const whole = applyChange(fullBuild(), noteReading(fullBuild(), { what: 'relief', value: 0.2, at: AT }, 'read'))
    expect(readingsOf(whole, { what: 'relief' }).at(-1)).not.toHaveProperty('gauge')
  })
  it('turns as made teach at the next reading; a screw that was left alone is not written down', () => {
    let b = { ...fullBuild(), setup: { ...fullBuild().setup, readings: {} } }
    b = applyChange(b, noteReading(b, { what: 'relief', value: 0.4, at: AT }, 'read'))
    const change = noteTurns(
      b,
      [
        { screw: 'truss', turns: 0.25 },
        { screw: 'bass', turns: 0 },
      ],
      LATER,
    )
    expect(change.label).toBe('truss 1/4 turn clockwise')
    expect(noteTurns(b, [{ screw: 'length', string: 3, turns: -1.25 }], LATER).label).toBe('length screw of string 3 1 1/4 turns forward')
    b = applyChange(b, change)
    expect(Object.values(b.setup.turns!)).toEqual([{ screw: 'truss', turns: 0.25, at: LATER }])
    b = applyChange(b, noteReading(b, { what: 'relief', value: 0.35, at: LAST }, 'read'))
    expect(learnedTurn(b, 'truss')!.per).toBeCloseTo(-0.2, 9)
  })
  it('turning a height screw takes back the tick of the frets from 15 up; another screw leaves it', () => {
    const b = { ...fullBuild(), setup: { ...fullBuild().setup, first: { '0': true, [HIGH_FRETS]: true } as const } }
    expect(applyChange(b, noteTurns(b, [{ screw: 'bass', turns: 1 }], AT)).setup.first).toEqual({ '0': true })
    expect(applyChange(b, noteTurns(b, [{ screw: 'truss', turns: 0.25 }], AT)).setup.first).toEqual(b.setup.first)
  })
})
