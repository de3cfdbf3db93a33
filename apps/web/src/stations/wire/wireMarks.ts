import type { Mark, WireResult } from '@snug/core'

/** Wires along their real places: across first, then along, as a hand would lay them. */
export function wireMarks(wire: Extract<WireResult, { ok: true }>): Mark[] {
  const at = (lug: string) => wire.harness.components.find((c) => c.id === lug.slice(0, lug.lastIndexOf('.')))!.at
  return wire.harness.wires
    .filter((w) => !w.inside)
    .flatMap((w, i): Mark[] => {
      const a = at(w.from)
      const b = at(w.to)
      if (a === b) return []
      // A little apart, so that wires on the same way can be told from each other.
      const aside = ((i % 5) - 2) * 2.2
      return [{ mark: 'line', role: w.role === 'ground' ? 'ground' : 'hot', points: [a, { x: a.x + aside, y: b.y + aside }, b] }]
    })
}
