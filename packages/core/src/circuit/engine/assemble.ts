import { eliminationOrder } from './elimination'
import type { Element } from './netlist'
import { mergeNodes } from './nodes'
import { leakFloating, reaching, stampsOf, type Place, type Stamp } from './stamps'

/** A circuit with contacts merged, sources folded in, what is not heard left out, and an order to eliminate the rest in. */
export interface Assembly {
  stamps: readonly Stamp[]
  size: number
  /** Unknowns in the order they go; those of `places` last. */
  order: readonly number[]
  /** Of the names asked for. */
  places: readonly Place[]
  /** Nodes that nothing connects to ground; each such group got a leak of 1e-12 S. */
  floating: string[]
}

/**
 * @param names of the places that are looked at or added to later
 * @param more of them that no element touches yet
 * @throws Error for a name that is nowhere, or sources that contradict each other
 */
export function assemble(elements: readonly Element[], names: readonly string[], more: readonly string[] = []): Assembly {
  const nodes = mergeNodes(elements, true, more)
  const number = new Map<number, number>()
  const at = (name: string): Place => {
    const { root, offset } = nodes.find(name)
    if (root === nodes.ground) return { n: -1, offset }
    let n = number.get(root)
    if (n === undefined) {
      n = number.size
      number.set(root, n)
    }
    return { n, offset }
  }
  const stamps = stampsOf(elements, at)
  const wanted = names.map(at)
  const roots = [...number.keys()].map((root) => nodes.names[root]!)
  const floating = leakFloating(stamps, number.size, roots)
  const heard = reaching(
    stamps,
    number.size,
    wanted.map((w) => w.n),
  )
  const places = wanted.map((w) => ({ ...w, n: heard.number(w.n) }))
  const order = eliminationOrder(
    heard.stamps,
    heard.size,
    places.map((p) => p.n),
  )
  return { stamps: heard.stamps, size: heard.size, order, places, floating }
}
