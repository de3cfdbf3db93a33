import { boxAround, type Box } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import type { Mark } from './drawing'

const pointsOf = (m: Mark): Point[] =>
  m.mark === 'area' || m.mark === 'line'
    ? m.points
    : m.mark === 'dimension'
      ? [m.from, m.to]
      : m.mark === 'circle'
        ? [pt(m.at.x - m.r, m.at.y - m.r), pt(m.at.x + m.r, m.at.y + m.r)]
        : [m.at]

/** The smallest piece of the plane that holds all of these marks. */
export const boundsOf = (marks: readonly Mark[]): Box => boxAround(marks.flatMap(pointsOf))
