import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import reference from './reference.json'
import type { Element } from './netlist'
import { elementsOf } from './testing/elementsOf'
import { network, place } from './testing/networks'
import { frequencies, sweep } from './response'
import { compile } from './solver'
import { sweepVariants } from './variants'

const hertz = frequencies(40)
/** Furthest apart of two gain curves, dB, where anything is heard at all. */
const apart = (a: Float64Array, b: Float64Array) => Math.max(...a.map((x, i) => (Math.max(x, b[i]!) < -110 ? 0 : Math.abs(x - b[i]!))))
const whole = (elements: Element[], output: [string, string]) => sweep(compile({ elements, output }), hertz)

describe('variants of one circuit, finished from where it was reduced to', () => {
  it.each(reference.cases.map((c) => [`${c.id} ${c.title}`, c] as const))('agree with the solver: %s', (_, c) => {
    const elements = elementsOf(c.netlist)
    const output = c.output as [string, string]
    // Each resistor and capacitor in turn is the part that varies: as it is, ten times as much, joined through, taken out.
    for (const e of elements.filter((x) => x.type === 'R' || x.type === 'C').slice(0, 12)) {
      if (e.type !== 'R' && e.type !== 'C') continue
      const rest = elements.filter((x) => x !== e)
      const forms: Element[][] = [[e], [{ ...e, value: 10 * e.value }], []]
      const got = sweepVariants({ elements: rest, output }, forms, hertz)
      forms.forEach((form, i) => expect(apart(got[i]!, whole([...rest, ...form], output))).toBeLessThan(0.001))
    }
  })
  it('agree on random networks with a source, with wires among what is added', () => {
    const joins = fc.array(fc.tuple(place, place), { maxLength: 2 })
    fc.assert(
      fc.property(network, joins, fc.tuple(place, place), fc.tuple(place, place), (parts, wires, [a, b], [tip, sleeve]) => {
        fc.pre(a !== b)
        const source: Element[] = [
          { type: 'V', ref: 'v', nodes: ['e', a], ac: 1 },
          { type: 'R', ref: 'r', nodes: ['e', b], value: 6000 },
        ]
        const ties = ['n1', 'n2', 'n3', 'n4', 'n5', 'n6'].map((n, i): Element => ({ type: 'R', ref: `t${i}`, nodes: [n, '0'], value: 1e7 }))
        const common = [...parts, ...source, ...ties]
        const forms = [
          [],
          wires.map((nodes, i): Element => ({ type: 'W', ref: `w${i}`, nodes })),
          [{ type: 'C', ref: 'c', nodes: ['e', sleeve], value: 1e-9 }],
        ] as Element[][]
        const got = sweepVariants({ elements: common, output: [tip, sleeve] }, forms, hertz)
        forms.forEach((form, i) => expect(apart(got[i]!, whole([...common, ...form], [tip, sleeve]))).toBeLessThan(0.001))
      }),
      { numRuns: 300 },
    )
  })
})
