import { describe, expect, it } from 'vitest'
import { isEarlier, migrated, SCHEMA } from './migrate'

const FIRST = {
  schema: 1,
  strings: 6,
  circuit: { position: 2, volume: 10, tone: 7, split: true, scheme: 'old', jack: 'mono' },
  readings: { 2: { ohm: 7900, volume: 10, tone: 7, at: '2026-01-02' } },
  setup: { relief: 0.2, actionBass: 2, cents: { 1: 3 }, tuning: 'usual' },
}

describe('a document of an earlier form', () => {
  it('is known by its number, and nothing else is taken for one', () => {
    expect(isEarlier(FIRST)).toBe(true)
    expect(isEarlier({ ...FIRST, schema: SCHEMA })).toBe(false)
    for (const other of [undefined, null, 3, 'text', [], {}, { schema: '1' }, { schema: 99 }]) {
      expect(isEarlier(other)).toBe(false)
      expect(migrated(other)).toBe(other)
    }
  })
  it('comes through every step: what is looked at leaves it, readings tell how they were taken, the wiring is chosen', () => {
    expect(migrated(FIRST)).toEqual({
      schema: SCHEMA,
      strings: 6,
      circuit: { jack: 'mono', scheme: 'by-parts', options: { tap: 'tap' } },
      readings: {
        'jack.sleeve jack.tip, switch 2': {
          ohm: 7900,
          probes: ['jack.tip', 'jack.sleeve'],
          setting: { switches: { switch: 2 }, knobs: { volume: 10, tone: 7 } },
          at: '2026-01-02',
        },
      },
      setup: {
        tuning: 'usual',
        // The bass is the string with the highest number; what was not read is no reading.
        readings: {
          relief: { what: 'relief', value: 0.2 },
          'action 6': { what: 'action', string: 6, value: 2 },
          'cents 1': { what: 'cents', string: 1, value: 3 },
        },
      },
    })
  })
  it('that was not tapped stays whole, and one with nothing in it comes through', () => {
    expect(migrated({ ...FIRST, circuit: { split: false } })).toMatchObject({ circuit: { options: { tap: 'whole' } } })
    expect(migrated({ schema: 1 })).toMatchObject({ schema: SCHEMA, readings: {}, setup: { readings: {} } })
  })
})
