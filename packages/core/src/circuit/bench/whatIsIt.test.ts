import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { taperFraction } from '../model/taper'
import { SWITCHES, type SwitchName, type SwitchTable } from '../model/switches'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import { asKnown, nameLeads, namePot, nameSwitch, sameSwitch } from './whatIsIt'
import { topology } from './topology'

describe('an unmarked pot', () => {
  it.each([
    [462e3, 46e3, 500e3, 'audio'],
    [248e3, 125e3, 250e3, 'linear'],
    [510e3, 460e3, 500e3, 'reverse-audio'],
    [1.08e6, 100e3, 1e6, 'audio'],
  ] as const)('%f and %f half way', (outer, half, ohm, taper) => expect(namePot(outer, half)).toMatchObject({ ohm, taper }))
  it('any pot of any taper within a fifth of its value is named as what it is', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(25e3, 50e3, 100e3, 250e3, 500e3, 1e6),
        fc.constantFrom('audio' as const, 'linear' as const, 'reverse-audio' as const),
        fc.double({ min: 0.87, max: 1.13, noNaN: true }),
        (ohm, taper, off) => {
          expect(namePot(ohm * off, ohm * off * taperFraction(taper, 5))).toMatchObject({ taper })
          // 250 and 300 k overlap: either is right between them.
          if (ohm !== 250e3) expect(namePot(ohm * off, ohm * off * taperFraction(taper, 5)).ohm).toBe(ohm)
        },
      ),
    ))
  it('what cannot be is said', () => {
    expect(namePot(1e8, 0).says).toMatch(/track is broken/)
    expect(namePot(250e3, 400e3).says).toMatch(/cannot be more than all/)
  })
})

describe('an unknown switch', () => {
  const names = Object.keys(SWITCHES) as SwitchName[]
  /** The same with its lugs called otherwise and in another order. */
  const renamed = (t: SwitchTable, order: readonly number[]): SwitchTable => {
    const to = new Map(t.lugs.map((l, i) => [l, `lug ${order[i % order.length]! * 100 + i}`]))
    return {
      label: '',
      lugs: [...to.values()].toReversed(),
      positions: t.positions.map((p) => p.map(([a, b]) => [to.get(b)!, to.get(a)!] as const)),
    }
  }
  it.each(names.map((n) => [n] as const))('%s is found by its beeps, whatever its lugs are called', (name) =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 3 }), (order) => {
        const found = renamed(SWITCHES[name], order)
        const named = nameSwitch(found)!
        // Two that do the same are one: a slide is an on-on.
        expect(sameSwitch(SWITCHES[named.name], SWITCHES[name])).toBeDefined()
        for (const [i, pairs] of found.positions.entries())
          for (const [a, b] of pairs) {
            const known = SWITCHES[named.name].positions[named.turned ? found.positions.length - 1 - i : i] as readonly (readonly [
              string,
              string,
            ])[]
            const [p, q] = [named.lugs[a]!, named.lugs[b]!]
            expect(
              known.some(([x, y]) => (x === p && y === q) || (x === q && y === p)) || known.filter(([x]) => x === p || x === q).length > 1,
            ).toBe(true)
          }
      }),
      { numRuns: 10 },
    ),
  )
  it('one whose positions count from its other end turns the sounds round', () => {
    const found: SwitchTable = {
      label: '',
      lugs: ['x', 'y', 'z'],
      positions: [
        [['x', 'z']],
        [
          ['x', 'z'],
          ['x', 'y'],
        ],
        [['x', 'y']],
      ],
    }
    const build = wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3' })
    const known = asKnown(found, { name: 'toggle-3', lugs: { x: 'A0', y: 'A1', z: 'A2' } })
    const tables = { switch: { lugs: [...known.lugs], positions: known.positions.map((p) => ({ pairs: p.map(([a, b]) => ({ a, b })) })) } }
    const made = harnessOf({ ...build, circuit: { ...build.circuit, tables } })
    expect(made.ok && [1, 2, 3].map((p) => topology(made.harness, { switch: p }).words)).toEqual(['neck', 'neck ‖ bridge', 'bridge'])
  })
  it('one that does something else is none of them', () =>
    expect(nameSwitch({ label: '', lugs: ['a', 'b', 'c'], positions: [[['a', 'b']], [['b', 'c']], [['a', 'c']]] })).toBeUndefined())
})

describe('leads of a bought pickup', () => {
  const four = (ohms: Record<string, number>) => {
    const leads = ['red', 'green', 'white', 'black', 'bare']
    return leads.flatMap((a, i) => leads.slice(i + 1).map((b) => ({ a, b, ohm: ohms[`${a} ${b}`] ?? 1e8 })))
  }
  it('pairs by resistance, the screen alone, and what the whole should read', () => {
    const named = nameLeads(four({ 'red green': 4100, 'white black': 4300 }))
    expect(named.coils.map((c) => c.leads)).toEqual([
      ['red', 'green'],
      ['white', 'black'],
    ])
    expect(named.alone).toEqual(['bare'])
    // 4.1 + 4.3; 4.1 x 4.3 / 8.4.
    expect(named.says.join(' ')).toMatch(/In series the two should read 8\.40 k, side by side 2\.10 k/)
  })
  it('a broken coil leaves its leads alone', () => expect(nameLeads(four({ 'red green': 4100 })).alone).toEqual(['white', 'black', 'bare']))
  it('two leads that are one are said', () =>
    expect(nameLeads(four({ 'red green': 4100, 'white bare': 0.3 })).says[0]).toMatch(/white and bare are one/))
})
