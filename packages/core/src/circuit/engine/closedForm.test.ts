import { describe, expect, it } from 'vitest'
import reference from './reference.json'
import { taperFraction } from '../model/taper'
import type { Element } from './netlist'
import { ohmsBetween, reading } from './ohmmeter'
import { frequencies, gainAt, minus3dB, resonance } from './response'
import { compile } from './solver'

const loaded = (R: number, L: number, C: number, RL: number): Element[] => [
  { type: 'V', ref: 'V', nodes: ['e', '0'], ac: 1 },
  { type: 'R', ref: 'R', nodes: ['e', 'm'], value: R },
  { type: 'L', ref: 'L', nodes: ['m', 'tip'], value: L },
  { type: 'C', ref: 'C', nodes: ['tip', '0'], value: C },
  { type: 'R', ref: 'RL', nodes: ['tip', '0'], value: RL },
]

describe('loaded RLC low-pass: series R and L, shunt C with RL [physics]', () => {
  it.each(reference.closedForm.map((c) => [c.name, c] as const))('%s', (_, c) => {
    const solver = compile({ elements: loaded(c.R, c.L, c.C, c.RL), output: ['tip', '0'] })
    const w0 = Math.sqrt((1 + c.R / c.RL) / (c.L * c.C))
    const Q = Math.sqrt((1 + c.R / c.RL) * c.L * c.C) / (c.L / c.RL + c.R * c.C)
    const A0 = c.RL / (c.R + c.RL)
    for (const f of frequencies(40)) {
      const s = (2 * Math.PI * f) / w0
      const exact = 20 * Math.log10(A0 / Math.hypot(1 - s * s, s / Q))
      expect(gainAt(solver, f)).toBeCloseTo(exact, 9)
    }
    // The formula counts from the gain at 0 Hz, the engine from 20 Hz; they differ by some 1e-5.
    expect(minus3dB(solver)! / c.f3_hz).toBeCloseTo(1, 3)
    if (Q > Math.SQRT1_2) expect(resonance(solver)!.hertz / c.fp_hz!).toBeCloseTo(1, 5)
    else expect(resonance(solver)).toBeUndefined()
  })
})

describe('engine', () => {
  it('names nodes that hang on nothing', () => {
    const elements: Element[] = [...loaded(6000, 2.5, 610e-12, 2e5), { type: 'R', ref: 'lost', nodes: ['x', 'y'], value: 1000 }]
    expect(compile({ elements, output: ['tip', '0'] }).floating).toHaveLength(1)
  })
  it('refuses a source whose ends are joined', () => {
    const elements: Element[] = [
      { type: 'V', ref: 'coil', nodes: ['a', '0'], ac: 1 },
      { type: 'W', ref: 'w', nodes: ['a', '0'] },
    ]
    expect(() => compile({ elements, output: ['a', '0'] })).toThrow(/coil/)
  })
  it('two equal coils in series are one of twice everything', () => {
    const half = (from: string, to: string, n: string): Element[] => [
      { type: 'V', ref: `V${n}`, nodes: [`e${n}`, from], ac: 1 },
      { type: 'R', ref: `R${n}`, nodes: [`e${n}`, `m${n}`], value: 4000 },
      { type: 'L', ref: `L${n}`, nodes: [`m${n}`, to], value: 2 },
    ]
    const load: Element[] = [{ type: 'R', ref: 'RL', nodes: ['tip', '0'], value: 4e5 }]
    const two = compile({ elements: [...half('0', 'link', '1'), ...half('link', 'tip', '2'), ...load], output: ['tip', '0'] })
    const one = compile({
      elements: [
        { type: 'V', ref: 'V', nodes: ['e', '0'], ac: 2 },
        { type: 'R', ref: 'R', nodes: ['e', 'm'], value: 8000 },
        { type: 'L', ref: 'L', nodes: ['m', 'tip'], value: 4 },
        ...load,
      ],
      output: ['tip', '0'],
    })
    for (const f of [50, 1000, 8000]) expect(gainAt(two, f)).toBeCloseTo(gainAt(one, f), 10)
  })
})

describe('ohmmeter [physics]', () => {
  const jack = (coil: number, pot: number): Element[] => [
    { type: 'R', ref: 'coil', nodes: ['hot', '0'], value: coil },
    { type: 'R', ref: 'pot', nodes: ['hot', '0'], value: pot },
  ]
  it.each([
    [8800, 250e3, 8501],
    [8800, 500e3, 8648],
    [8800, 1e6, 8723],
    [16500, 500e3, 15973],
  ])('%i ohm with a %i pot reads %i', (coil, pot, reads) => expect(ohmsBetween(jack(coil, pot), 'hot', '0')).toBeCloseTo(reads, 0))
  it('reads an open line where nothing connects', () => {
    const elements: Element[] = [
      { type: 'R', ref: 'a', nodes: ['x', '0'], value: 1 },
      { type: 'C', ref: 'c', nodes: ['tip', '0'], value: 1e-9 },
    ]
    expect(ohmsBetween(elements, 'tip', '0')).toBe(Infinity)
  })
})

// [published: ASTM B258; IEC 60028]

it('audio taper holds a tenth of its resistance at half turn [practice]', () => {
  expect([0, 5, 6, 10].map((k) => taperFraction('audio', k))).toEqual([0, 0.1, expect.closeTo(0.28, 9), 1])
  expect(taperFraction('reverse-audio', 5)).toBeCloseTo(0.9, 12)
})

describe('what an ohmmeter reads', () => {
  const network: Element[] = [
    { type: 'R', ref: 'a', nodes: ['1', '2'], value: 8000 },
    { type: 'R', ref: 'b', nodes: ['2', '0'], value: 5000 },
    { type: 'R', ref: 'c', nodes: ['1', '0'], value: 500e3 },
    { type: 'R', ref: 'aside', nodes: ['1', '9'], value: 100 },
    { type: 'L', ref: 'coil', nodes: ['2', '3'], value: 4 },
    { type: 'R', ref: 'd', nodes: ['3', '0'], value: 20e3 },
  ]
  it('is made up by its resistors: (8 + 5 ‖ 20) ‖ 500 kΩ, and their shares add up to it [published: Tellegen’s theorem]', () => {
    const { ohm, shares } = reading(network, '1', '0')
    expect(ohm).toBeCloseTo(1 / (1 / (8000 + 1 / (1 / 5000 + 1 / 20e3)) + 1 / 500e3), 6)
    expect([...shares.values()].reduce((s, x) => s + x, 0)).toBeCloseTo(ohm, 6)
    expect(shares.get('aside')).toBe(0)
  })
  it('each share is the slope on its resistor: a hundredth of a percent more of it moves the reading by that much of its share', () => {
    const { ohm, shares } = reading(network, '1', '0')
    for (const e of network) {
      if (e.type !== 'R') continue
      const more = reading(
        network.map((o) => (o === e ? { ...e, value: e.value * 1.0001 } : o)),
        '1',
        '0',
      ).ohm
      expect((more - ohm) / 0.0001 / 10, e.ref).toBeCloseTo(shares.get(e.ref)! / 10, 0)
    }
  })
})
