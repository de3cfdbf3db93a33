import fc from 'fast-check'
import { expect, it } from 'vitest'
import { byMoment, isAfter, writtenAt } from './moments'

it('moments are compared as instants, whatever zone they were written in', () => {
  expect(isAfter('2026-11-24T20:00:00+01:00', '2026-11-24T19:30:00Z')).toBe(false)
  expect(isAfter('2026-11-24T20:31:00+01:00', '2026-11-24T19:30:00Z')).toBe(true)
  expect(isAfter('2026-11-24T20:00:00Z', undefined)).toBe(true)
  expect(byMoment('2026-11-24T20:00:00+01:00', '2026-11-24T19:00:00.000Z')).toBe(0)
  expect(byMoment(undefined, undefined)).toBe(0)
})
it('an evening west of Greenwich is written under its own day', () => {
  const at = Date.parse('2026-11-25T01:15:00Z')
  expect(writtenAt(at, -300)).toBe('2026-11-24T20:15:00.000-05:00')
  expect(writtenAt(at, 330)).toBe('2026-11-25T06:45:00.000+05:30')
  expect(writtenAt(at, 0)).toBe('2026-11-25T01:15:00.000+00:00')
})
it('what is written reads back as the same instant', () => {
  fc.assert(
    fc.property(fc.integer({ min: 946_684_800_000, max: 2_000_000_000_000 }), fc.integer({ min: -14 * 60, max: 14 * 60 }), (at, zone) => {
      expect(Date.parse(writtenAt(at, zone))).toBe(at)
    }),
  )
  // Where this machine stands its hour is the one its own clock shows.
  const at = new Date('2026-07-01T12:00:00Z')
  expect(Number(writtenAt(at.getTime(), -at.getTimezoneOffset()).slice(11, 13))).toBe(at.getHours())
})
