import { GROUND, type Element, type Netlist } from '@snug/core'

/** A joined contact as a general simulator wants it, ohm: not smaller, or double precision suffers. */
const CLOSED = 1e-3
/** Tie from a group of nodes that nothing else ties to ground at DC, ohm; without it a general simulator gives up. */
const LEAK = 1e12

/**
 * Netlist as a SPICE circuit file. Nodes are numbered in order of appearance with node 0 the sleeve; a comment at the
 * top gives their names, `tip` first.
 * @param points frequencies per decade, 20 Hz to 20 kHz
 */
export function toSpice(title: string, netlist: Netlist, points = 66): { text: string; tip: string } {
  const numbers = new Map<string, string>([[GROUND, '0']])
  const node = (name: string) => {
    let n = numbers.get(name)
    if (n === undefined) {
      n = `n${numbers.size}`
      numbers.set(name, n)
    }
    return n
  }
  const tip = node(netlist.output[0])
  const refs = new Map<string, string>()
  // A wire from a place to itself only names the place.
  const drawn = netlist.elements.filter((e) => e.type !== 'W' || e.nodes[0] !== e.nodes[1])
  const lines = drawn.map((e, i) => line(e, i + 1, node, refs))
  const leaks = floatingNodes(netlist.elements).map((name, i) => `Rleak${i + 1} ${node(name)} 0 ${LEAK}`)
  const names = [...numbers].map(([name, n]) => `* ${n} = ${name}`)
  return { tip, text: [title.replace(/\n/g, ' '), ...names, ...lines, ...leaks, `.ac dec ${points} 20 20000`, '.end', ''].join('\n') }
}

/** One node of each group that no resistor, coil, source or wire ties to ground. */
function floatingNodes(elements: readonly Element[]): string[] {
  const parent = new Map<string, string>([[GROUND, GROUND]])
  const root = (n: string): string => {
    const up = parent.get(n)
    if (up === undefined) parent.set(n, n)
    return up === undefined || up === n ? n : root(up)
  }
  for (const e of elements) {
    if (e.type === 'K') continue
    const [a, b] = [root(e.nodes[0]), root(e.nodes[1])]
    // Ground stays the root of its own group.
    if (e.type !== 'C' && a !== b) parent.set(a === GROUND ? b : a, a === GROUND ? a : b)
  }
  return [...parent.keys()].filter((n) => n !== GROUND && root(n) === n)
}

function line(e: Element, i: number, node: (name: string) => string, refs: Map<string, string>): string {
  switch (e.type) {
    case 'K':
      return `K${i} ${refs.get(e.inductors[0])} ${refs.get(e.inductors[1])} ${e.k}`
    case 'V':
      return `V${i} ${node(e.nodes[0])} ${node(e.nodes[1])} DC 0 AC ${Math.abs(e.ac)} ${e.ac < 0 ? 180 : 0}`
    case 'W':
      return `R${i} ${node(e.nodes[0])} ${node(e.nodes[1])} ${CLOSED}`
    default: {
      const ref = `${e.type}${i}`
      refs.set(e.ref, ref)
      return `${ref} ${node(e.nodes[0])} ${node(e.nodes[1])} ${e.value}`
    }
  }
}
