import { pt, type Point } from '../geometry/point'
import type { Crowns } from '../physics/heldString'

/** Turns the view so that a straight edge from the first to the last crown lies level, as a board is looked at: only for drawings. */
export function levelled({ crowns }: Crowns): (p: Point) => Point {
  const [a, b] = [crowns[0]!, crowns.at(-1)!]
  const slope = (b.y - a.y) / (b.x - a.x)
  return (p) => pt(p.x, p.y - a.y - slope * (p.x - a.x))
}
