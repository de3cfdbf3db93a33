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
    // Plugged and drilled anew it goes: 10, 12 and 5 and one parcel for 4, against 40, 12 and 5 and two; an hour for half an hour.
    expect(why.replanned!.joints.find((j) => j.id === 'bridge-on-body')!.job).toBe('Plug the old holes and drill at 80 mm.')
    expect(why.more).toEqual({ money: -34, minutes: 30, days: 0 })
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
    expect(Object.keys(why)).toEqual(['clashes', 'replanned'])
    // By 6 mm another pattern: nothing but cutting the finished body, which is not wanted, would make it go.
    const limits = { noCuttingFinished: true }
    expect(Object.keys(whyNot(request({ open: [{ slot: 'bridge', items: [BRIDGES[1]!] }], limits }), 'bridge', BRIDGES[1]!))).toEqual([
      'clashes',
    ])
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
    // 24 against 8, both posted for 4; as much work; 3 days promised against 20, 1.3 times as long: 4 against 26.
    expect(ask(dear)).toMatchObject({ nearest: { id: 'cheap' }, more: { money: 16, minutes: 0, days: -22 } })
    // A tight opening is half an hour.
    expect(ask(filed).more).toEqual({ money: 1, minutes: 30, days: 0 })
    expect(ask(filed).with!.items.map((i) => i.item.id)).toEqual(['to file'])
  })
  it('what goes only after a larger job says which, and what that costs more than the best', () => {
    // 6.6 mm of the opening lack: filed 6.9 wider. 8 against 24 and both posted for 4; an hour where the other
    // has no work; 7 days promised against 20, 1.3 times as long: 10 against 26.
    const why = whyNot(request({ open: [of(GUARDS[0]!, GUARDS[1]!)] }), 'guard', GUARDS[1]!)
    expect(why.with).toBeUndefined()
    expect(why.replanned!.joints.filter((j) => j.verdict === 'wont-go').map((j) => [j.id, j.job])).toEqual([
      ['guard-openings', 'File the guard: neck opening, neck side: 6.9 mm.'],
    ])
    const best = chooseSets(request({ open: [of(GUARDS[0]!)], keep: 1 })).sets[0]!
    expect(why.more).toEqual({ money: -16, minutes: why.replanned!.minutes - best.minutes, days: -16 })
    expect(why.more!.minutes).toBeGreaterThanOrEqual(60)
  })
  it('what is planned on the part that is here counts for it, and for no other just like it', () => {
    const [own, twin] = [
      offer('own', 'guard', { 'guard/opening.neck.centre': 40 }),
      offer('twin', 'guard', { 'guard/opening.neck.centre': 40 }),
    ]
    const plain = fullBuild()
    const right = plain.parts.guard!.sizes['opening.neck.centre']!.value
    const job = { slot: 'guard' as const, size: 'opening.neck.centre', delta: right - 40, doubt: 0.1, text: 'Move the opening' }
    const build = { ...plain, parts: { ...plain.parts, guard: own.part }, jobs: { moved: job } }
    const clashes = (item: typeof own) => whyNot(request({ build, open: [of(own, twin)] }), 'guard', item).clashes.map((c) => c.id)
    expect(clashes(own)).toEqual([])
    expect(clashes(twin)).toContain('guard-openings')
  })
  it('what holds alone is said alone', () => {
    const why = whyNot(request({ limits: { days: 10 } }), 'guard', GUARDS[0]!)
    expect(why.alone).toMatch(/26 days to come, 20 promised; the limit is 10 days/)
    expect(why.clashes).toEqual([])
    expect(why.nearest!.id).toMatch(/^guard/)
  })
})
