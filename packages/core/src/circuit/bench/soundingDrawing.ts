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
    title: name ? `Position ${name}: the coils that sound` : 'The coils that sound',
    note: topology.humWords,
    marks,
    bounds: { x: from - 24, y: -48, width: to - from + 48, height: 118 },
    numbers: coils.map((c) => ({ label: c.label, value: topology.sounding.includes(c.id) ? 'sounds' : 'silent' })),
  }
}

/** Where a group of coils begins, towards the hot side, and where it ends, towards ground: places along the instrument. */
interface Ends {
  tops: number[]
  bottoms: number[]
  marks: Mark[]
}

/** The hot bar above, the ground bar below, and between them the coils as the tree has them; nothing where it is no such tree. */
function joins(coils: readonly Coil[], { joined, sounding }: Topology): Mark[] {
  const [tree] = joined
  if (!tree || joined.length > 1 || sounding.length < 2) return []
  const { tops, bottoms, marks } = endsOf(tree, (id) => coils.find((c) => c.id === id)!.at.x)
  return [...bar(tops, -TIP, -BAR), ...bar(bottoms, TIP, BAR), ...marks]
}
const TIP = 30
const BAR = 37
const LINK = 33
/** Half the distance of a humbucker's coils, so that a link runs between them, mm. */
const ASIDE = 9

/** Beside each other, coils share both ends; one after the other, the end of one is led to the beginning of the next. */
function endsOf(tree: Joined, at: (coil: string) => number): Ends {
  if (tree.is === 'coil') return { tops: [at(tree.coil)], bottoms: [at(tree.coil)], marks: [] }
  const parts = tree.parts.map((part) => endsOf(part, at))
  const marks = parts.flatMap((p) => p.marks)
  if (tree.is === 'parallel') return { tops: parts.flatMap((p) => p.tops), bottoms: parts.flatMap((p) => p.bottoms), marks }
  const links = parts.slice(1).flatMap((next, i): Mark[] => {
    const before = parts[i]!
    const [from, to] = [before.bottoms.at(-1)!, next.tops[0]!]
    const beside = from + Math.sign(to - from || 1) * ASIDE
    return [
      ...(before.bottoms.length > 1 ? bar(before.bottoms, TIP, LINK) : []),
      ...(next.tops.length > 1 ? bar(next.tops, -TIP, -LINK) : []),
      // Up beside the first coil, where no other stands.
      line([from, TIP], [from, LINK], [beside, LINK], [beside, -LINK], [to, -LINK], [to, -TIP]),
    ]
  })
  return { tops: parts[0]!.tops, bottoms: parts.at(-1)!.bottoms, marks: [...marks, ...links] }
}

const line = (...points: [number, number][]): Mark => ({ mark: 'line', role: 'hot', points: points.map(([x, y]) => pt(x, y)) })

/** A bar along so many ends, with a stub to each. */
function bar(xs: readonly number[], tip: number, y: number): Mark[] {
  const along = xs.length > 1 ? [line([Math.min(...xs), y], [Math.max(...xs), y])] : []
  return [...along, ...xs.map((x) => line([x, tip], [x, y]))]
}

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
