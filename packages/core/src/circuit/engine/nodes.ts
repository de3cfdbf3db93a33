import { GROUND, type Element } from './netlist'

/**
 * Nodes of a circuit with closed contacts merged and ideal sources folded in: every name maps to a root and a fixed
 * offset, V(name) = V(root) + offset. A source therefore costs no unknown at all.
 */
export interface NodeMap {
  find(name: string): { root: number; offset: number }
  names: string[]
  /** Roots in use other than ground, which is root 0's own. */
  ground: number
}

/**
 * @param more names that are there though no element of these touches them
 * @throws Error when sources contradict each other, such as a source whose ends are joined by a wire
 */
export function mergeNodes(elements: readonly Element[], withSources = true, more: readonly string[] = []): NodeMap {
  const index = new Map<string, number>()
  const names: string[] = []
  const parent: number[] = []
  const offset: number[] = []
  const id = (name: string) => {
    let i = index.get(name)
    if (i === undefined) {
      i = names.length
      index.set(name, i)
      names.push(name)
      parent.push(i)
      offset.push(0)
    }
    return i
  }
  const find = (i: number): { root: number; offset: number } => {
    let at = i
    let sum = 0
    while (parent[at] !== at) {
      sum += offset[at]!
      at = parent[at]!
    }
    return { root: at, offset: sum }
  }
  id(GROUND)
  for (const e of elements) if (e.type !== 'K') e.nodes.forEach(id)
  more.forEach(id)
  // Wires first, so that it is a source that gets blamed when the two contradict each other.
  for (const e of [...elements.filter((x) => x.type === 'W'), ...elements.filter((x) => x.type === 'V')]) {
    const a = find(id(e.nodes[0]))
    const b = find(id(e.nodes[1]))
    const rise = e.type === 'V' && withSources ? e.ac : 0
    if (a.root === b.root) {
      if (Math.abs(a.offset - b.offset - rise) > 1e-12)
        throw new Error(`${e.ref} is shorted by wires or other sources, so its voltage cannot be.`)
      continue
    }
    // V(a) = V(b) + rise, hence root a hangs on root b; ground always stays a root.
    const hang = a.root === 0 ? b.root : a.root
    const onto = a.root === 0 ? a.root : b.root
    parent[hang] = onto
    offset[hang] = a.root === 0 ? a.offset - b.offset - rise : b.offset + rise - a.offset
  }
  return {
    names,
    ground: find(0).root,
    find: (name) => {
      const i = index.get(name)
      if (i === undefined) throw new Error(`The circuit has no node called ${name}.`)
      return find(i)
    },
  }
}
