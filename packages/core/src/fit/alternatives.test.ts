import { describe, expect, it } from 'vitest'
import type { Part } from '../parts/part'
import type { StockItem } from '../parts/stock'
import { jointIn } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { alternatives } from './alternatives'

const guardWith = (name: string, centre: number, known: 'calipers' | 'listed', doubt: number): Part => {
  const part = structuredClone(fullBuild().parts.guard!)
  part.sizes['opening.neck.centre'] = { value: centre, doubt, known }
  return { ...part, name, seller: 'Low Tide Plastics' }
}
const offer = (part: Part, price: number, days: number): StockItem => ({
  id: part.name,
  part: { ...part, price },
  holding: 'offer',
  quantity: 1,
  reserved: {},
  shipping: 4,
  lead: { promised: days },
})

describe('another part in a joint', () => {
  // Openings 5.8 mm too close together: no shift cures it.
  const off = changed(fullBuild(), { 'guard/opening.neck.centre': 36.8 })
  const items = [
    offer(guardWith('as far off', 36.8, 'calipers', 0.1), 12, 3),
    offer(guardWith('cut to this body', 31, 'calipers', 0.1), 38, 21),
    offer(guardWith('the same, sooner', 31, 'calipers', 0.1), 38, 8),
    offer(guardWith('only listed', 31, 'listed', 3), 20, 5),
    { ...offer(guardWith('in a drawer', 31, 'calipers', 0.1), 30, 0), holding: 'stash' as const },
    { ...offer(guardWith('put by for another', 31, 'calipers', 0.1), 1, 0), holding: 'stash' as const, reserved: { other: 1 } },
    offer({ ...fullBuild().parts.tuners!, name: 'tuners' }, 9, 2),
  ]
  const { best: found, more } = alternatives(off, 'guard-openings', 'guard', items, '2026-11-24')
  it('the ones that go first, the cheaper and then the sooner of them, each with its money and its day', () => {
    expect(jointIn(off, 'guard-openings').verdict).toBe('wont-go')
    // Promised in 8, 21, 5 and 3 days by a seller nobody has had a parcel of: 11, 28, 7 and 4.
    expect(found.map((a) => [a.item.id, a.verdict, a.cost, a.here])).toEqual([
      ['in a drawer', 'snug', 0, '2026-11-24'],
      ['the same, sooner', 'snug', 42, '2026-12-05'],
      ['cut to this body', 'snug', 42, '2026-12-22'],
      ['only listed', 'cant-tell', 24, '2026-12-01'],
      ['as far off', 'wont-go', 16, '2026-11-28'],
    ])
    expect(more).toBe(0)
    const two = alternatives(off, 'guard-openings', 'guard', items, '2026-11-24', undefined, 2)
    expect([two.best.map((a) => a.item.id), two.more]).toEqual([['in a drawer', 'the same, sooner'], 3])
  })
  it('what is put by for this build is free to it', () => {
    const ids = alternatives(off, 'guard-openings', 'guard', items, '2026-11-24', 'other').best.map((a) => a.item.id)
    expect(ids.slice(0, 2)).toEqual(['in a drawer', 'put by for another'])
  })
  it('says which other joint would no longer go, and puts it behind those that spoil nothing', () => {
    const spoils = offer(guardWith('cheap', 31, 'calipers', 0.1), 2, 1)
    spoils.part.sizes['opening.bridge.width'] = { value: 60, doubt: 0.05, known: 'calipers' }
    const { best } = alternatives(off, 'guard-openings', 'guard', [spoils, ...items], '2026-11-24')
    expect(best.map((a) => [a.item.id, a.spoils])).toEqual([
      ['in a drawer', []],
      ['the same, sooner', []],
      ['cut to this body', []],
      ['cheap', ['Bridge pickup in its guard opening']],
      ['only listed', []],
      ['as far off', []],
    ])
    // What will not go already is not laid at its door.
    const bad = changed(off, { 'pickup-bridge/width': 90 })
    expect(jointIn(bad, 'room-bridge').verdict).toBe('wont-go')
    const [same] = alternatives(bad, 'guard-openings', 'guard', [items[1]!], '2026-11-24').best
    expect(same!.spoils).toEqual([])
  })
  it('what is in the build already is no alternative to itself', () => {
    const own = { ...offer(off.parts.guard!, 1, 1) }
    expect(alternatives(off, 'guard-openings', 'guard', [own], '2026-11-24').best).toEqual([])
  })
})
