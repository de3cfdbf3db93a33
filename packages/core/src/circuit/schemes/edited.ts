import type { WireEdit } from '../../document/build'
import { lugsOf, type Harness, type Wire } from '../model/harness'

/** Under which key a wire is changed by hand: its ends, whichever way round. */
export const wireKey = (a: string, b: string): string => [a, b].toSorted().join(' ')

/** The harness with wires taken away and added by hand. What ends on a lug that is no more is left out, and said. */
export function edited(harness: Harness, edits: Readonly<Record<string, WireEdit>> = {}): { harness: Harness; notes: string[] } {
  const lugs = new Set(harness.components.flatMap(lugsOf))
  const notes: string[] = []
  const cut = new Set(Object.entries(edits).flatMap(([key, e]) => (e.is === 'cut' ? [key] : [])))
  const added = Object.values(edits).flatMap((e): Wire[] => {
    if (e.is !== 'added') return []
    const gone = [e.from, e.to].find((l) => !lugs.has(l))
    if (gone) notes.push(`A wire added by hand ends on ${gone}, which this wiring has not: it is left out.`)
    return gone ? [] : [{ from: e.from, to: e.to, role: e.role }]
  })
  return {
    harness: { ...harness, wires: [...harness.wires.filter((w) => w.inside || !cut.has(wireKey(w.from, w.to))), ...added] },
    notes,
  }
}

/** What is wrong with a wire somebody wants to add; nothing where it can be. */
export function wireProblem(harness: Harness, from: string, to: string): string | undefined {
  if (from === to) return 'A wire goes from one lug to another; these are the same.'
  const lugs = new Set(harness.components.flatMap(lugsOf))
  const gone = [from, to].find((l) => !lugs.has(l))
  if (gone) return `There is no lug called ${gone}.`
  return harness.wires.some((w) => wireKey(w.from, w.to) === wireKey(from, to)) ? 'These two are joined by a wire already.' : undefined
}
