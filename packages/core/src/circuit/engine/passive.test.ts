import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Element } from './netlist'
import { compile } from './solver'
import { log, network, place } from './testing/networks'

/** A branch with a source and a resistance of its own between two places: by the voltage over that its current is seen. */
const branch = (id: string, a: string, b: string, ohm: number, ac: number): Element[] => [
  { type: 'V', ref: `v ${id}`, nodes: [`${id} e`, a], ac },
  { type: 'R', ref: `r ${id}`, nodes: [`${id} e`, b], value: ohm },
]
const current = (elements: Element[], id: string, b: string, ohm: number, hertz: number) => {
  const out = { re: 0, im: 0 }
  compile({ elements, output: [`${id} e`, b] }).solve(hertz, out)
  return { re: out.re / ohm, im: out.im / ohm }
}
const ends = fc.tuple(place, place).filter(([a, b]) => a !== b)

describe('networks of passive parts', () => {
  it('are reciprocal: what a source here drives there, it would drive here from there [physics]', () =>
    fc.assert(
      fc.property(network, ends, ends, log(20, 20000), (parts, [a, b], [c, d], hertz) => {
        const both = (here: number, there: number) => [...parts, ...branch('x', a, b, 6000, here), ...branch('y', c, d, 1e5, there)]
        const over = current(both(1, 0), 'y', d, 1e5, hertz)
        const back = current(both(0, 1), 'x', b, 6000, hertz)
        const size = Math.max(Math.hypot(over.re, over.im), 1e-15)
        expect(Math.hypot(over.re - back.re, over.im - back.im)).toBeLessThanOrEqual(1e-6 * size + 1e-14)
      }),
      { numRuns: 400 },
    ))
  it('give nothing that was not put in: no source takes power from them [physics]', () =>
    fc.assert(
      fc.property(network, ends, log(20, 20000), (parts, [a, b], hertz) => {
        const { re } = current([...parts, ...branch('x', a, b, 6000, 1)], 'x', b, 6000, hertz)
        expect(re).toBeGreaterThanOrEqual(-1e-12)
      }),
      { numRuns: 400 },
    ))
})
