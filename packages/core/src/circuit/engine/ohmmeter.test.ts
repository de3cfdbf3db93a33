import fc from 'fast-check'
import { create, all } from 'mathjs'
import { describe, expect, it } from 'vitest'
import type { Element } from './netlist'
import { ohmsBetween } from './ohmmeter'

const math = create(all!)

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
