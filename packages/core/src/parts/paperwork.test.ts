import { describe, expect, it } from 'vitest'
import { acceptance, orderFor } from './order'
import type { Part } from './part'
import { claimSheet, notAsListed } from './promised'
import { rescueEstimate } from './rescue'
import { spending } from './spending'
import { asChosen, daysAtBest, daysToCome, freeOf, leadDays, slipsOf, type StockItem } from './stock'

const calipers = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })
const listed = (value: number) => ({ value, doubt: 0.8, known: 'listed' as const })
const guard = (sizes: Part['sizes'], promised?: Part['sizes']): Part => ({
  kind: 'guard',
  name: 'Guard',
  seller: 'Low Tide Plastics',
  state: 'in hand',
  price: 24,
  sizes,
  traits: {},
  ...(promised ? { promised } : {}),
})

describe('not as listed', () => {
  it('only when both doubts together do not bridge it', () => {
    const key = 'opening.neck.centre'
    expect(notAsListed(guard({ [key]: calipers(31.7) }, { [key]: listed(31) }))).toEqual([])
    const [off] = notAsListed(guard({ [key]: calipers(36.8) }, { [key]: listed(31) }))
    expect(off!.off).toBeCloseTo(5.8, 9)
  })
  it('the claim says what was promised and what came', () => {
    const text = claimSheet(guard({ thickness: calipers(4.1) }, { thickness: listed(2.5) }))
    expect(text).toMatch(/Low Tide Plastics[\s\S]*Thickness: promised 2\.5 mm, came 4\.1 mm \(calipers, ±0\.05 mm\), \+1\.6 mm off/)
  })
  it('in the unit of the size, be it ohms or billionths of a farad', () => {
    const at = (value: number, doubt: number) => ({ value, doubt, known: 'meter' as const })
    const pickup: Part = {
      ...guard({ resistance: at(7200, 70) }, { resistance: { value: 8400, doubt: 200, known: 'listed' } }),
      kind: 'pickup',
    }
    expect(claimSheet(pickup)).toMatch(/promised 8\.40 k, came 7\.20 k \(meter, ±70 Ω\), −1\.20 k off/)
    const cap: Part = {
      ...guard({ capacitance: at(47e-9, 1e-9) }, { capacitance: { value: 22e-9, doubt: 2e-9, known: 'listed' } }),
      kind: 'capacitor',
    }
    expect(claimSheet(cap)).toMatch(/promised 22 nF, came 47 nF \(meter, ±1 nF\), \+25 nF off/)
  })
})

describe('made to order', () => {
  const wanted = guard({ 'opening.neck.centre': calipers(31), thickness: calipers(2.5) })
  const order = orderFor(wanted, undefined, '2026-11-24')
  it('holds sizes and tolerances, tighter where a joint hangs on them', () => {
    expect(order).toMatchObject({
      revision: 1,
      sizes: { 'opening.neck.centre': { value: 31, tolerance: 0.2 }, thickness: { tolerance: 0.5 } },
    })
    expect(orderFor(wanted, order, '2026-12-01').revision).toBe(2)
  })
  it('orders nothing that is only usual, angles too, and how many', () => {
    const usual = { value: 25.4, doubt: 2, known: 'assumed' as const }
    const neck: Part = {
      ...guard({}),
      kind: 'neck',
      sizes: {
        'heel.thickness': usual,
        scale: calipers(647.7),
        'head.angle': calipers(13),
        frets: { ...calipers(22), doubt: 0 },
        mass: calipers(650),
      },
    }
    const sent = orderFor(neck, undefined, '2026-11-24')
    expect(sent.sizes).toEqual({
      scale: { value: 647.7, tolerance: 0.2 },
      'head.angle': { value: 13, tolerance: 0.5 },
      frets: { value: 22, tolerance: 0 },
    })
    const came = acceptance(sent, { ...neck, sizes: { ...neck.sizes, frets: { ...calipers(21), doubt: 0 } } })
    expect(came.map((a) => [a.key, a.verdict])).toEqual([
      ['scale', 'pass'],
      ['frets', 'fail'],
      ['head.angle', 'pass'],
    ])
  })
  it('on arrival each size passes, fails, or waits for calipers', () => {
    const came = guard({ 'opening.neck.centre': calipers(25), thickness: listed(2.5) })
    expect(acceptance(order, came).map((a) => [a.key, a.verdict])).toEqual([
      ['thickness', 'not measured'],
      ['opening.neck.centre', 'fail'],
    ])
    const verdicts = (centre: number, more: Partial<Part> = {}) =>
      acceptance(order, { ...guard({ 'opening.neck.centre': calipers(centre), thickness: calipers(2.6) }), ...more }).map((a) => a.verdict)
    // Ordered 31 ±0.2, read to 0.05: 31.15 is inside for sure, 31.26 outside for sure, between them nobody can tell.
    expect(verdicts(31.15)).toEqual(['pass', 'pass'])
    expect(verdicts(31.22)).toEqual(['pass', 'too close to tell'])
    expect(verdicts(30.78)).toEqual(['pass', 'too close to tell'])
    expect(verdicts(31.26)).toEqual(['pass', 'fail'])
    expect(verdicts(31, { state: 'ordered' })).toEqual(['not here yet', 'not here yet'])
  })
})

describe('rescue estimate', () => {
  it('a dead pickup and missing parts give parts cost, hours and what is left of the value', () => {
    const e = rescueEstimate(['coil', 'plastics'], 60, 180)
    expect(e.money.likely).toBeCloseTo((15 + 30 + 60) / 3 + (5 + 15 + 35) / 3, 9)
    expect(e.money.low).toBeLessThan(e.money.likely)
    expect(e.money.high).toBeGreaterThan(e.money.likely)
    expect(e.left).toBeCloseTo(180 - 60 - e.money.likely, 9)
    expect(e.questions.join(' ')).toMatch(/Ohms at the jack/)
  })
  it('more found wrong never costs less', () => {
    expect(rescueEstimate(['coil', 'nut', 'frets']).hours.likely).toBeGreaterThan(rescueEstimate(['coil', 'nut']).hours.likely)
  })
  it('with nothing found yet it still says what to ask', () => expect(rescueEstimate([]).questions.length).toBeGreaterThan(8))
})

const item = (more: Partial<StockItem>): StockItem => ({
  id: 'a',
  part: guard({}),
  holding: 'offer',
  quantity: 1,
  reserved: {},
  lead: { promised: 14 },
  ...more,
})

describe('stock, money and days', () => {
  it('what others have put by is not free', () => {
    const five = item({ holding: 'stash', quantity: 5, reserved: { heron: 2, plover: 1 } })
    expect(freeOf(five)).toBe(2)
    expect(freeOf(five, 'heron')).toBe(4)
    expect(leadDays(five)).toBe(0)
  })
  it('a seller’s promises slip by what they have slipped', () => {
    const known = [item({ lead: { promised: 14, seen: 42 } }), item({ lead: { promised: 10, seen: 20 } })]
    // 62 days where 24 were promised, and twice 15.6 for 12: 93.2 / 48.
    const slip = slipsOf(known).get('Low Tide Plastics')!
    expect(slip.factor).toBeCloseTo(93.2 / 48, 9)
    expect(slip.of).toBe(2)
    expect(slipsOf(known).get('Nobody')).toBeUndefined()
    // One parcel three times as late: (42 + 2 x 18.2) / (14 + 28). Of ten like it hardly any pretending is left: (420 + 36.4) / (140 + 28).
    expect(slipsOf(known.slice(0, 1)).get('Low Tide Plastics')!.factor).toBeCloseTo(78.4 / 42, 9)
    expect(slipsOf(Array.from({ length: 10 }, () => known[0]!)).get('Low Tide Plastics')!.factor).toBeCloseTo(456.4 / 168, 9)
    // Who keeps promises comes to be trusted: (70 + 18.2) / (70 + 14) of ten sevens.
    const kept = Array.from({ length: 10 }, () => item({ lead: { promised: 7, seen: 7 } }))
    expect(slipsOf(kept).get('Low Tide Plastics')!.factor).toBeCloseTo(88.2 / 84, 9)
  })
  it('of fewer than three deliveries a seller is not known by: from the promise to what is reckoned with', () => {
    const fresh = item({ lead: { promised: 10 } })
    expect([daysAtBest(fresh, new Map()), daysToCome(fresh, new Map())]).toEqual([10, 13])
    const of = (n: number) => new Map([['Low Tide Plastics', { factor: 2, of: n }]])
    expect([daysAtBest(fresh, of(2)), daysToCome(fresh, of(2))]).toEqual([10, 20])
    expect([daysAtBest(fresh, of(3)), daysToCome(fresh, of(3))]).toEqual([undefined, 20])
    expect(daysAtBest(item({ lead: { promised: 10, seen: 12 } }), new Map())).toBeUndefined()
    expect(daysAtBest({ ...fresh, holding: 'stash' }, new Map())).toBeUndefined()
  })
  it('out of a drawer a part is in hand, from a seller’s page it is still to be bought, whatever it was when it was put there', () => {
    const part = { ...guard({}), state: 'in hand' as const }
    expect(asChosen(item({ part })).state).toBe('planned')
    expect(asChosen(item({ part: { ...part, state: 'planned' }, holding: 'stash' })).state).toBe('in hand')
  })
  it('days to reckon with: as seen, else as promised and stretched; nothing where nobody has said', () => {
    const slips = new Map([['Low Tide Plastics', { factor: 2.5, of: 3 }]])
    expect(daysToCome(item({ lead: { promised: 14, seen: 42 } }), slips)).toBe(42)
    expect(daysToCome(item({ lead: { promised: 7 } }), slips)).toBe(18)
    expect(daysToCome(item({ lead: { promised: 8 } }), slips)).toBe(20)
    const { lead: _, ...unsaid } = item({})
    expect(daysToCome(unsaid, slips)).toBeUndefined()
    expect(daysToCome({ ...unsaid, holding: 'stash' }, slips)).toBe(0)
    // Ordered: its own day counts, and a day nobody promised is no day.
    const ordered = { ...unsaid, holding: 'stash' as const, part: { ...unsaid.part, state: 'ordered' as const } }
    expect(daysToCome({ ...ordered, lead: { promised: 3 } }, slips)).toBe(3)
    expect(daysToCome(ordered, slips)).toBeUndefined()
  })
  it('postage counts once a parcel, a tub of filler by the share used', () => {
    const s = spending({
      parts: { guard: guard({}), 'pot-volume': { ...guard({}), kind: 'pot', price: 6, state: 'planned' } as Part },
      parcels: { 'Low Tide Plastics': 3.8, 'Nobody else': 99 },
      consumables: { filler: { name: 'grain filler', price: 20, share: 0.1 } },
      budget: 40,
    })
    expect(s.planned).toBeCloseTo(24 + 6 + 3.8 + 2, 9)
    expect(s.paid).toBeCloseTo(24 + 3.8 + 2, 9)
    expect(s.left).toBeCloseTo(40 - 35.8, 9)
  })
  it('what came on the instrument was bought with it: without a price it is no gap, with one it has no parcel', () => {
    const { price: _, seller: __, ...own } = guard({})
    const stays: Part = { ...own, state: 'in place' }
    const parts = {
      guard: stays,
      'pot-volume': { ...stays, kind: 'pot' } as Part,
      'pot-tone': { ...own, kind: 'pot', state: 'planned' } as Part,
    }
    expect(spending({ parts })).toMatchObject({ unpriced: 1, fromStash: 1, planned: 0, sellers: [{ seller: 'from the stash', parts: 1 }] })
    const whole = spending({ parts: { ...parts, body: { ...stays, kind: 'body', price: 180 } } })
    expect(whole).toMatchObject({ unpriced: 1, fromStash: 1, planned: 180, paid: 180 })
    expect(whole.sellers.map((s) => s.seller)).toEqual(['with the instrument', 'from the stash'])
  })
  it('a part that stands in for an original says by how much it is cheaper; a shop’s work counts, and what is left when it is sold', () => {
    const s = spending({
      parts: {
        guard: { ...guard({}), price: 24, original: 61 },
        'pot-volume': { ...guard({}), kind: 'pot', price: 6, original: 4.5 } as Part,
        'pot-tone': { ...guard({}), kind: 'pot', price: 6 } as Part,
      },
      shop: { tint: { what: 'neck tinted', price: 300, back: '2026-12-18' } },
      sale: 900,
    })
    // 61 - 24 + 4.5 - 6 = 35.5; 900 - 24 - 6 - 6 - 300 = 564.
    expect([s.saved, s.shop, s.profit]).toEqual([35.5, 300, 564])
    expect(spending({ parts: { guard: guard({}) } })).not.toHaveProperty('saved')
  })
})
