import { compile, gainAt, harnessOf, toNetlist } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { describe, expect, it } from 'vitest'
import { toSpice } from './spice'
import { readSpice } from './spiceIn'

const value = (text: string) => {
  const found = readSpice(text)
  if (!found.ok) throw new Error(found.why)
  return found.value
}
const why = (text: string) => {
  const found = readSpice(text)
  return found.ok ? '' : found.why
}

describe('a circuit file read', () => {
  it('our own comes back as the same circuit, in every position, to 0.001 dB', () => {
    const made = harnessOf(fullBuild())
    if (!made.ok) throw new Error('missing')
    for (const position of [1, 2, 3, 4, 5]) {
      const netlist = toNetlist(
        made.harness,
        { switches: { switch: position }, knobs: { tone: 4, volume: 7 } },
        { cable: 5e-10, amplifier: 1e6 },
      )
      const [mine, back] = [compile(netlist), compile(value(toSpice('Trial', netlist).text))]
      for (const f of [20, 300, 1000, 3000, 5000, 15000]) expect(gainAt(back, f)).toBeCloseTo(gainAt(mine, f), 3)
    }
  })
  it('reads figures, comments, continued lines and a turned source as simulators do', () => {
    const n = value(
      'a title\n* n1 = jack.tip\nV1 a 0 DC 0\n+ AC 1 180 ; coil\nR1 a b 5.9kohm\nL1 b n1 2.5\nC1 n1 0 500p\nR2 n1 0 1Meg\n.ac dec 10 20 20k\n.end',
    )
    expect(n.output).toEqual(['n1', '0'])
    expect(n.elements).toEqual([
      { type: 'V', ref: 'V1', nodes: ['a', '0'], ac: -1 },
      { type: 'R', ref: 'R1', nodes: ['a', 'b'], value: 5900 },
      { type: 'L', ref: 'L1', nodes: ['b', 'n1'], value: 2.5 },
      { type: 'C', ref: 'C1', nodes: ['n1', '0'], value: 500e-12 },
      { type: 'R', ref: 'R2', nodes: ['n1', '0'], value: 1e6 },
    ])
  })
})

describe('what cannot be is a sentence', () => {
  it.each([
    ['t\nQ1 a b c model', /Q is not known here/],
    ['t\nR1 a a 5k\nR2 a 0 1k', /both ends of R1 are on node a/],
    ['t\nR1 a 0 5k\nr1 a 0 1k', /two parts called r1/],
    ['t\nR1 a 0 many', /“many” is no figure/],
    ['t\nR1 a 0 -5', /less than nothing/],
    ['t\nC1 a 0 0', /a capacitor of nothing/],
    ['t\nR1 a b 5k', /No part is joined to node 0/],
    ['t\n* nothing', /no part in the file/],
    ['t\nV1 a 0 AC 1\nR1 a 0 0.001', /V1/],
    ['t\nL1 a 0 2\nL2 b 0 2\nK1 L1 L2 1.2', /between -1 and 1/],
    ['t\nR1 a 0 1k\nK1 L1 L2 0.5', /not in the circuit/],
  ])('%j', (text, sentence) => expect(why(text)).toMatch(sentence))
})
