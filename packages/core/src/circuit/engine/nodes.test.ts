import { describe, expect, it } from 'vitest'
import { GROUND, type Element } from './netlist'
import { mergeNodes } from './nodes'

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
  it('offsets add up whichever way a source hangs: x = 2 on ground, y = x - 1, z = y + 5, p = q + 1, p = x + 3', () => {
    const v = (ref: string, a: string, b: string, ac: number): Element => ({ type: 'V', ref, nodes: [a, b], ac })
    const m = mergeNodes([
      v('1', 'x', GROUND, 2),
      v('2', 'x', 'y', 1),
      v('3', 'z', 'y', 5),
      v('4', 'p', 'q', 1),
      v('5', 'p', 'x', 3),
      v('6', GROUND, 'w', 4),
    ])
    for (const name of ['x', 'y', 'z', 'p', 'q', 'w']) expect(m.find(name).root, name).toBe(m.ground)
    expect(['x', 'y', 'z', 'p', 'q', 'w'].map((n) => m.find(n).offset)).toEqual([2, 1, 6, 5, 4, -4])
  })
  it('a source beside its equal says the same again; one a hair off contradicts it, by way of others too', () => {
    const v = (ref: string, a: string, b: string, ac: number): Element => ({ type: 'V', ref, nodes: [a, b], ac })
    const chain = [v('1', 'x', GROUND, 2), v('2', 'y', 'x', 3)]
    expect(() => mergeNodes([...chain, v('again', 'y', GROUND, 5)])).not.toThrow()
    expect(() => mergeNodes([...chain, v('back', GROUND, 'y', -5)])).not.toThrow()
    expect(() => mergeNodes([...chain, v('off', 'y', GROUND, 5.001)])).toThrow(/^off is shorted/)
    expect(() => mergeNodes([...chain, v('turned', GROUND, 'y', 5)])).toThrow(/^turned is shorted/)
    expect(() => mergeNodes([v('wired', 'a', 'b', 1), { type: 'W', ref: 'w', nodes: ['a', 'b'] }])).toThrow(/^wired is shorted/)
  })
  it('without its sources a circuit has their ends joined', () => {
    const m = mergeNodes([{ type: 'V', ref: '1', nodes: ['x', GROUND], ac: 2 }], false)
    expect(m.find('x')).toEqual({ root: m.ground, offset: 0 })
  })
})
