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
})
