import { pt, type Point } from '../geometry/point'
import type { Drawing, Mark } from './drawing'

/** A place across the centre line. */
export const over = (p: Point): Point => pt(p.x, -p.y)

/** Seen from the other face, or made for the other hand: left and right change places across the centre line. */
export function turnedOver(mark: Mark): Mark {
  switch (mark.mark) {
    case 'area':
    case 'line':
      return { ...mark, points: mark.points.map(over) }
    case 'circle':
    case 'label':
      return { ...mark, at: over(mark.at) }
    case 'dimension':
      return { ...mark, from: over(mark.from), to: over(mark.to) }
  }
}

/**
 * A drawing in the instrument's own frame as that instrument lies there, the neck to the left: of a right-handed one the bass side is below,
 * of a left-handed one above.
 * @param drawing of a right-handed one, millimetres
 */
export function ofHand(drawing: Drawing, hand: 'left' | 'right'): Drawing {
  if (hand === 'right') return drawing
  const { bounds, handles } = drawing
  return {
    ...drawing,
    marks: drawing.marks.map(turnedOver),
    bounds: { ...bounds, y: -bounds.y - bounds.height },
    ...(handles ? { handles: handles.map((h) => ({ ...h, at: over(h.at), perUp: -h.perUp })) } : {}),
  }
}
