import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { hasRoundEnds, plateEdge } from '../../instrument/platePlace'
import type { HoleCard } from '../holeCard'
import { controlMarks } from './controlMarks'
import { type Shape, closed, hole, line } from './template'
import { type Made, TITLES } from './titles'

/** The control plate in its own frame: the middle of its front end at 0. */
export function plateTemplate(build: Build, cards: readonly HoleCard[]): Made | undefined {
  const v = (size: 'length' | 'width' | 'screw.spread' | 'screw.thread') => valueAt(build, sizeRef('control-plate', size))
  const [long, wide, spread, thread] = [v('length'), v('width'), v('screw.spread'), v('screw.thread')]
  if (long === undefined || wide === undefined) return undefined
  const round = hasRoundEnds(build)
  const screws =
    spread === undefined || thread === undefined
      ? []
      : [-1, 1].flatMap((side): Shape[] => hole(pt((long + side * spread) / 2, 0), thread, ''))
  return {
    title: TITLES['control-plate'],
    seen: 'front',
    notes: [
      'The end at 0 lies nearer the neck.',
      ...(round === undefined ? ['Nobody has said how its ends are: the outline only shows them.'] : []),
    ],
    shapes: [
      closed(plateEdge(long, wide, round ?? true), round === undefined ? 'shown' : 'cut'),
      ...controlMarks(build, cards),
      ...screws,
      line([pt(-6, 0), pt(long + 6, 0)]),
    ],
  }
}
