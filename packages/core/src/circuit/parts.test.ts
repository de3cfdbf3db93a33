import fc from 'fast-check'
import { create, all } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { awgDiameter, awgOhmPerMetre } from '../physics/wireGauge'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { dcAtJack, predictReading } from './bench/readings'
import { topology } from './bench/topology'
import { wireList } from './bench/wireList'
import { GROUND, type Element } from './engine/netlist'
import { mergeNodes } from './engine/nodes'
import { ohmsBetween } from './engine/ohmmeter'
import { toNetlist, type Harness } from './model/harness'
import { SWITCHES } from './model/switches'
import { taperFraction } from './model/taper'
import { coilsOf } from './schemes/pickupCoils'
import { harnessOf as wired } from './schemes/harnessOf'

const math = create(all!)
const harnessOf = (b = fullBuild()): Harness => {
  const made = wired(b)
  if (!made.ok) throw new Error(made.missing.join())
  return made.harness
}
const at = (position: number, knobs = {}) => ({ switches: { switch: position }, knobs })

describe('switch tables', () => {
  it.each(Object.entries(SWITCHES))('%s: every contact joins two of its own lugs, commons first', (_, table) => {
    const lugs = new Set(table.lugs)
    expect(lugs.size).toBe(table.lugs.length)
    for (const position of table.positions)
      for (const [a, b] of position) {
        expect(lugs.has(a) && lugs.has(b)).toBe(true)
        expect(a.endsWith('0')).toBe(true)
        expect(a[0]).toBe(b[0])
      }
  })
  it('in-between positions of two poles bridge neighbours; four poles keep every contact apart', () => {
    const on = (name: string, p: number) => SWITCHES[name]!.positions[p - 1]!.filter(([a]) => a === 'A0').map(([, b]) => b)
    expect([1, 2, 3, 4, 5].map((p) => on('lever-5', p))).toEqual([['A1'], ['A1', 'A2'], ['A2'], ['A2', 'A3'], ['A3']])
    expect([1, 2, 3, 4, 5].map((p) => on('lever-5x4', p))).toEqual([['A1'], ['A2'], ['A3'], ['A4'], ['A5']])
    expect([1, 2, 3].map((p) => on('toggle-3', p))).toEqual([['A1'], ['A1', 'A2'], ['A2']])
  })
})

describe('tapers [practice]', () => {
  it.each(['audio', 'linear', 'reverse-audio'] as const)('%s runs from nothing to all, and never back', (taper) => {
    expect(taperFraction(taper, 0)).toBe(0)
    expect(taperFraction(taper, 10)).toBe(1)
    for (let k = 0; k < 10; k += 0.25) expect(taperFraction(taper, k + 0.25)).toBeGreaterThan(taperFraction(taper, k))
  })
  it('audio gives a tenth at half turn, reverse the mirror of it', () => {
    expect(taperFraction('audio', 5)).toBeCloseTo(0.1, 12)
    expect(taperFraction('reverse-audio', 5)).toBeCloseTo(0.9, 12)
    for (let k = 0; k <= 10; k++) expect(taperFraction('reverse-audio', k)).toBeCloseTo(1 - taperFraction('audio', 10 - k), 12)
  })
  it('beyond its ends it stays at its ends', () => expect([taperFraction('linear', -3), taperFraction('linear', 14)]).toEqual([0, 1]))
})

describe('ohmmeter', () => {
  const R = (a: string, b: string, value: number): Element => ({ type: 'R', ref: `${a}${b}`, nodes: [a, b], value })
  it('series, parallel, nothing between, the same node [physics]', () => {
    expect(ohmsBetween([R('a', 'b', 100), R('b', 'c', 50)], 'a', 'c')).toBeCloseTo(150, 9)
    expect(ohmsBetween([R('a', 'b', 100), R('a', 'b', 100)], 'a', 'b')).toBeCloseTo(50, 9)
    expect(ohmsBetween([R('a', 'b', 100), R('c', 'd', 100)], 'a', 'c')).toBe(Infinity)
    expect(ohmsBetween([R('a', 'b', 100)], 'a', 'a')).toBe(0)
  })
  it('a bridge of five resistors, against the linear algebra of a general library', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 10, max: 1e5, noNaN: true }), { minLength: 5, maxLength: 5 }), ([p, q, r, s, m]) => {
        const mine = ohmsBetween([R('a', 'x', p!), R('a', 'y', q!), R('x', 'b', r!), R('y', 'b', s!), R('x', 'y', m!)], 'a', 'b')
        const g = [1 / p!, 1 / q!, 1 / r!, 1 / s!, 1 / m!] as const
        const G = [
          [g[0] + g[1], -g[0], -g[1]],
          [-g[0], g[0] + g[2] + g[4], -g[4]],
          [-g[1], -g[4], g[1] + g[3] + g[4]],
        ]
        const v = math.lusolve(G, [1, 0, 0]) as unknown as number[][]
        expect(mine / v[0]![0]!).toBeCloseTo(1, 9)
      }),
    )
  })
  it('capacitors are open, coils are their wire, sources are silent', () => {
    const elements: Element[] = [
      { type: 'V', ref: 'V', nodes: ['a', 'b'], ac: 1 },
      R('b', 'c', 6000),
      { type: 'L', ref: 'L', nodes: ['c', 'd'], value: 3 },
      { type: 'C', ref: 'C', nodes: ['a', 'd'], value: 1e-9 },
    ]
    expect(ohmsBetween(elements, 'a', 'd')).toBeCloseTo(6000, 9)
    expect(ohmsBetween([{ type: 'C', ref: 'C', nodes: ['a', 'b'], value: 1e-9 }], 'a', 'b')).toBe(Infinity)
  })
})

describe('merging nodes', () => {
  it('wires make one node of many, ground stays itself', () => {
    const m = mergeNodes([
      { type: 'W', ref: '1', nodes: ['a', 'b'] },
      { type: 'W', ref: '2', nodes: ['b', GROUND] },
      { type: 'R', ref: '3', nodes: ['c', 'a'], value: 1 },
    ])
    expect(m.find('a').root).toBe(m.ground)
    expect(m.find('c').root).not.toBe(m.ground)
    expect(() => m.find('nowhere')).toThrow(/no node called nowhere/)
  })
  it('a source is an offset; two that contradict each other are named', () => {
    const v = (ref: string, a: string, b: string, ac: number): Element => ({ type: 'V', ref, nodes: [a, b], ac })
    const m = mergeNodes([v('one', 'a', GROUND, 2), v('two', 'b', 'a', 3)])
    expect(m.find('b').offset).toBeCloseTo(5, 12)
    expect(() => mergeNodes([v('one', 'a', GROUND, 2), v('two', 'a', GROUND, 3)])).toThrow(/^two is shorted/)
  })
})

describe('coils of a pickup', () => {
  it('a humbucker is two windings of one sense and opposite magnets that share its resistance', () => {
    const [a, b] = coilsOf(fullBuild(), 'neck')
    expect(a!.ohm + b!.ohm).toBeCloseTo(8000, 9)
    expect([a!.winding, b!.winding]).toEqual([1, 1])
    expect(a!.magnet).toBe(-b!.magnet)
    expect(b!.at.x - a!.at.x).toBeCloseTo(18, 9)
  })
  it('inductance is guessed from resistance and marked so when it is not given', () => {
    const [coil] = coilsOf(changed(fullBuild(), { 'pickup-middle/inductance': undefined }), 'middle')
    expect(coil!.estimated).toBe(true)
    expect(coilsOf(fullBuild(), 'middle')[0]!.estimated).toBe(false)
  })
  it('without a resistance there is nothing to wire', () =>
    expect(coilsOf(changed(fullBuild(), { 'pickup-neck/resistance': undefined }), 'neck')).toEqual([]))
})

describe('harness of the full build', () => {
  const harness = harnessOf()
  it('every wire ends on a lug of a component there is', () => {
    const ids = new Set(harness.components.map((c) => c.id))
    for (const w of harness.wires) for (const lug of [w.from, w.to]) expect(ids.has(lug.slice(0, lug.lastIndexOf('.'))), lug).toBe(true)
  })
  it('every position sounds something and reads on a meter', () => {
    for (const position of [1, 2, 3, 4, 5]) {
      expect(topology(harness, at(position).switches).sounding.length).toBeGreaterThan(0)
      expect(dcAtJack(harness, at(position))).toBeGreaterThan(1000)
    }
  })
  it('the predicted band holds what a part off by its own doubt would read', () => {
    const b = fullBuild()
    const { ohm, doubt } = predictReading(b, harness, at(1))
    const more = changed(b, { 'pickup-bridge/resistance': 8080 })
    const off = dcAtJack(harnessOf(more), at(1))
    expect(Math.abs(off - ohm)).toBeLessThanOrEqual(doubt)
    expect(doubt).toBeLessThan(ohm * 0.1)
  })
  it('volume down reads less and less, and nothing at zero', () => {
    const read = (volume: number) => dcAtJack(harness, at(3, { volume }))
    expect(read(0)).toBe(0)
    expect(read(10)).toBeGreaterThan(0)
  })
  it('tone does not show on a meter: its capacitor is open', () => {
    const read = (tone: number) => dcAtJack(harness, at(1, { tone }))
    expect(read(0)).toBeCloseTo(read(10), 6)
  })
  it('a meter load is the jack alone; a cable and an amplifier come with a load', () => {
    const bare = toNetlist(harness, at(1)).elements.map((e) => e.ref)
    const loaded = toNetlist(harness, at(1), { cable: 5e-10, amplifier: 1e6 }).elements.map((e) => e.ref)
    expect(bare).not.toContain('cable')
    expect(loaded).toEqual(expect.arrayContaining(['cable', 'amplifier']))
  })
  it('the wire list holds every wire once, in stages that only go forward', () => {
    const rows = wireList(harness)
    expect(rows).toHaveLength(harness.wires.length)
    const order = ['tone capacitor and jumpers', 'controls', 'grounds', 'pickups', 'jack']
    for (let i = 1; i < rows.length; i++) expect(order.indexOf(rows[i]!.stage)).toBeGreaterThanOrEqual(order.indexOf(rows[i - 1]!.stage))
  })
  it('says what is missing', () => {
    const made = wired(without(fullBuild(), 'switch', 'jack'))
    expect(!made.ok && made.missing.toSorted()).toEqual(['jack', 'switch'])
  })
})

describe('wire gauge', () => {
  // [published: ASTM B258]
  it.each([
    [22, 0.644],
    [24, 0.511],
    [26, 0.405],
    [42, 0.0633],
  ])('AWG %i is %f mm', (n, d) => expect(awgDiameter(n)).toBeCloseTo(d, d > 0.1 ? 3 : 4))
  // [published: IEC 60028]
  it('AWG 22 reads 0.0530 and 42 5.47 ohm a metre; warm copper 0.393 % a kelvin more', () => {
    expect(awgOhmPerMetre(22)).toBeCloseTo(0.053, 3)
    expect(awgOhmPerMetre(42)).toBeCloseTo(5.47, 2)
    expect(awgOhmPerMetre(42, 30) / awgOhmPerMetre(42)).toBeCloseTo(1.0393, 4)
  })
  it('three gauges on halve the section', () => expect((awgDiameter(25) / awgDiameter(22)) ** 2).toBeCloseTo(0.5, 2))
})
