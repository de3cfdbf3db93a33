import type { Element } from '../netlist'

/** A netlist of the reference cases: a closed contact stands there as 1 mohm, an open one as 1 Tohm. */
export function elementsOf(lines: readonly string[]): Element[] {
  return lines.flatMap((line): Element[] => {
    const [type, ref, a, b, value] = line.split(' ') as [string, string, string, string, string]
    const x = Number(value)
    if (type === 'K') return [{ type, ref, inductors: [a, b], k: x }]
    if (type === 'V') return [{ type, ref, nodes: [a, b], ac: x }]
    if (type === 'R' && x <= 0.001) return [{ type: 'W', ref, nodes: [a, b] }]
    if (type === 'R' && x >= 1e12) return []
    return [{ type: type as 'R' | 'L' | 'C', ref, nodes: [a, b], value: x }]
  })
}
