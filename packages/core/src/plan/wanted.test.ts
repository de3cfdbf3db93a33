import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { addDays } from '../quantity/days'
import { fullBuild } from '../testing/fullBuild'
import type { StockItem } from '../parts/stock'
import { offer } from '../testing/offers'
import { ordersFor, toOrder } from './wanted'

const TODAY = '2026-11-24'
const planned = (...slots: ('tuners' | 'bridge' | 'strings')[]): Build => {
  const b = structuredClone(fullBuild())
  for (const slot of slots) b.parts[slot]!.state = 'planned'
  return b
}

describe('what is still to be ordered', () => {
  it('each with the first step that wants it, and the last day that leaves two to look it over', () => {
    const b = planned('tuners', 'bridge')
    const { plan } = evaluate(b, TODAY)
    const found = toOrder(b, plan, (slot) => (slot === 'bridge' ? 10.2 : undefined))
    const wants = (slot: string) => plan.steps.find((s) => s.stage !== 'parcel' && (s.slot === slot || s.slots?.includes(slot as never)))!
    expect(found.find((w) => w.slot === 'bridge')).toMatchObject({
      by: wants('bridge').date,
      step: wants('bridge').title,
      // 10.2 days are eleven, and two to look it over.
      orderBy: addDays(wants('bridge').date!, -13),
    })
    expect(found.find((w) => w.slot === 'tuners')).not.toHaveProperty('orderBy')
  })
  it('nothing that is ordered or here, and what no step names by hardware or strings', () => {
    expect(toOrder(fullBuild(), evaluate(fullBuild(), TODAY).plan, () => 5)).toEqual([])
    const b = planned('strings')
    const [strings] = toOrder(b, evaluate(b, TODAY).plan, () => 0)
    expect(strings!.step).toMatch(/String up|[Ww]ind|wrap/)
  })
})

const ofKind = (slot: string, { part }: StockItem) => part.kind === slot

describe('by when to order it, to keep the day it is promised for', () => {
  const b = { ...planned('tuners', 'strings'), due: '2027-02-15' }
  const { plan } = evaluate(b, TODAY)
  const slack = Math.round((Date.parse(b.due) - Date.parse(plan.ends!)) / 86_400_000)
  const offers = [
    { ...offer('slow', 'tuners', {}, { price: 30 }), lead: { promised: 14, seen: 56 } },
    { ...offer('cheap', 'tuners', {}, { price: 20, seller: 'Old Ropewalk Parts' }), lead: { promised: 5 } },
    { ...offer('came late', 'guard', {}, { seller: 'Old Ropewalk Parts' }), lead: { promised: 10, seen: 20 } },
  ]
  const { lead: _, ...unsaid } = offer('nobody says', 'tuners', {}, { price: 25 })
  const { price: __, ...unpriced } = offer('no price', 'strings', {}).part
  const found = ordersFor(b, plan, [...offers, unsaid, { ...offer('no price', 'strings', {}), part: unpriced }], ofKind)
  const of = (slot: string) => found.find((w) => w.slot === slot)!
  it('from the day its own step wants it, with what the plan has in hand; promised two weeks, came after eight', () => {
    expect(slack).toBeGreaterThan(20)
    const by = toOrder(b, plan, () => undefined).find((w) => w.slot === 'tuners')!.by!
    expect(of('tuners').offers.map((o) => [o.item.id, o.latest, o.ifKept])).toEqual([
      // 5 days of a seller of whom one parcel took 20 for 10: (20 + 2 x 13) / (10 + 20) of that are 8, and two to look it over; 5 if he keeps it.
      ['cheap', addDays(by, slack - 10), addDays(by, slack - 7)],
      ['nobody says', undefined, undefined],
      ['slow', addDays(by, slack - 58), undefined],
    ])
    expect(of('strings').offers.map((o) => o.item.id)).toEqual(['no price'])
    // Strings are wanted later than tuners: they may be ordered later.
    expect(of('strings').by! > by).toBe(true)
  })
  it('nothing in hand where the plan ends too late already; nothing without a promised day', () => {
    const late = ordersFor({ ...b, due: TODAY }, plan, offers, ofKind).find((w) => w.slot === 'tuners')!
    expect(late.offers.find((o) => o.item.id === 'slow')!.latest).toBe(addDays(late.by!, -58))
    const { due: ___, ...open } = b
    expect(ordersFor(open, plan, offers, ofKind)).toEqual([])
  })
})
