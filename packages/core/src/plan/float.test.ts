import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import { criticalFloat } from './float'
import type { PlannedStep } from './step'

const step = (id: string, given: Partial<PlannedStep> = {}, ...after: string[]): PlannedStep =>
  ({ id, minutes: 0, wait: 0, state: 'waiting', befores: after.map((b) => ({ id: b })), ...given }) as PlannedStep
const DAY = 24 * 60
/** 180 minutes in seven days. */
const EVENINGS = [60, 0, 120, 0, 0, 0, 0]
const TODAY = '2026-01-01'
const floats = (evenings: number[], steps: PlannedStep[]) =>
  criticalFloat({ ...fullBuild(), evenings }, steps, TODAY).map(({ step: { id }, float }) => [id, float])

describe('how far an open step may slip', () => {
  const hands = step('hands', { minutes: 180 })
  const dries = step('dries', { wait: 2 * DAY })
  const rests = step('rests', { rest: 3 }, 'hands', 'dries')
  const coats = step('coats', { calendar: { from: '2026-01-01', to: '2026-01-05' } })
  const done = step('done', { minutes: 9000, state: 'done' })

  it('is what is left beside the longest way: seven days of evenings and three of rest against two of drying, and four of coats', () =>
    // 180 minutes at 180/7 an evening are 7 days; with 3 of rest the end is on the 10th. 7 - 2 = 5, 10 - 4 = 6.
    expect(floats(EVENINGS, [coats, dries, hands, rests, done])).toEqual([
      ['hands', 0],
      ['rests', 0],
      ['dries', 5],
      ['coats', 6],
    ]))
  it('with no evening told is reckoned with some: 180 minutes are two of ninety', () =>
    // Then hands and drying take as long: 2 + 3 = 5, and coats have 1.
    expect(floats([0, 0, 0, 0, 0, 0, 0], [coats, dries, hands, rests])).toEqual([
      ['dries', 0],
      ['hands', 0],
      ['rests', 0],
      ['coats', 1],
    ]))
  it('counts the days until a parcel comes: what waits for it is the longest way, and the hands have time', () => {
    // Here on the 21st, 20 days off, and 3 of rest: 23. Ten days of hands and rest besides: 13 to spare.
    const comes = step('comes', { notBefore: '2026-01-21' })
    const after = step('after', { rest: 3 }, 'comes')
    expect(floats(EVENINGS, [hands, rests, comes, after])).toEqual([
      ['comes', 0],
      ['after', 0],
      ['hands', 13],
      ['rests', 13],
    ])
    // Here yesterday it waits for nothing: 3 against 10.
    expect(floats(EVENINGS, [hands, rests, { ...comes, notBefore: '2025-12-31' }, after]).find(([id]) => id === 'comes')![1]).toBe(7)
  })
  it('is told to a tenth of a day', () =>
    // 100 / (180/7) = 3.888… days; the longest of it is 4 days of coats.
    expect(floats(EVENINGS, [coats, step('short', { minutes: 100 })])).toEqual([
      ['coats', 0],
      ['short', 0.1],
    ]))
})
