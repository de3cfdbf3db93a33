import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { WireEdit } from '../../document/build'
import { wirable } from '../../testing/wirable'
import { circuitPicture } from '../bench/picture'
import { harnessDrawing } from '../bench/harnessDrawing'
import { listeningSheet } from '../bench/listening'
import { meterBetween } from '../bench/freeMeter'
import { wireResult } from '../bench/wireResult'
import { lugsOf } from '../model/harness'
import { wireKey } from './edited'
import { harnessOf } from './harnessOf'
import { holds } from '../../testing/holds'

const LOAD = { cable: 500e-12, amplifier: 1e6 }
const builds = [
  wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', two: ['bridge'], leads: 'four', pull: true, options: { pull: 'split' } }),
  wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' }),
  wirable({ places: ['bridge'] }),
]
const cases = builds.map((build) => {
  const made = harnessOf(build)
  if (!made.ok) throw new Error('no harness')
  const lugs = made.harness.components.flatMap(lugsOf)
  return { build, wires: made.harness.wires.filter((w) => !w.inside), lugs }
})
const anyEdited = fc.constantFrom(...cases).chain(({ build, wires, lugs }) =>
  fc
    .record({
      cut: fc.subarray(wires, { minLength: 0 }),
      added: fc.array(fc.tuple(fc.constantFrom(...lugs), fc.constantFrom(...lugs)), { maxLength: 4 }),
    })
    .map(({ cut, added }) => {
      const edits: Record<string, WireEdit> = Object.fromEntries([
        ...cut.map(({ from, to, role }) => [wireKey(from, to), { is: 'cut', from, to, role }] as const),
        ...added.filter(([a, b]) => a !== b).map(([from, to]) => [wireKey(from, to), { is: 'added', from, to, role: 'signal' }] as const),
      ])
      return { build: { ...build, circuit: { ...build.circuit, edits } }, lugs }
    }),
)

describe('a harness changed by hand, any wires cut and added', () => {
  it('still has every result: floating parts, loops and a dead jack are outcomes, no errors', () =>
    void holds(
      fc.property(anyEdited, ({ build, lugs }) => {
        const w = wireResult(build)
        if (!w.ok) throw new Error('no longer a circuit')
        for (const p of w.positions) {
          expect(p.topology.words).toBeTruthy()
          expect(Number.isNaN(p.reading.ohm)).toBe(false)
        }
        const first = { switches: w.positions[0]!.switches, knobs: {} }
        for (const c of circuitPicture(w.harness, LOAD, 'volume', {}, 9).curves)
          for (const gain of c.gains) expect(Number.isNaN(gain)).toBe(false)
        expect(harnessDrawing(w.harness, first.switches, 'solder').marks.length).toBeGreaterThan(0)
        expect(listeningSheet(w.harness, {}).rows.length).toBe(w.positions.length)
        expect(Number.isNaN(meterBetween(w.harness, first, lugs[0]!, lugs.at(-1)!).ohm)).toBe(false)
      }),
      480,
    ))
})
