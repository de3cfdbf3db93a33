import { chooseSets, judgeJoints, whyNot, type Build, type ChooseRequest, type Slot, type StockItem } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { heron } from './heron'
import { demoStock } from './stock'

const build = heron('2026-11-24', '2027-02-15', '2026-12-05')
const stock: StockItem[] = demoStock().map((i, n) => ({ ...i, id: `s${n}` }))
const items = (kind: string) => stock.filter((i) => i.part.kind === kind)
const request = (slots: [Slot, string][], more: Partial<ChooseRequest> = {}): ChooseRequest => ({
  build,
  open: slots.map(([slot, kind]) => ({ slot, items: items(kind) })),
  limits: {},
  rank: 'money',
  ...more,
})
const SLOTS: [Slot, string][] = [
  ['guard', 'guard'],
  ['bridge', 'bridge'],
  ['tuners', 'tuners'],
]

describe('choosing sets for Heron', () => {
  it('the best set is the cheapest of all that nothing rules out, by trying every one', () => {
    const best = chooseSets(request(SLOTS)).sets[0]!
    let least = Infinity
    for (const g of items('guard'))
      for (const b of items('bridge'))
        for (const t of items('tuners')) {
          if (t.part.traits.hand === 'left') continue
          const trial: Build = { ...build, parts: { ...build.parts, guard: g.part, bridge: b.part, tuners: t.part } }
          const out = judgeJoints(trial).some(
            (j) => j.verdict === 'wont-go' && j.slots.some((s) => s === 'guard' || s === 'bridge' || s === 'tuners'),
          )
          if (out) continue
          const sellers = new Map([g, b, t].map((i) => [i.part.seller!, i.shipping ?? 0]))
          least = Math.min(least, g.part.price! + b.part.price! + t.part.price! + [...sellers.values()].reduce((x, y) => x + y, 0))
        }
    expect(best.money).toBeCloseTo(least, 6)
  })
  it('a bridge of another pattern is ruled out by its numbers, and the nearest that would do is named', () => {
    const narrow = items('bridge').find((i) => i.part.name.includes('56 mm'))!
    const why = whyNot(request(SLOTS), 'bridge', narrow)
    expect(why.with).toBeUndefined()
    expect(why.clashes.map((j) => j.says).join(' ')).toMatch(/56 mm and the body’s 74 mm: 18 mm apart/)
    expect(why.nearest).toBeDefined()
    expect(why.nearest!.id).not.toBe(narrow.id)
  })
  it('tuners of the other hand and parts that come too late are out before anything is tried', () => {
    const left = items('tuners').find((i) => i.part.traits.hand === 'left')!
    expect(whyNot(request(SLOTS), 'tuners', left).alone).toMatch(/left-handed and the build is right-handed/)
    const late = items('guard').find((i) => i.part.seller === 'Low Tide Plastics')!
    expect(whyNot(request(SLOTS, { limits: { days: 12 } }), 'guard', late).alone).toMatch(/40 days to come; the limit is 12 days/)
  })
  it('an option dropped for its lead time shows the date gained', () => {
    const any = chooseSets(request(SLOTS)).sets[0]!
    const soon = chooseSets(request(SLOTS, { rank: 'date' })).sets[0]!
    expect(soon.days).toBeLessThanOrEqual(any.days)
    expect(soon.days).toBeLessThanOrEqual(10)
  })
  it('a limit of money is kept, postage and all', () => {
    const all = chooseSets(request(SLOTS, { keep: 10 })).sets
    const limit = (all[0]!.money + all[2]!.money) / 2
    const under = chooseSets(request(SLOTS, { limits: { money: limit }, keep: 10 })).sets
    expect(under.length).toBeGreaterThan(0)
    for (const s of under) expect(s.money).toBeLessThanOrEqual(limit)
    expect(chooseSets(request(SLOTS, { limits: { money: 10 } })).sets).toEqual([])
  })
  it('least bench time asks for no more minutes than least money', () => {
    const bench = chooseSets(request(SLOTS, { rank: 'bench' })).sets[0]!
    expect(bench.minutes).toBeLessThanOrEqual(chooseSets(request(SLOTS)).sets[0]!.minutes)
  })
  it('a guard known only from two sellers’ listings is never a snug joint of a set', () => {
    const listed = items('guard').find((i) => i.part.sizes['opening.neck.centre']!.known === 'listed')!
    const set = chooseSets(request([['guard', 'guard']], { open: [{ slot: 'guard', items: [listed] }] })).sets[0]!
    expect(set.joints.find((j) => j.id === 'guard-openings')!.verdict).toBe('cant-tell')
  })
})
