import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, daysBetween, FIRST_DAY, HORIZON_DAYS, isDay, sayDays, weekday, whyNotDay, whyNotTime } from './days'

const TODAY = '2026-11-24'

describe('days', () => {
  it('24 November 2026 is a Tuesday, and a week has seven', () => {
    expect(weekday('2026-11-24')).toBe(1)
    expect(['2026-11-23', '2026-11-28', '2026-11-29', '2026-11-30'].map(weekday)).toEqual([0, 5, 6, 0])
  })
  it('over the end of a month, a year and a leap February', () => {
    expect(addDays('2026-11-30', 1)).toBe('2026-12-01')
    expect(addDays('2027-01-01', -1)).toBe('2026-12-31')
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29')
    expect(addDays('2027-02-28', 1)).toBe('2027-03-01')
    expect(daysBetween('2026-11-24', '2027-11-24')).toBe(365)
    expect(daysBetween('2026-11-24', '2026-11-20')).toBe(-4)
  })
  it('a stretch of them is said by its ends, a single one by itself', () => {
    expect(sayDays('2026-11-24', '2026-12-02')).toBe('24 Nov to 2 Dec')
    expect(sayDays('2026-11-24', '2026-11-24')).toBe('24 Nov')
  })
  it('adding and counting are each other’s way back', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (n) => {
        expect(daysBetween('2027-12-31', addDays('2027-12-31', n)) - n).toBeCloseTo(0, 12)
      }),
    )
  })
})

describe('a day that may stand in a build', () => {
  it.each([
    ['2026-11-24', true],
    ['2028-02-29', true],
    ['2027-02-29', false],
    ['2027-02-31', false],
    ['2027-13-01', false],
    ['2027-1-1', false],
    ['x2027-01-01', false],
    ['2027-01-01x', false],
    ['', false],
  ])('%s', (text, is) => expect(isDay(text)).toBe(is))
  it('exists, from the first day to ten years ahead, and is said why not', () => {
    expect(whyNotDay(TODAY, TODAY)).toBeUndefined()
    expect(whyNotDay(FIRST_DAY, TODAY)).toBeUndefined()
    expect(whyNotDay(addDays(FIRST_DAY, -1), TODAY)).toMatch(/too far off/)
    expect(whyNotDay(addDays(TODAY, HORIZON_DAYS), TODAY)).toBeUndefined()
    expect(whyNotDay(addDays(TODAY, HORIZON_DAYS + 1), TODAY)).toMatch(/too far off; days go from 2000-01-01 to 2036-11-24/)
    expect(whyNotDay('2027-02-31', TODAY)).toMatch(/not a day of the calendar/)
    for (const wrong of [5, null, undefined, {}, '24.11.2026', ['2027-01-01']])
      expect(whyNotDay(wrong, TODAY)).toMatch(/^A day is written like/)
  })
  it.each([
    ['2026-11-23T19:30:00Z', undefined],
    ['2026-11-23T19:30Z', undefined],
    ['2026-11-23T19:30:00.123+05:30', undefined],
    ['2026-11-23T24:00:00Z', /^A time is written/],
    ['2026-11-23T19:30:00', /^A time is written/],
    ['2027-02-31T19:30:00Z', /not a day of the calendar/],
    ['1999-12-31T19:30:00Z', /too far off/],
    ['x2026-11-23T19:30:00Z', /^A time is written/],
    [5, /^A time is written/],
  ])('time %s', (text, why) => {
    const said = whyNotTime(text, TODAY)
    if (why) expect(said).toMatch(why)
    else expect(said).toBeUndefined()
  })
})
