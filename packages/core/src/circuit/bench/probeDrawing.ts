import type { Drawing, Mark } from '../../drawing/drawing'
import { boxAround } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { lugName } from '../model/lugNames'
import { lugParts, type Harness } from '../model/harness'
import { bodyMarks, lugMarks, partAt } from './partMarks'

const GAP = 34

/** Where the two probes go: their parts with every lug, seen from the solder side, the two that are touched marked. */
export function probeDrawing(harness: Harness, title: string, probes: readonly string[]): Drawing {
  const ids = [...new Set(probes.map((l) => lugParts(l).component))]
  let x = 0
  const laid = ids.flatMap((id) => {
    const component = harness.components.find((c) => c.id === id)
    if (!component) return []
    const at = partAt(component, x, 0, 'solder')
    x += at.width + GAP
    return [at]
  })
  const marks: Mark[] = [
    ...laid.flatMap(bodyMarks),
    ...laid.flatMap(lugMarks),
    ...probes.flatMap((lug, i): Mark[] => {
      const at = laid.find((l) => l.lugs.has(lug))?.lugs.get(lug)
      if (!at) return []
      const tip = pt(at.x + (i ? 3 : -3), at.y + 14)
      return [{ mark: 'line', role: i ? 'ground' : 'hot', points: [at, tip, pt(tip.x + (i ? 6 : -6), tip.y + 14)] }]
    }),
  ]
  const foot = Math.max(20, ...laid.map((l) => l.height))
  return {
    title,
    note: 'where the probes go, seen from the solder side',
    marks,
    bounds: boxAround([pt(-14, -8), pt(Math.max(60, x - GAP + 14), foot + 28)]),
    numbers: probes.map((lug, i) => ({ label: i ? 'Black probe' : 'Red probe', value: lugName(harness, lug) })),
  }
}
