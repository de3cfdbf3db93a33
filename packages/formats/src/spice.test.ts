import type { Netlist } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { toSpice } from './spice'

const netlist: Netlist = {
  output: ['jack.tip', '0'],
  elements: [
    { type: 'V', ref: 'V a', nodes: ['a.emf', 'a.start'], ac: -1 },
    { type: 'R', ref: 'R a', nodes: ['a.emf', 'a.wire'], value: 6000 },
    { type: 'L', ref: 'L a', nodes: ['a.wire', 'jack.tip'], value: 2.5 },
    { type: 'L', ref: 'L b', nodes: ['a.wire', 'jack.tip'], value: 2.5 },
    { type: 'K', ref: 'K', inductors: ['L a', 'L b'], k: 0.3 },
    { type: 'W', ref: 'wire', nodes: ['a.start', '0'] },
    { type: 'C', ref: 'C', nodes: ['jack.tip', '0'], value: 5e-10 },
    { type: 'W', ref: 'loose', nodes: ['switch.D0', 'switch.D1'] },
  ],
}

describe('SPICE file', () => {
  const { text, tip } = toSpice('Trial\nsecond line', netlist, 20)
  const lines = text.split('\n')
  it('has one title line, node names in comments, and ends', () => {
    expect(lines[0]).toBe('Trial second line')
    expect(lines).toContain(`* ${tip} = jack.tip`)
    expect(lines.filter((l) => l === '.end')).toHaveLength(1)
    expect(text).toMatch(/\.ac dec 20 20 20000/)
  })
  it('writes phase for a reversed coil, couplings by the names it gave, contacts as a milliohm', () => {
    expect(text).toMatch(/^V1 \S+ \S+ DC 0 AC 1 180$/m)
    expect(text).toMatch(/^K5 L3 L4 0\.3$/m)
    expect(text).toMatch(/^R6 \S+ 0 0\.001$/m)
  })
  it('ties down only what nothing ties to ground', () => {
    const leaks = lines.filter((l) => l.startsWith('Rleak'))
    expect(leaks).toHaveLength(1)
    expect(lines.find((l) => l.startsWith('R8'))!.split(' ')).toContain(leaks[0]!.split(' ')[1])
  })
})
