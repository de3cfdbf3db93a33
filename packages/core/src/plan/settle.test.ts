import { expect, it } from 'vitest'
import type { Build } from '../document/build'
import { aBuild } from '../testing/bench'
import { before } from './reasons'
import { settle } from './settle'
import { step, type Step } from './step'

const TODAY = '2026-11-24'
const build: Build = { ...aBuild({}), evenings: [90, 90, 90, 90, 90, 90, 90], due: '2026-12-01' }
const a = (id: string, minutes: number, more: Partial<Step> = {}): Step =>
  step({ id, title: id, why: '', station: 'plan', stage: 'hardware', minutes, ...more })

it('a guard five weeks late: waiting, filing, routing, making one’s own, another colour, each with the day it ends', () => {
  const steps = [a('guard', 10, { stage: 'parcel', undated: 'on its way' }), a('close', 30, { befores: [before('guard', 'partsFirst')] })]
  const found = Object.fromEntries(settle(build, steps, 'guard', TODAY).map((w) => [w.id, [w.ends, w.late]]))
  expect(found).toEqual({
    // On the 15th 10 and 30 minutes, two weeks after the day.
    wait: ['2026-12-15', 14],
    file: ['2026-11-24', 0],
    // 90 + 10 minutes and 30 more: tonight and tomorrow.
    enlarge: ['2026-11-25', 0],
    // From the 1st: 250 and 30 minutes of hands, 90 an evening: the 1st to the 4th.
    own: ['2026-12-04', 3],
    other: ['2026-11-27', 0],
  })
})
it('with another part of no day the end is only a bound', () => {
  const [guard, nut] = (['guard', 'nut'] as const).map((id) => a(id, 10, { stage: 'parcel', undated: 'on its way' }))
  expect(settle(build, [guard!], 'guard', TODAY).map((w) => w.atEarliest)).not.toContain(true)
  expect(settle(build, [guard!, nut!], 'guard', TODAY).map((w) => w.atEarliest)).not.toContain(false)
})
it('somebody’s own days count, not those that were supposed', () => {
  const steps = [a('guard', 10, { stage: 'parcel', undated: 'not ordered' })]
  const [wait] = settle(build, steps, 'guard', TODAY, [{ id: 'wait', label: '', days: 35, minutes: 0, shows: '' }])
  expect(wait!.ends).toBe('2026-12-29')
})
it('what it costs more comes off what is left of the budget; nothing is left or over while nobody has said either', () => {
  const steps = [a('guard', 10, { stage: 'parcel', undated: 'not ordered' })]
  const way = { id: 'other', label: '', days: 3, minutes: 20, shows: '' }
  const left = (b: Build, money?: number) =>
    settle(b, steps, 'guard', TODAY, [{ ...way, ...(money === undefined ? {} : { money }) }])[0]!.left
  const bought = { ...build, budget: 60, consumables: { glue: { name: 'glue', price: 10, share: 0.5 } } }
  // 60 less 5 of glue, less 12.50.
  expect([left(bought, 12.5), left(bought, 70)]).toEqual([42.5, -15])
  expect([left(bought), left(build, 12.5)]).toEqual([undefined, undefined])
})
