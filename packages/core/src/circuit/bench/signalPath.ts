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

/** Which wires are live, and what each part on the way does: those that hang together with the tip by any way that does not pass ground, and lead on. */
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
  leaveDeadEnds(reached, root(tip), [
    ...edges,
    ...ways.flatMap((e) => (e.type === 'C' ? [[root(e.nodes[0]), root(e.nodes[1])] as const] : [])),
  ])
  const t = topology(harness, switches)
  const silent = new Set(harness.components.flatMap((c) => (c.is === 'coil' && !t.sounding.includes(c.id) ? [c.id] : [])))
  const live = (lug: string) => reached.has(root(lug)) && !silent.has(lugParts(lug).component)
  const wires = new Set(harness.wires.filter((w) => live(w.from) && live(w.to)))
  return { wires, says: sentences(harness, switches, t.words, wires) }
}

/** Nothing flows where nothing goes on: another tone's track behind a capacitor that both share is on no way of the signal. */
function leaveDeadEnds(reached: Set<number>, tip: number, edges: readonly (readonly [number, number])[]): void {
  const ways = new Map<number, number>()
  for (const ends of edges) for (const n of ends[0] === ends[1] ? [] : ends) ways.set(n, (ways.get(n) ?? 0) + 1)
  const open = [...reached].filter((n) => n !== tip && ways.get(n) === 1)
  while (open.length) {
    const end = open.pop()!
    reached.delete(end)
    for (const [a, b] of edges) {
      if (a === b || (a !== end && b !== end)) continue
      const next = a === end ? b : a
      const left = ways.get(next)! - 1
      ways.set(next, left)
      if (left === 1 && next !== tip && reached.has(next)) open.push(next)
    }
  }
}

function sentences(harness: Harness, switches: Setting['switches'], sounding: string, wires: ReadonlySet<Wire>): string[] {
  const lugs = new Set([...wires].flatMap((w) => [w.from, w.to]))
  const touched = new Set([...lugs].map((lug) => lugParts(lug).component))
  // Where only one end of its track hangs on the way, nothing goes through it.
  const goesThrough = (pot: string) => [1, 2, 3].filter((n) => lugs.has(`${pot}.${n}`)).length > 1
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
        if (!goesThrough(c.id)) return []
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
