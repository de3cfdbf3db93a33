import { describe, expect, it } from 'vitest'
import reference from './reference.json'
import { OPEN_LINE } from '../../quantity/electrical'
import { ohmsBetween } from './ohmmeter'
import { ohmTable } from './ohmTable'
import { gainAt, minus3dB, phaseAt, resonance } from './response'
import { compile } from './solver'
import { elementsOf } from './testing/elementsOf'

/**
 * Outside check: circuits of one pickup (A), coils together (B), two-volume wirings (C), three pickups on a 5-way (D), a preset circuit (E),
 * 24 faults in them (F), active sources (G) and hands on metal (FT), every figure computed with ngspice 39.3. There a closed contact is 1 mohm and an open one 1 Tohm; here contacts merge
 * nodes or are left out, which the tolerances allow for.
 */
const t = reference.tolerances

const turn = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180)

describe('circuit engine against ngspice 39.3', () => {
  it.each(reference.cases.map((c) => [`${c.id} ${c.title}`, c] as const))('%s', (_, c) => {
    const elements = elementsOf(c.netlist)
    const solver = compile({ elements, output: c.output as [string, string] })
    for (const [hertz, gain, phase] of c.response as [number, number, number][]) {
      const mine = gainAt(solver, hertz)
      if (c.silent) expect(mine).toBeLessThan(-100)
      else if (gain > -80) {
        expect(Math.abs(mine - gain)).toBeLessThan(t.gain_db_above_minus_80)
        expect(turn(phaseAt(solver, hertz), phase)).toBeLessThan(t.phase_deg_above_minus_80)
      } else if (gain > -150) expect(Math.abs(mine - gain)).toBeLessThan(t.gain_db_minus_150_to_minus_80)
    }
    const peak = c.silent ? undefined : resonance(solver)
    if (c.resonance && !c.silent) {
      expect(Math.abs(peak!.hertz / c.resonance[0]! - 1)).toBeLessThan(t.resonance_f_relative)
      expect(Math.abs(peak!.decibel - c.resonance[1]!)).toBeLessThan(t.resonance_db)
    }
    if (c.minus3 && !c.silent) expect(Math.abs(minus3dB(solver)! / c.minus3 - 1)).toBeLessThan(t.minus_3db_relative)
    // The ohmmeter's circuit has no amplifier on the jack.
    const metered = elements.filter((e) => e.ref !== 'Ramp')
    const table = ohmTable(metered)
    const there = new Set(metered.flatMap((e) => (e.type === 'K' ? [] : e.nodes)))
    for (const [, nodes, ohm] of c.dc as [string, [string, string], number | null][]) {
      // A wire that is missing leaves its far end out of the circuit: a meter on it reads open.
      const mine = table(nodes[0], nodes[1])
      if (nodes.every((n) => there.has(n)))
        expect(Math.abs(ohmsBetween(metered, nodes[0], nodes[1]) - mine) || 0).toBeLessThan(1e-6 * mine + 1e-6)
      if (ohm === null) expect(mine).toBeGreaterThan(OPEN_LINE)
      else expect(Math.abs(mine - ohm)).toBeLessThan(t.dc_absolute_ohm + t.dc_relative * ohm)
    }
  })
})
