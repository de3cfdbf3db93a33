import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { dcAtJack } from '../bench/readings'
import { topology } from '../bench/topology'
import { switchStates } from '../model/switchStates'
import { harnessOf, offersOf } from './harnessOf'

type Wanted = Parameters<typeof wirable>[0]
const h = (w: Wanted) => {
  const found = harnessOf(wirable(w))
  if (!found.ok) throw new Error(found.says ?? found.missing.join())
  return found.harness
}
const words = (harness: ReturnType<typeof h>) => switchStates(harness).map(({ switches }) => topology(harness, switches).words)
const PAIR: Wanted = { places: ['neck', 'bridge'], contacts: 'toggle-3' }
const TRIO: Wanted = { places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' }

describe('three pickups on a toggle', () => {
  const MIXED: Wanted = { ...TRIO, contacts: 'toggle-3', second: true }
  it('give bridge, both, neck, and the middle one with each', () => {
    expect(words(h(MIXED))).toEqual(['middle ‖ bridge', 'neck ‖ middle ‖ bridge', 'neck ‖ middle'])
    expect(words(h({ ...MIXED, contacts: 'on-on-on' }))).toEqual(words(h(MIXED)))
    expect(words(h({ ...MIXED, contacts: 'lever-3', scheme: 'three-on-toggle' }))).toEqual(words(h(MIXED)))
  })
  it('its volume at 0 takes the middle one out and leaves the others: 8.8 k beside 500 k twice is 8.5 k', () => {
    const at = (middle: number) => dcAtJack(h(MIXED), { switches: { switch: 1 }, knobs: { 'volume-2': middle } })
    // Both volumes are of 500 k. Down, the middle one's track lies beside the master's: 1 / (1/8800 + 2/500000).
    expect(at(0)).toBeCloseTo(1 / (1 / 8800 + 2 / 500e3), 0)
    // Up, its 6 k lie beside them as well.
    expect(at(10)).toBeCloseTo(1 / (1 / 8800 + 2 / 500e3 + 1 / 6000), 0)
  })
  it('three pickups on a switch for two say what to do, and are no dead end', () => {
    const found = harnessOf(wirable({ ...TRIO, contacts: 'toggle-3' }))
    expect(!found.ok && found.says).toBe(
      'On this switch (3-way toggle) there is “Three pickups, the middle one mixed in”, and it needs a second volume pot among the parts. Or choose another switch.',
    )
    const on = harnessOf(wirable({ ...TRIO, contacts: 'on-on' }))
    expect(!on.ok && on.says).toMatch(
      /^No wiring here is for 3 pickups on this switch \(on-on, two poles\)\. Choose .*5-way lever.*3-way toggle/,
    )
  })
  it('an offer says all it lacks: the pot, and the switch', () => {
    const lacks = (w: Wanted) => offersOf(wirable(w)).find((o) => o.recipe.id === 'three-on-toggle')!.lacks
    expect(lacks(TRIO)).toMatch(/^it needs a second volume pot among the parts, and it is for another switch: 3-way toggle/)
    expect(lacks({ ...TRIO, second: true })).toMatch(/^it is for another switch: 3-way toggle/)
    expect(lacks({ ...TRIO, contacts: 'toggle-3' })).toBe('it needs a second volume pot among the parts')
    expect(lacks(MIXED)).toBeUndefined()
  })
})

describe('pickups on a rotary', () => {
  it('three: each alone and neighbours together, and on six the outer two', () => {
    const five = ['bridge', 'middle ‖ bridge', 'middle', 'neck ‖ middle', 'neck']
    expect(words(h({ ...TRIO, contacts: 'rotary-5' }))).toEqual(five)
    expect(words(h({ ...TRIO, contacts: 'rotary-6' }))).toEqual([...five, 'neck ‖ bridge'])
    expect(words(h({ ...TRIO }))).toEqual(five)
  })
  it('two: as on a lever of four, and silent beyond', () => {
    const four = words(h({ ...PAIR, contacts: 'lever-4' }))
    const six = h({ ...PAIR, contacts: 'rotary-6' })
    expect(words(six).slice(0, 4)).toEqual(four)
    for (const n of [5, 6]) {
      expect(topology(six, { switch: n }).sounding).toEqual([])
      expect(dcAtJack(six, { switches: { switch: n }, knobs: {} })).toBe(0)
    }
  })
})
