import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { MeterReading } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { fullBuild } from '../../testing/fullBuild'
import { switchStates } from '../model/switchStates'
import { harnessOf } from '../schemes/harnessOf'
import { judgeReading, predictReading, readingAt, readingKey } from './readings'

const build = fullBuild()
const made = harnessOf(build)
if (!made.ok) throw new Error('the full build is wired')
const { harness } = made
const states = switchStates(harness)
const turn = fc.integer({ min: 0, max: 20 }).map((n) => n / 2)
const setting = fc
  .record({ state: fc.constantFrom(...states), volume: turn, tone: turn })
  .map(({ state, volume, tone }) => ({ switches: { ...state.switches }, knobs: { volume, tone } }))
const reading = (ohm: number, s: { switches: Record<string, number>; knobs: Record<string, number> }): MeterReading => ({
  ohm,
  probes: ['jack.tip', 'jack.sleeve'],
  setting: s,
  at: '2026-11-24T20:00:00Z',
})

describe('a reading is judged by the setting it was taken at', () => {
  it('what the meter should show there is inside, wherever the knobs stood', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const { ohm, doubt } = predictReading(build, harness, s)
        const judged = judgeReading(build, harness, reading(ohm, s))
        expect(judged).toMatchObject({ off: 0, inside: true })
        expect(judgeReading(build, harness, reading(ohm + 1.01 * Math.max(doubt, 1), s))).toMatchObject({ inside: false })
        if (ohm > 2 * doubt + 2)
          expect(judgeReading(build, harness, reading(ohm - 1.01 * Math.max(doubt, 1), s))).toMatchObject({ inside: false })
      }),
      { numRuns: 40 },
    )
  })
  it('off is reading less expected: more is positive', () => {
    const s = { switches: { switch: 1 }, knobs: {} }
    const { ohm } = predictReading(build, harness, s)
    expect(judgeReading(build, harness, reading(ohm + 500, s))!.off).toBeCloseTo(500, 9)
  })
})

describe('a reading of another circuit', () => {
  it('is not judged, not counted, and stops nothing', () => {
    const foreign: MeterReading = { ...reading(500, { switches: { rotary: 9 }, knobs: {} }), probes: ['blower.C1', 'jack.tip'] }
    expect(judgeReading(build, harness, foreign)).toBeUndefined()
    const { wire, failed } = evaluate({ ...build, readings: { a: foreign } }, '2026-11-24')
    expect(failed).toEqual({})
    expect(wire).toMatchObject({ ok: true, readingsOff: 0 })
  })
  it('one of this circuit that is off is counted', () => {
    const off = reading(1, { switches: { switch: 1 }, knobs: {} })
    expect(evaluate({ ...build, readings: { a: off } }, '2026-11-24').wire).toMatchObject({ readingsOff: 1 })
  })
})

describe('finding a reading again', () => {
  const s = { switches: { switch: 3 }, knobs: { volume: 5, tone: 10 } }
  const key = readingKey(['jack.tip', 'jack.sleeve'], s.switches)
  const kept = { ...build, readings: { [key]: reading(7000, s) } }
  it('by its switches and probes, whatever the knobs and whichever way round the probes', () => {
    expect(readingAt(kept, harness, { switches: { switch: 3 }, knobs: {} })?.ohm).toBe(7000)
    expect(readingAt(kept, harness, { switches: { switch: 3 }, knobs: {} }, ['jack.sleeve', 'jack.tip'])?.ohm).toBe(7000)
    expect(readingAt(kept, harness, { switches: { switch: 2 }, knobs: {} })).toBeUndefined()
    expect(readingAt(kept, harness, s, ['jack.tip', 'case.1'])).toBeUndefined()
  })
  it('a newer one of the same place has the same key, another place another', () => {
    expect(readingKey(['jack.sleeve', 'jack.tip'], { switch: 3 })).toBe(key)
    expect(readingKey(['jack.tip', 'jack.sleeve'], { switch: 2 })).not.toBe(key)
    expect(readingKey(['jack.tip', 'case.1'], { switch: 3 })).not.toBe(key)
  })
})
