import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Element } from './netlist'
import { ohmsBetween } from './ohmmeter'
import { ohmTable } from './ohmTable'

const name = fc.integer({ min: 0, max: 8 }).map((n) => `n${n}`)
const element: fc.Arbitrary<Element> = fc
  .oneof(
    {
      weight: 5,
      arbitrary: fc.record({ type: fc.constant('R' as const), a: name, b: name, value: fc.double({ min: 1, max: 1e6, noNaN: true }) }),
    },
    { weight: 1, arbitrary: fc.record({ type: fc.constant('W' as const), a: name, b: name, value: fc.constant(0) }) },
    { weight: 1, arbitrary: fc.record({ type: fc.constant('L' as const), a: name, b: name, value: fc.constant(2) }) },
    { weight: 1, arbitrary: fc.record({ type: fc.constant('C' as const), a: name, b: name, value: fc.constant(1e-9) }) },
  )
  .map(({ type, a, b, value }) => ({ type, ref: `${type}${a}${b}`, nodes: [a, b] as const, value }) as Element)

describe('a table of readings', () => {
  it('agrees with one reading at a time, between any two nodes of random circuits', () =>
    fc.assert(
      fc.property(fc.array(element, { minLength: 1, maxLength: 18 }), (elements) => {
        const table = ohmTable(elements)
        const names = [...new Set(elements.flatMap((e) => ('nodes' in e ? e.nodes : [])))]
        for (const a of names)
          for (const b of names) {
            const one = ohmsBetween(elements, a, b)
            const all = table(a, b)
            if (Number.isFinite(one)) expect(Math.abs(all - one)).toBeLessThanOrEqual(1e-6 * one + 1e-6)
            else expect(all).toBe(Infinity)
          }
      }),
      { numRuns: 300 },
    ))
  it('a node that is not there is open to everything', () => {
    const table = ohmTable([{ type: 'R', ref: 'r', nodes: ['a', 'b'], value: 5 }])
    expect([table('a', 'b'), table('a', 'x'), table('a', 'a')]).toEqual([expect.closeTo(5, 9), Infinity, 0])
  })
})
