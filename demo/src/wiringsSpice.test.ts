import { AMPLIFIER, CABLE_PER_METRE, compile, harnessOf, potsOf, switchStates, toNetlist, type Harness } from '@snug/core'
import { wirable } from '@snug/core/testing/wirable'
import { toSpice } from '@snug/formats'
import { Simulation } from 'eecircuit-engine'
import { beforeAll, describe, expect, it } from 'vitest'
import { dunlin } from './dunlin'
import { heron } from './heron'
import { plover } from './plover'

/** Outside check: every wiring, and the demo builds, in a general-purpose SPICE engine (WASM): every position at three knob settings. */
const load = { cable: 5 * CABLE_PER_METRE, amplifier: AMPLIFIER }
const KNOBS = [
  [10, 10],
  [7, 10],
  [10, 3],
] as const
const PAIR = { places: ['neck', 'bridge'] as const, contacts: 'toggle-3' }
const HUM = { ...PAIR, two: ['neck', 'bridge'] as const, leads: 'four' as const }
const TRIO = { places: ['neck', 'middle', 'bridge'] as const, contacts: 'lever-5' }
const BUILDS = {
  Heron: heron('2026-11-23', '2027-02-14', '2026-12-04'),
  Plover: plover('2026-11-23', '2027-02-14'),
  Dunlin: dunlin('2026-11-23', '2027-02-14', '2026-12-13'),
  'one pickup': wirable({ places: ['bridge'], options: { noLoad: 'yes', bleed: 'cap' } }),
  'two on a lever of three': wirable({ ...PAIR, contacts: 'lever-3' }),
  'two on a lever of five': wirable({ ...PAIR, contacts: 'lever-5', options: { toneAt: 'after' } }),
  'one or the other': wirable({ ...PAIR, contacts: 'on-on' }),
  'two on an on-on-on': wirable({ ...PAIR, contacts: 'on-on-on', options: { toneAt: 'after', bleed: 'series' } }),
  'two volumes, coupled': wirable({ ...PAIR, second: true, options: { volumes: 'two', tones: 'two' } }),
  'two volumes, independent': wirable({ ...PAIR, second: true, options: { volumes: 'two', style: 'independent', bleed: 'parallel' } }),
  'two on four': wirable({ ...PAIR, contacts: 'lever-4' }),
  'two humbuckers on four poles': wirable({ ...HUM, contacts: 'lever-5x4' }),
  'coils side by side': wirable({ ...HUM, pull: true, options: { pull: 'parallel' } }),
  'turned over': wirable({ ...HUM, pull: true, options: { pull: 'phase' } }),
  'straight to the jack': wirable({ ...HUM, pull: true, options: { pull: 'blower' } }),
  'three on five, two tones': wirable({ ...TRIO, second: true, options: { tones: 'two' } }),
  'two active ones': wirable({ ...PAIR, active: ['neck', 'bridge'] }),
  'a rotary of tones': wirable({ ...PAIR, rotary: true, options: { tone: 'rotary' } }),
  'three on a toggle, the middle mixed in': wirable({ ...TRIO, contacts: 'toggle-3', second: true }),
  'three on a rotary': wirable({ ...TRIO, contacts: 'rotary-6' }),
  'two on a rotary': wirable({ ...PAIR, contacts: 'rotary-5' }),
  'three on three': wirable({ ...TRIO, contacts: 'lever-3' }),
}
const harnessFor = (build: (typeof BUILDS)[keyof typeof BUILDS]): Harness => {
  const made = harnessOf(build)
  if (!made.ok) throw new Error(made.says ?? made.missing.join())
  return made.harness
}

describe('wirings against a SPICE engine', () => {
  const spice = new Simulation()
  beforeAll(() => spice.start(), 60_000)

  it.each(Object.entries(BUILDS))(
    '%s',
    async (_, build) => {
      const harness = harnessFor(build)
      for (const { switches } of switchStates(harness))
        for (const [volume, tone] of KNOBS) {
          const knobs = Object.fromEntries(potsOf(harness).map((p) => [p.id, p.id.startsWith('tone') ? tone : volume]))
          const netlist = toNetlist(harness, { switches, knobs }, load)
          const { text, tip } = toSpice('Trial', netlist, 12)
          spice.setNetList(text)
          const result = await spice.runSim()
          if (result.dataType !== 'complex') throw new Error('no sweep')
          const frequency = result.data.find((d) => d.type === 'frequency')!.values
          const voltage = result.data.find((d) => d.name === `v(${tip})`)!.values
          const solver = compile(netlist)
          const mine = { re: 0, im: 0 }
          expect(frequency.length).toBeGreaterThan(30)
          frequency.forEach((f, i) => {
            solver.solve(f.real, mine)
            const theirs = voltage[i]!
            const gain = 20 * Math.log10(Math.hypot(theirs.real, theirs.img))
            const own = 20 * Math.log10(Math.hypot(mine.re, mine.im))
            // Below a hundred thousandth of a volt what is left is the simulator's own contacts.
            if (gain > -80) expect(Math.abs(own - gain), `${JSON.stringify(switches)} at ${f.real} Hz`).toBeLessThan(0.002)
            else expect(own).toBeLessThan(-79)
          })
        }
    },
    60_000,
  )
})
