import { mergeNodes } from '../engine/nodes'
import { lugName } from '../model/lugNames'
import { jackProbes, lugParts, type Harness, type Wire } from '../model/harness'
import { toNetlist } from '../model/toNetlist'
import type { Setting } from '../model/setting'
import { topology } from './topology'

/** The way of the signal with the switches so. */
export interface SignalPath {
  wires: ReadonlySet<Wire>
  /** One sentence for each part it passes, from the pickups to the jack. */
  says: string[]
}

/** Which wires are live, and what each part on the way does: those that hang together with the tip by any way that does not pass ground. */
export function signalPath(harness: Harness, switches: Setting['switches']): SignalPath {
  const { elements } = toNetlist(harness, { switches, knobs: {} })
  const ways = elements.map((e) => (e.type === 'V' ? ({ type: 'R', ref: e.ref, nodes: e.nodes, value: 1 } as const) : e))
  const nodes = mergeNodes(ways)
  const root = (lug: string) => nodes.find(lug).root
  const [tip] = jackProbes(harness)
  const reached = new Set([root(tip)])
  const edges = ways.flatMap((e) => (e.type === 'K' || e.type === 'C' ? [] : [[root(e.nodes[0]), root(e.nodes[1])] as const]))
  for (let before = 0; before < reached.size; ) {
    before = reached.size
    for (const [p, q] of edges) {
      if (p === nodes.ground || q === nodes.ground) continue
      if (reached.has(p)) reached.add(q)
      else if (reached.has(q)) reached.add(p)
    }
  }
  const t = topology(harness, switches)
  const silent = new Set(harness.components.flatMap((c) => (c.is === 'coil' && !t.sounding.includes(c.id) ? [c.id] : [])))
  const live = (lug: string) => reached.has(root(lug)) && !silent.has(lugParts(lug).component)
  const wires = new Set(harness.wires.filter((w) => live(w.from) && live(w.to)))
  return { wires, says: sentences(harness, switches, t.words, wires) }
}

function sentences(harness: Harness, switches: Setting['switches'], sounding: string, wires: ReadonlySet<Wire>): string[] {
  const touched = new Set([...wires].flatMap((w) => [lugParts(w.from).component, lugParts(w.to).component]))
  const said = harness.components.flatMap((c): string[] => {
    if (!touched.has(c.id) && c.is !== 'capacitor') return []
    switch (c.is) {
      case 'switch': {
        const pairs = c.table.positions[(switches[c.id] ?? 1) - 1] ?? []
        const on = pairs.filter(([a, b]) =>
          [...wires].some((w) => [w.from, w.to].some((l) => l === `${c.id}.${a}` || l === `${c.id}.${b}`)),
        )
        return on.length ? [`${c.label} joins ${on.map(([a, b]) => `${a} to ${b}`).join(', ')}.`] : []
      }
      case 'pot':
        return c.id.startsWith('tone')
          ? [`${c.label} lets treble go to ground through its capacitor as it is turned down.`]
          : [`${c.label} passes a share of it on from its wiper.`]
      case 'resistor':
        return [`${c.label} holds the treble even.`]
      default:
        return []
    }
  })
  const last = [...wires].find((w) => [w.from, w.to].includes(jackProbes(harness)[0]))
  return [`Sounding: ${sounding}.`, ...said, ...(last ? [`It leaves at ${lugName(harness, jackProbes(harness)[0])}.`] : [])]
}
