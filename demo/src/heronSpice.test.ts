import { AMPLIFIER, CABLE_PER_METRE, compile, harnessOf, toNetlist, type Setting } from '@snug/core'
import { toSpice } from '@snug/formats'
import { Simulation } from 'eecircuit-engine'
import { beforeAll, describe, expect, it } from 'vitest'
import { heron } from './heron'

/** Outside check: Heron's harness in a general-purpose SPICE engine (WASM), every position at three knob settings. */
const scheme = harnessOf(heron('2026-11-23', '2027-02-14', '2026-12-04'))
if (!scheme.ok) throw new Error('Heron has all it needs')
const load = { cable: 5 * CABLE_PER_METRE, amplifier: AMPLIFIER }
const KNOBS: [number, number][] = [
  [10, 10],
  [7, 10],
  [10, 3],
]
const SETTINGS: Setting[] = [1, 2, 3, 4, 5].flatMap((position) =>
  KNOBS.map(([volume, tone]) => ({ switches: { switch: position }, knobs: { volume, tone } })),
)

describe('Heron’s harness against a SPICE engine', () => {
  const spice = new Simulation()
  beforeAll(() => spice.start(), 60_000)

  it.each(SETTINGS.map((s) => [`position ${s.switches.switch}, volume ${s.knobs.volume}, tone ${s.knobs.tone}`, s] as const))(
    '%s',
    async (_, setting) => {
      const netlist = toNetlist(scheme.harness, setting, load)
      const { text, tip } = toSpice('Heron', netlist, 20)
      spice.setNetList(text)
      const result = await spice.runSim()
      expect(result.dataType).toBe('complex')
      if (result.dataType !== 'complex') return
      const frequency = result.data.find((d) => d.type === 'frequency')!.values
      const voltage = result.data.find((d) => d.name === `v(${tip})`)!.values
      const solver = compile(netlist)
      const mine = { re: 0, im: 0 }
      expect(frequency.length).toBeGreaterThan(55)
      frequency.forEach((f, i) => {
        solver.solve(f.real, mine)
        const theirs = voltage[i]!
        const gain = 20 * Math.log10(Math.hypot(theirs.real, theirs.img))
        expect(Math.abs(20 * Math.log10(Math.hypot(mine.re, mine.im)) - gain)).toBeLessThan(0.002)
      })
    },
    20_000,
  )
})
