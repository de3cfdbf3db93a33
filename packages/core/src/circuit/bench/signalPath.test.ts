import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyWiring } from '../../testing/anyWiring'
import { holds } from '../../testing/holds'
import { wirable } from '../../testing/wirable'
import { gainAt } from '../engine/response'
import { compile } from '../engine/solver'
import { toNetlist } from '../model/toNetlist'
import { jackProbes, lugParts, type Harness, type Wire } from '../model/harness'
import { switchStates } from '../model/switchStates'
import { harnessOf } from '../schemes/harnessOf'
import { lugOhms } from './readings'
import { signalPath } from './signalPath'
import { soundingDrawing } from './soundingDrawing'
import { topology, type Joined } from './topology'

const without = (harness: Harness, wire: Wire): Harness => ({ ...harness, wires: harness.wires.filter((w) => w !== wire) })
const coilsOf = (harness: Harness) => harness.components.filter((c) => c.is === 'coil').map((c) => c.id)
const touches = (w: Wire, id: string) => [w.from, w.to].some((lug) => lugParts(lug).component === id)

/** A wiring in one of its switch states, drawn from every wiring with every option. */
const anyState = fc.tuple(anyWiring, fc.nat(), fc.nat())

describe('laws of the signal’s way, over every wiring in every position', () => {
  it('a coil that sounds has a live wire, a silent one none; a wire that is not live is missed by nothing that sounds', () => {
    let cut = 0
    holds(
      fc.property(anyState, ([wanted, state, which]) => {
        const made = harnessOf(wirable(wanted))
        if (!made.ok) return
        const { harness } = made
        const states = switchStates(harness)
        const { switches } = states[state % states.length]!
        const { wires } = signalPath(harness, switches)
        const { sounding, words } = topology(harness, switches)
        for (const id of coilsOf(harness))
          expect(
            [...wires].some((w) => touches(w, id)),
            `${id} in ${words}`,
          ).toBe(sounding.includes(id))
        // What lies on ground is no way of the signal, and is missed all the same.
        const sleeve = jackProbes(harness)[1]
        const grounded = (lug: string) => lug === sleeve || lugOhms(harness, { switches, knobs: {} }, [lug, sleeve]) < 1
        const dead = harness.wires.filter((w) => !wires.has(w) && w.role !== 'ground' && w.role !== 'supply')
        const one = dead[which % Math.max(1, dead.length)]
        if (!one || grounded(one.from)) return
        expect(topology(without(harness, one), switches).sounding, `${one.from} ${one.to} cut in ${words}`).toEqual(sounding)
        cut++
      }),
      1200,
    )
    expect(cut).toBeGreaterThan(30)
  })
})

/** Level at the jack, dB, with everything turned up. */
const level = (harness: Harness, switches: Record<string, number>) =>
  Math.max(-200, gainAt(compile(toNetlist(harness, { switches, knobs: {} }, { cable: 500e-12, amplifier: 1e6 })), 440))
const withWire = (harness: Harness, from: string, to: string): Harness => ({
  ...harness,
  wires: [...harness.wires, { from, to, role: 'ground' }],
})

describe('the signal’s way by another road', () => {
  it('a lug on it held to ground changes what is heard', () => {
    let met = 0
    holds(
      fc.property(anyState, ([wanted, state, which]) => {
        const made = harnessOf(wirable({ ...wanted, active: [] }))
        if (!made.ok) return
        const { harness } = made
        const states = switchStates(harness)
        const { switches } = states[state % states.length]!
        const live = [...signalPath(harness, switches).wires]
        const open = level(harness, switches)
        const wire = live[which % Math.max(1, live.length)]
        if (open < -60 || !wire) return
        const held = level(withWire(harness, wire.from, jackProbes(harness)[1]), switches)
        // Behind a tone control's track, turned up, it is little.
        expect(Math.abs(held - open), `${wire.from} of a live wire grounded`).toBeGreaterThan(1e-4)
        met++
      }),
      600,
    )
    expect(met).toBeGreaterThan(100)
  })
})

describe('what is said along it', () => {
  const says = (wanted: Parameters<typeof wirable>[0], switches: Record<string, number>) => {
    const made = harnessOf(wirable(wanted))
    if (!made.ok) throw new Error(made.says ?? made.missing.join())
    return signalPath(made.harness, switches).says
  }
  it('of two tones that share a capacitor the one that the position hangs on, and not what lies behind it', () => {
    const two = { places: ['neck', 'middle', 'bridge'], contacts: 'lever-5', second: true, options: { tones: 'two' } } as const
    const tones = (position: number) => says(two, { switch: position }).filter((s) => s.startsWith('tone'))
    // The bridge goes without, the middle has the second, the neck the first; in between both hang on.
    expect(tones(1)).toEqual([])
    expect(tones(3)).toEqual([expect.stringMatching(/^tone 2 lets treble/)])
    expect(tones(5)).toEqual([expect.stringMatching(/^tone lets treble/)])
    expect(tones(4).length).toBe(2)
  })
  it('each part it passes once, by what it does there', () =>
    expect(says({ places: ['neck', 'bridge'], contacts: 'toggle-3' }, { switch: 1 })).toMatchInlineSnapshot(`
      [
        "Sounding: bridge.",
        "selector joins A0 to A1.",
        "volume passes a share of it on from its wiper.",
        "tone lets treble go to ground through its capacitor as it is turned down.",
        "It leaves at jack, tip.",
      ]
    `))
  it('a volume of the pickup that is off is no part of it', () => {
    const two = says(
      { places: ['neck', 'bridge'], contacts: 'toggle-3', second: true, options: { volumes: 'two', tones: 'two' } },
      { switch: 1 },
    )
    expect(two).toMatchInlineSnapshot(`
      [
        "Sounding: bridge.",
        "selector joins A0 to A1.",
        "bridge volume passes a share of it on from its wiper.",
        "bridge tone lets treble go to ground through its capacitor as it is turned down.",
        "It leaves at jack, tip.",
      ]
    `)
  })
})

describe('the coils that sound, drawn', () => {
  const harness = (wanted: Parameters<typeof wirable>[0]): Harness => {
    const made = harnessOf(wirable(wanted))
    if (!made.ok) throw new Error(made.says ?? made.missing.join())
    return made.harness
  }
  const lines = (h: Harness, joined: Joined[]) => {
    const sounding = coilsOf(h)
    return soundingDrawing(h, '1', { sounding, joined, words: '', hum: 0, humWords: '' }).marks.flatMap((m) =>
      m.mark === 'line' ? [m.points.map((p) => `${p.x},${p.y}`).join(' ')] : [],
    )
  }
  const pair = harness({ places: ['neck', 'bridge'], contacts: 'toggle-3' })
  const [neck, bridge] = coilsOf(pair)
  const x = (h: Harness, id: string) => h.components.find((c) => c.id === id)!.at.x
  const [a, b] = [x(pair, neck!), x(pair, bridge!)]
  it('beside each other: both ends on a bar', () =>
    expect(
      lines(pair, [
        {
          is: 'parallel',
          parts: [
            { is: 'coil', coil: neck! },
            { is: 'coil', coil: bridge! },
          ],
        },
      ]).toSorted(),
    ).toEqual(
      [`${a},-37 ${b},-37`, `${a},-30 ${a},-37`, `${b},-30 ${b},-37`, `${a},37 ${b},37`, `${a},30 ${a},37`, `${b},30 ${b},37`].toSorted(),
    ))
  it('one after the other: the first from the hot side, its end led to the beginning of the next, the last to ground', () =>
    expect(
      lines(pair, [
        {
          is: 'series',
          parts: [
            { is: 'coil', coil: neck! },
            { is: 'coil', coil: bridge! },
          ],
        },
      ]).toSorted(),
    ).toEqual([`${a},-30 ${a},-37`, `${a},30 ${a},33 ${a + 9},33 ${a + 9},-33 ${b},-33 ${b},-30`, `${b},30 ${b},37`].toSorted()))
  it('two humbuckers together: a link within each, a bar over both, and no coil on both bars', () => {
    const both = harness({ places: ['neck', 'bridge'], contacts: 'toggle-3', two: ['neck', 'bridge'], leads: 'four' })
    const state = switchStates(both).find((s) => topology(both, s.switches).sounding.length === 4)!
    const t = topology(both, state.switches)
    const drawn = soundingDrawing(both, state.id, t).marks.flatMap((m) => (m.mark === 'line' ? [m.points] : []))
    expect(drawn.filter((points) => points[0]!.y === 30 && points.at(-1)!.y === -30)).toHaveLength(2)
    expect(drawn.filter(([p, q]) => p!.y === q!.y).map(([p]) => p!.y)).toEqual([-37, 37])
    const up = drawn.flatMap(([p, q]) => (p!.y === -30 && q!.y === -37 ? [p!.x] : []))
    const down = drawn.flatMap(([p, q]) => (p!.y === 30 && q!.y === 37 ? [p!.x] : []))
    expect(new Set([...up, ...down]).size).toBe(4)
  })
  it('one coil alone, or coils joined in no such way: no bar', () => {
    expect(lines(harness({ places: ['bridge'] }), [{ is: 'coil', coil: 'bridge' }])).toEqual([])
    expect(
      lines(pair, [
        { is: 'coil', coil: neck! },
        { is: 'coil', coil: bridge! },
      ]),
    ).toEqual([])
  })
})
