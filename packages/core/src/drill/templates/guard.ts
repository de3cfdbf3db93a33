import type { Build } from '../../document/build'
import { sizeAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { PLACES } from '../../instrument/guardPlace'
import { goesRound } from '../../instrument/guardRound'
import { outlinePoints } from '../../instrument/outline'
import { panelOf } from '../../instrument/panel'
import type { HoleCard } from '../holeCard'
import { controlMarks } from './controlMarks'
import { type Shape, closed, line, roundedBox } from './template'
import { type Made, TITLES } from './titles'

/** The guard in its own frame: its neck edge at 0. */
export function guardTemplate(build: Build, cards: readonly HoleCard[]): Made | undefined {
  const rows = build.parts.guard?.outline
  if (!rows) return undefined
  const size = (key: string) => sizeAt(build, { slot: 'guard', size: key })?.value
  const outline = outlinePoints(rows)
  const openings = (goesRound(build) ? PLACES : []).flatMap((p): Shape[] => {
    const [c, l, w] = [size(`opening.${p}.centre`), size(`opening.${p}.length`), size(`opening.${p}.width`)]
    if (c === undefined || l === undefined || w === undefined || !build.parts[`pickup-${p}`]) return []
    const y = size(`opening.${p}.side`) ?? 0
    return [closed(roundedBox({ x: c - l / 2, y: y - w / 2, width: l, height: w }, size(`opening.${p}.radius`) ?? 2), 'cut')]
  })
  const pots = panelOf(build).slot === 'guard' ? controlMarks(build, cards) : []
  return {
    title: TITLES.guard,
    seen: 'front',
    notes: ['Screw holes are marked on the wood through the guard itself, not from paper.'],
    shapes: [
      closed(outline, 'cut'),
      ...openings,
      ...pots,
      line([pt(Math.min(...outline.map((p) => p.x)) - 6, 0), pt(Math.max(...outline.map((p) => p.x)) + 6, 0)]),
    ],
  }
}
