import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { BRIDGES, GUARDS, offer, offersRequest as request } from '../../testing/offers'
import { chooseSets } from './chooseSets'
import { whyNot } from './whyNot'

const of = (...items: ReturnType<typeof offer>[]) => ({ slot: 'guard' as const, items })

describe('why not', () => {
  it('the joint and the number that rule it out, and the nearest that would do', () => {
    const why = whyNot(request(), 'bridge', BRIDGES[1]!)
    expect(why.clashes.map((c) => c.id)).toContain('bridge-on-body')
    expect(why.clashes.find((c) => c.id === 'bridge-on-body')!.says).toMatch(/6 mm apart/)
    expect(why.nearest).toEqual(chooseSets(request({ keep: 1 })).sets[0]!.items.find((i) => i.slot === 'bridge')!.item)
    expect(why.with).toBeUndefined()
    expect(why.more).toBeUndefined()
  })
  it('of what is in the best set nothing: no joint, no other that would do, no cost more', () => {
    const best = chooseSets(request({ keep: 1 })).sets[0]!
    for (const { slot, item } of best.items) {
      const why = whyNot(request(), slot, item)
      expect(why.clashes, item.id).toEqual([])
      expect(why.nearest, item.id).toBeUndefined()
      expect(why.more, item.id).toEqual({ money: 0, minutes: 0, days: 0 })
    }
  })
  it('where no set goes there is no nearest, and what stands against it is said all the same', () => {
    const why = whyNot(request({ open: [of(GUARDS[1]!)] }), 'guard', GUARDS[1]!)
    expect(why).toMatchObject({ clashes: [{ verdict: 'wont-go' }] })
    expect(Object.keys(why)).toEqual(['clashes'])
    expect(whyNot(request({ open: [of(GUARDS[1]!)], limits: { days: 1 } }), 'guard', GUARDS[1]!).nearest).toBeUndefined()
  })
  it('only joints it is part of: what will not go elsewhere stands against something else', () => {
    // Neck screws of 80 mm come out of the board, whichever guard it is.
    const build = changed(fullBuild(), { 'neck-screws/length': 80 })
    expect(whyNot(request({ build, open: [of(GUARDS[0]!)] }), 'guard', GUARDS[0]!).clashes).toEqual([])
  })
  it('what would have to be worked on counts where the tools for it are lacking, and only there', () => {
    // A route too shallow for its pickup wants a router.
    const pickup = offer('deep', 'pickup-bridge', {})
    const build = changed(fullBuild(), { 'body/route.bridge.depth': 14 }, { 'body/surface': 'raw' })
    const open = [{ slot: 'pickup-bridge' as const, items: [pickup] }]
    const ask = (lacking: readonly string[]) => whyNot(request({ build, open, limits: { lacking } }), 'pickup-bridge', pickup)
    expect(ask(['chisel']).clashes).toEqual([])
    const { clashes } = ask(['router'])
    expect(clashes.map((c) => [c.id, c.verdict])).toEqual([['room-bridge', 'tight']])
    expect(clashes[0]!.job).toMatch(/mm deeper|deepen/i)
  })
  it('what it would cost more than the best: money, minutes at the bench, and days', () => {
    const cheap = offer('cheap', 'guard', {}, { price: 8, days: 20 })
    const dear = offer('dear', 'guard', {}, { price: 24, days: 3 })
    const filed = offer('to file', 'guard', { 'guard/opening.neck.centre': 34.2 }, { price: 9, days: 20 })
    const ask = (item: typeof cheap) => whyNot(request({ open: [of(cheap, dear, filed)] }), 'guard', item)
    // 24 against 8, both posted for 4; as much work; 3 days against 20.
    expect(ask(dear)).toMatchObject({ nearest: { id: 'cheap' }, more: { money: 16, minutes: 0, days: -17 } })
    // A tight opening is half an hour.
    expect(ask(filed).more).toEqual({ money: 1, minutes: 30, days: 0 })
    expect(ask(filed).with!.items.map((i) => i.item.id)).toEqual(['to file'])
  })
  it('what holds alone is said alone', () => {
    const why = whyNot(request({ limits: { days: 10 } }), 'guard', GUARDS[0]!)
    expect(why.alone).toMatch(/20 days to come; the limit is 10 days/)
    expect(why.clashes).toEqual([])
    expect(why.nearest!.id).toMatch(/^guard/)
  })
})
