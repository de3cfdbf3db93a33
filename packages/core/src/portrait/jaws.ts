import type { Mark } from '../drawing/drawing'
import { pt, type Point } from '../geometry/point'
import type { Place } from './sketch'

/** What is held to the part for a reading, its faces at the two places the reading is taken between. */
export function jaws(place: Place, reach: number): Mark[] {
  const { from, to, hold } = place
  if (hold === 'gauge') return gauge(from, to, reach)
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const u = length > 0 ? pt((to.x - from.x) / length, (to.y - from.y) / length) : pt(1, 0)
  const n = pt(-u.y, u.x)
  const at = (base: Point, along: number, across: number) => pt(base.x + along * u.x + across * n.x, base.y + along * u.y + across * n.y)
  const area = (...points: Point[]): Mark => ({ mark: 'area', role: 'tool', points })
  const [long, half] = [reach, reach * 0.28]
  switch (hold) {
    case 'outside':
      return [
        area(at(from, 0, -half), at(from, 0, half), at(from, -long * 0.3, half * 1.7), at(from, -long, half * 1.7), at(from, -long, -half)),
        area(at(to, 0, -half), at(to, 0, half), at(to, long * 0.3, half * 1.7), at(to, long, half * 1.7), at(to, long, -half)),
      ]
    case 'inside': {
      // Two thin blades that just fit in, their backs to each other.
      const blade = Math.min(long * 0.3, length * 0.42)
      return [
        area(at(from, 0, -half), at(from, blade, -half), at(from, blade, half * 2.6), at(from, 0, half * 1.4)),
        area(at(to, 0, -half), at(to, -blade, -half), at(to, -blade, half * 2.6), at(to, 0, half * 1.4)),
      ]
    }
    case 'depth':
      return [
        area(at(from, 0, -half * 2.4), at(from, 0, half * 2.4), at(from, -long * 0.35, half * 2.4), at(from, -long * 0.35, -half * 2.4)),
        area(at(from, -long * 0.35, -half * 0.22), at(from, -long * 0.35, half * 0.22), at(to, 0, half * 0.22), at(to, 0, -half * 0.22)),
      ]
    case 'rule': {
      const [a, b] = [at(from, 0, half * 0.4), at(to, 0, half * 0.4)]
      return [
        area(a, b, at(to, 0, half * 1.5), at(from, 0, half * 1.5)),
        { mark: 'line', role: 'tool', points: [from, a] },
        { mark: 'line', role: 'tool', points: [to, b] },
      ]
    }
  }
}

/** A gauge or a feeler has no two faces: a ring shows where it is held. */
const gauge = (from: Point, to: Point, reach: number): Mark[] => [
  { mark: 'circle', role: 'tool', at: pt((from.x + to.x) / 2, (from.y + to.y) / 2), r: reach * 0.22 },
]
