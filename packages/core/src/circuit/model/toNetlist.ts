import { GROUND, type Element, type Netlist } from '../engine/netlist'
import { jackProbes, type Coil, type Component, type Harness, type PotPart, type SwitchPart } from './harness'
import { poweredBy } from './power'
import { knobAt, positionAt, type Setting } from './setting'
import { taperFraction } from './taper'

export interface Load {
  /** Cable capacitance, farad, and amplifier input, ohm; absent when only a meter is on the jack. */
  cable: number
  amplifier: number
}

/** Cable capacitance per metre, farad. [practice] */
export const CABLE_PER_METRE = 100e-12
/** Input resistance of an amplifier, ohm. [practice] */
export const AMPLIFIER = 1e6

/** Which EMF the coils carry: what strings induce in all or one pickup, what stray mains fields induce, or one volt in one coil alone. */
export type Source = 'string' | 'hum' | { only: string } | { pickup: string }

/**
 * The harness at one setting as a netlist: wires and closed contacts become one node, open ones are left out, pots
 * become their two parts. Every jack's sleeve is node 0; the voltage is taken at the first one's tip.
 */
export function toNetlist(harness: Harness, setting: Setting, load?: Load, source: Source = 'string'): Netlist {
  const elements: Element[] = []
  const wire = (a: string, b: string, ref: string) => elements.push({ type: 'W', ref, nodes: [a, b] })
  harness.wires.forEach((w, i) => wire(w.from, w.to, `wire ${i + 1}`))
  const powered = poweredBy(harness)
  for (const c of harness.components) {
    switch (c.is) {
      case 'coil':
        elements.push(...coilElements(c, !c.active || powered(c) ? emfOf(c, source) : 0))
        break
      case 'pot':
        elements.push(...potElements(c, setting))
        break
      case 'capacitor':
        elements.push({ type: 'C', ref: c.id, nodes: [`${c.id}.1`, `${c.id}.2`], value: c.farad })
        break
      case 'switch':
        elements.push(...switchElements(c, positionAt(setting, c.id)))
        break
      case 'resistor':
        elements.push({ type: 'R', ref: c.id, nodes: [`${c.id}.1`, `${c.id}.2`], value: c.ohm })
        break
      case 'jack':
        wire(`${c.id}.sleeve`, GROUND, 'sleeve')
        // There, though nothing may be soldered to it.
        wire(`${c.id}.tip`, `${c.id}.tip`, 'tip')
        break
      case 'ground':
      case 'battery':
        break
    }
  }
  const [tip] = jackProbes(harness)
  if (load) {
    elements.push({ type: 'C', ref: 'cable', nodes: [tip, GROUND], value: load.cable })
    elements.push({ type: 'R', ref: 'amplifier', nodes: [tip, GROUND], value: load.amplifier })
  }
  return { elements, output: [tip, GROUND] }
}

/**
 * What a component is in a netlist, made once for each way it can stand: a fault finder asks for the same few thousands of times.
 * Components are never changed in place, so that what was made of one stays true.
 */
const made = new WeakMap<Component, Map<number, readonly Element[]>>()
function once(c: Component, way: number, make: () => Element[]): readonly Element[] {
  let ways = made.get(c)
  if (!ways) made.set(c, (ways = new Map()))
  let elements = ways.get(way)
  if (!elements) ways.set(way, (elements = make()))
  return elements
}

/** In which sense stray fields drive a coil; the electronics of an active one keep them out. */
export const humSense = (c: Coil): number => (c.active ? 0 : c.winding)

function emfOf(c: Coil, source: Source): number {
  if (source === 'hum') return humSense(c)
  if (source === 'string') return c.magnet * c.winding
  if ('only' in source) return source.only === c.id ? 1 : 0
  return source.pickup === c.pickup ? c.magnet * c.winding : 0
}

/** What keeps an active pickup's output from passing direct current, farad. [practice] */
const COUPLING = 10e-6

function coilElements(c: Coil, emf: number): readonly Element[] {
  return once(c, emf, () => {
    const [start, finish] = [`${c.id}.start`, `${c.id}.finish`]
    return [
      { type: 'V', ref: `V ${c.id}`, nodes: [`${c.id}.emf`, start], ac: emf },
      { type: 'R', ref: resistorsOf(c)[0]!, nodes: [`${c.id}.emf`, `${c.id}.wire`], value: c.ohm },
      ...(c.active
        ? [{ type: 'C' as const, ref: `C ${c.id}`, nodes: [`${c.id}.wire`, finish] as const, value: COUPLING }]
        : ([
            { type: 'L', ref: `L ${c.id}`, nodes: [`${c.id}.wire`, finish], value: c.henry },
            { type: 'C', ref: `C ${c.id}`, nodes: [start, finish], value: c.farad },
          ] as const)),
    ]
  })
}

const switchElements = (c: SwitchPart, position: number): readonly Element[] =>
  once(c, position, () =>
    (c.table.positions[position - 1] ?? []).map(([a, b]) => ({
      type: 'W',
      ref: `${c.id} ${a}-${b}`,
      nodes: [`${c.id}.${a}`, `${c.id}.${b}`],
    })),
  )

/** Refs of the resistors a coil or pot is in a netlist. */
export const resistorsOf = (c: Coil | PotPart): string[] => (c.is === 'coil' ? [`R ${c.id}`] : [`${c.id} lower`, `${c.id} upper`])

/** Less than any contact has, ohm: a part of a track that short is a wire. */
const NO_OHMS = 1e-3

/** A pot as its two parts at a setting; a part without resistance is a wire. */
export function potElements(p: PotPart, setting: Setting): readonly Element[] {
  const turn = knobAt(setting, p.id)
  return once(p, turn, () => {
    if (p.noLoad && turn >= 10) return []
    if (p.lifted) return [{ type: 'R', ref: resistorsOf(p)[0]!, nodes: [`${p.id}.3`, `${p.id}.1`], value: p.ohm }]
    const f = taperFraction(p.taper, turn)
    const part = (ref: string, a: string, b: string, ohm: number): Element =>
      ohm < NO_OHMS ? { type: 'W', ref, nodes: [a, b] } : { type: 'R', ref, nodes: [a, b], value: ohm }
    const [lower, upper] = resistorsOf(p)
    return [part(lower!, `${p.id}.2`, `${p.id}.1`, f * p.ohm), part(upper!, `${p.id}.3`, `${p.id}.2`, (1 - f) * p.ohm)]
  })
}
