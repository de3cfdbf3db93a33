import type { Drawing, Mark } from '../../drawing/drawing'
import { pt } from '../../geometry/point'
import type { Coil, Harness } from '../model/harness'
import type { Joined, Topology } from './topology'

/** The coils with the switches so: which sound, and how they are joined between the hot side and ground. @param name of the position */
export function soundingDrawing(harness: Harness, name: string, topology: Topology): Drawing {
  const coils = harness.components.filter((c): c is Coil => c.is === 'coil')
  const from = Math.min(...coils.map((c) => c.at.x))
  const to = Math.max(...coils.map((c) => c.at.x))
  const marks: Mark[] = []
  for (const c of coils) {
    const on = topology.sounding.includes(c.id)
    marks.push({ mark: 'area', role: on ? 'sounding' : 'silent', points: rounded(c.at.x, 7, 30), thing: c.id })
    const s = c.winding * c.magnet > 0 ? 'N' : 'S'
    marks.push({ mark: 'label', at: pt(c.at.x, 1.5), text: on ? s : '', anchor: 'middle', role: 'sounding' })
  }
  for (const pickup of new Set(coils.map((c) => c.pickup))) {
    const own = coils.filter((c) => c.pickup === pickup)
    const x = own.reduce((s, c) => s + c.at.x, 0) / own.length
    marks.push({ mark: 'label', at: pt(x, 50), text: pickup, anchor: 'middle' })
  }
  marks.push(...joins(coils, topology))
  marks.push({ mark: 'label', at: pt((from + to) / 2, 63), text: topology.words, anchor: 'middle' })
  return {
    title: `Position ${name}: the coils that sound`,
    note: topology.humWords,
    marks,
    bounds: { x: from - 24, y: -48, width: to - from + 48, height: 118 },
    numbers: coils.map((c) => ({ label: c.label, value: topology.sounding.includes(c.id) ? 'sounds' : 'silent' })),
  }
}

/** A line over coils in series, two bars over coils in parallel. */
function joins(coils: readonly Coil[], topology: Topology): Mark[] {
  const on = coils.filter((c) => topology.sounding.includes(c.id))
  if (on.length < 2) return []
  const a = on[0]!.at.x
  const b = on.at(-1)!.at.x
  const parallel = topology.joined.some(hasParallel)
  const bar = (y: number): Mark => ({ mark: 'line', role: 'hot', points: [pt(a, y), pt(b, y)] })
  const stub = (x: number, y: number): Mark => ({ mark: 'line', role: 'hot', points: [pt(x, y), pt(x, y < 0 ? -30 : 30)] })
  if (!parallel) return [bar(-37), stub(a, -37), stub(b, -37)]
  return [bar(-37), bar(37), ...on.flatMap((c) => [stub(c.at.x, -37), stub(c.at.x, 37)])]
}

const hasParallel = (tree: Joined): boolean => tree.is === 'parallel' || (tree.is === 'series' && tree.parts.some(hasParallel))

/** A bar with its corners cut, points in one turn round it. */
function rounded(x: number, w: number, h: number) {
  const c = w * 0.6
  return [
    pt(x - w + c, -h),
    pt(x + w - c, -h),
    pt(x + w, -h + c),
    pt(x + w, h - c),
    pt(x + w - c, h),
    pt(x - w + c, h),
    pt(x - w, h - c),
    pt(x - w, -h + c),
  ]
}
