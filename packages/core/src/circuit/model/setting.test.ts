import { describe, expect, it } from 'vitest'
import { pt } from '../../geometry/point'
import { lugOhms } from '../bench/readings'
import { topology } from '../bench/topology'
import { jackProbes, type Component, type Harness, type Wire } from './harness'
import { toNetlist } from './toNetlist'
import { ALL_AT_TEN } from './setting'
import { sameSwitches, switchStates } from './switchStates'
import { SWITCHES } from './switches'

const at = pt(0, 0)
const coil = (id: string, ohm: number): Component => ({
  is: 'coil',
  id,
  label: id,
  at,
  pickup: id,
  ohm,
  henry: 2,
  farad: 1e-10,
  magnet: 1,
  winding: 1,
  estimated: false,
})
const pot = (id: string, ohm: number): Component => ({ is: 'pot', id, label: id, at, ohm, taper: 'linear' })
const selector = (id: string): Component => ({ is: 'switch', id, label: id, at, table: SWITCHES['toggle-3']! })
const jack = (id: string): Component => ({ is: 'jack', id, label: id, at })
const wire = (from: string, to: string): Wire => ({ from, to, role: 'signal' })

/** Two pickups, each with a volume of its own, on a toggle; a second toggle that joins nothing; a second jack. */
const two: Harness = {
  components: [
    coil('a', 8000),
    coil('b', 6000),
    pot('va', 500e3),
    pot('vb', 250e3),
    selector('pick'),
    selector('spare'),
    jack('out'),
    jack('aux'),
  ],
  wires: [
    wire('a.finish', 'va.3'),
    wire('va.2', 'pick.A1'),
    wire('va.1', 'out.sleeve'),
    wire('a.start', 'out.sleeve'),
    wire('b.finish', 'vb.3'),
    wire('vb.2', 'pick.A2'),
    wire('vb.1', 'out.sleeve'),
    wire('b.start', 'out.sleeve'),
    wire('pick.A0', 'out.tip'),
    wire('aux.tip', 'a.finish'),
  ],
}
const parallel = (...r: number[]) => 1 / r.reduce((s, x) => s + 1 / x, 0)
const ohms = (switches: Record<string, number>, knobs: Record<string, number> = {}, probes = jackProbes(two)) =>
  lugOhms(two, { switches, knobs }, probes)

describe('any number of pots, switches and jacks', () => {
  it('every pot turns by its own id [physics]', () => {
    expect(ohms({ pick: 1 })).toBeCloseTo(parallel(8000, 500e3), 6)
    expect(ohms({ pick: 3 })).toBeCloseTo(parallel(6000, 250e3), 6)
    // Half turn, linear: half the track to ground, beside the other half and the coil in series.
    expect(ohms({ pick: 1 }, { va: 5 })).toBeCloseTo(parallel(250e3, 250e3 + 8000), 6)
    expect(ohms({ pick: 1 }, { vb: 5 })).toBeCloseTo(ohms({ pick: 1 }), 9)
    expect(ohms({ pick: 2 }, { va: 0 })).toBe(0)
  })
  it('every way the switches can stand, the first moving slowest', () => {
    const states = switchStates(two)
    expect(states.map((s) => s.id)).toEqual(['1-1', '1-2', '1-3', '2-1', '2-2', '2-3', '3-1', '3-2', '3-3'])
    expect(states[5]!.switches).toEqual({ pick: 2, spare: 3 })
    expect(switchStates({ components: [jack('out')], wires: [] })).toEqual([{ id: '', switches: {} }])
  })
  it('what is not named stands at 10 and in the first position', () => {
    expect(toNetlist(two, ALL_AT_TEN)).toEqual(toNetlist(two, { switches: { pick: 1, spare: 1 }, knobs: { va: 10, vb: 10 } }))
    expect(sameSwitches(two, ALL_AT_TEN, { switches: { pick: 1 }, knobs: { va: 3 } })).toBe(true)
    expect(sameSwitches(two, ALL_AT_TEN, { switches: { spare: 2 }, knobs: {} })).toBe(false)
  })
  it('the second jack is a place to measure like any other', () =>
    expect(ohms({ pick: 3 }, {}, ['aux.tip', 'aux.sleeve'])).toBeCloseTo(parallel(8000, 500e3), 6))
})

describe('a meter on any two lugs', () => {
  it('a lug that nothing is joined to reads open, to everything but itself', () => {
    expect(ohms({}, {}, ['spare.A0', 'out.tip'])).toBe(Infinity)
    expect(ohms({}, {}, ['spare.A0', 'spare.A0'])).toBe(0)
    expect(ohms({ spare: 1 }, {}, ['spare.A0', 'spare.A1'])).toBe(0)
    expect(ohms({ spare: 3 }, {}, ['spare.A0', 'spare.A1'])).toBe(Infinity)
  })
  it('the order of the probes is nothing', () => expect(ohms({ pick: 2 }, {}, ['out.sleeve', 'out.tip'])).toBe(ohms({ pick: 2 })))
  it('a lug that is not there is an error of the caller, named', () =>
    expect(() => ohms({}, {}, ['out.ring', 'out.tip'])).toThrow(/no lug called out.ring/))
})

describe('how coils are joined, as a tree', () => {
  const joined = (wires: Wire[]) => topology({ components: [coil('a', 1e3), coil('b', 2e3), coil('c', 3e3), jack('j')], wires }, {})
  const leaf = (coil: string) => ({ is: 'coil', coil })
  it('three side by side are one group of three', () => {
    const t = joined(['a', 'b', 'c'].flatMap((c) => [wire(`${c}.finish`, 'j.tip'), wire(`${c}.start`, 'j.sleeve')]))
    expect(t.joined).toEqual([{ is: 'parallel', parts: [leaf('a'), leaf('b'), leaf('c')] }])
    expect(t.words).toBe('a ‖ b ‖ c')
  })
  it('two side by side and one behind them', () => {
    const t = joined([
      wire('a.finish', 'j.tip'),
      wire('b.finish', 'j.tip'),
      wire('a.start', 'c.finish'),
      wire('b.start', 'c.finish'),
      wire('c.start', 'j.sleeve'),
    ])
    expect(t.joined).toEqual([{ is: 'series', parts: [{ is: 'parallel', parts: [leaf('a'), leaf('b')] }, leaf('c')] }])
    expect(t.words).toBe('(a ‖ b) + c')
  })
  it('one after the other, all three', () => {
    const t = joined([wire('a.finish', 'j.tip'), wire('a.start', 'b.finish'), wire('b.start', 'c.finish'), wire('c.start', 'j.sleeve')])
    expect(t.words).toBe('a + b + c')
  })
  it('a coil with one end in the air is silent, and nothing is nothing', () => {
    const t = joined([wire('a.finish', 'j.tip'), wire('a.start', 'j.sleeve'), wire('b.finish', 'j.tip')])
    expect(t).toMatchObject({ sounding: ['a'], words: 'a' })
    expect(joined([wire('j.tip', 'j.sleeve')])).toMatchObject({ sounding: [], joined: [], words: 'nothing', humWords: 'silent' })
  })
})
