import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import type { StockItem } from '../parts/stock'
import { addDays } from '../quantity/days'
import { fullBuild } from '../testing/fullBuild'
import { parcelChoices } from './parcels'
import { toOrder } from './wanted'

const TODAY = '2026-11-24'
const SLOTS = ['tuners', 'strings', 'bridge'] as const
const build = (due?: string, parcels?: Record<string, number>): Build => {
  const b = structuredClone(fullBuild())
  for (const slot of SLOTS) Object.assign(b.parts[slot]!, { state: 'planned', seller: slot === 'bridge' ? 'other' : 'one' })
  return { ...b, ...(due ? { due } : {}), ...(parcels ? { parcels } : {}) }
}
/** As it is offered, seen to take so many days. */
const offered = (b: Build, slot: (typeof SLOTS)[number], days: number, more: Partial<StockItem> = {}): StockItem => ({
  id: slot,
  part: b.parts[slot]!,
  holding: 'offer',
  quantity: 1,
  reserved: {},
  lead: { promised: days, seen: days },
  ...more,
})
const choices = (b: Build, tuners: number, strings: number, more: Partial<StockItem> = {}) =>
  parcelChoices(
    b,
    evaluate(b, TODAY).plan,
    [offered(b, 'tuners', tuners, more), offered(b, 'strings', strings, more), offered(b, 'bridge', 90)],
    TODAY,
  )

describe('one parcel of a seller or several', () => {
  it('together when the slowest is there, apart each by itself for one more postage', () => {
    const b = build('2027-06-01', { one: 4.5 })
    expect(choices(b, 5, 40)).toEqual([
      {
        seller: 'one',
        together: 40,
        apart: [
          { slot: 'tuners', label: 'Tuners', days: 5 },
          { slot: 'strings', label: 'Strings', days: 40 },
        ],
        postage: 4.5,
        late: [],
      },
    ])
  })
  it('the postage of an offer, or none said', () => {
    expect(choices(build(), 5, 40, { shipping: 3 })[0]!.postage).toBe(3)
    expect(choices(build(), 5, 40)[0]).not.toHaveProperty('postage')
  })
  it('nothing to choose where all takes the same time, of a single part, or where nobody says how long', () => {
    expect(choices(build(), 7, 7)).toEqual([])
    const b = build()
    const { lead: _, ...unsaid } = offered(b, 'strings', 3)
    expect(parcelChoices(b, evaluate(b, TODAY).plan, [offered(b, 'tuners', 9), unsaid], TODAY)).toEqual([])
  })
  it('says which would come too late with the rest and in time alone', () => {
    const { plan } = evaluate(build(), TODAY)
    // Promised for three weeks after the plan ends: so long the tuners may be late too.
    const b = build(addDays(plan.ends!, 21))
    const wanted = toOrder(b, plan, () => undefined).find((w) => w.slot === 'tuners')!.by!
    const room = Math.round((Date.parse(wanted) - Date.parse(TODAY)) / 86_400_000) + 21
    // Two days to look it over: in good time by itself, with the rest a day too late.
    const late = (tuners: number, strings: number) => choices(b, tuners, strings)[0]!.late
    expect(late(1, room - 1)).toEqual(['Tuners'])
    expect(late(1, room - 2)).toEqual([])
    // Too late either way it is no reason.
    expect(late(room + 10, room + 20)).toEqual([])
  })
})
