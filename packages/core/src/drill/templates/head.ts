import type { Build } from '../../document/build'
import { boxAround } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { outlinePoints } from '../../instrument/outline'
import { headBlank } from '../head/blank'
import type { HoleCard } from '../holeCard'
import { holesOn, legend, nameOf } from './holeMarks'
import { type Shape, closed, hole, line, roundedBox } from './template'
import { type Made, TITLES } from './titles'

export function head(build: Build, cards: readonly HoleCard[], side: 'head front' | 'head back'): Made | undefined {
  const rows = build.parts.neck?.outline
  if (!rows) return undefined
  const outline = outlinePoints(rows)
  const back = side === 'head back'
  const blank = headBlank(build)
  return {
    title: TITLES[back ? 'head-back' : 'head-front'],
    seen: back ? 'back' : 'front',
    notes: [
      ...(back ? ['Screws are drilled from this side; the post bores are shown to lay it on by.'] : []),
      ...(blank ? ['Dashed: the saw line, 5 mm outside the outline.'] : []),
    ],
    legend: legend(cards, [side]),
    shapes: [
      closed(outline, 'cut'),
      ...(blank ? [closed(blank.saw, 'shown')] : []),
      line([pt(Math.min(...outline.map((p) => p.x)) - 6, 0), pt(12, 0)]),
      ...postBores(cards, back),
      ...holesOn(cards, back ? ['head back'] : []),
    ],
  }
}

/** The posts' bores: named on the face they are drilled from, only shown on the other. */
function postBores(cards: readonly HoleCard[], shown: boolean): Shape[] {
  const bores = cards.find((c) => c.id === 'tuner-bores')
  if (!bores?.bit) return []
  return bores.places.flatMap((p, i) => hole(p, bores.bit!, shown ? '' : nameOf(bores, i), shown || bores.work === 'keep'))
}

/** The posts alone on a piece of scrap: drilled, the tuners hung in it, before the neck is touched. */
export function practice(cards: readonly HoleCard[]): Made | undefined {
  const bores = cards.find((c) => c.id === 'tuner-bores')
  if (!bores?.bit || !bores.places.length) return undefined
  const { x, y, width, height } = boxAround(bores.places, 20)
  return {
    title: TITLES.practice,
    seen: 'front',
    notes: ['Scrap as thick as the headstock; drill it as the card says, hang every tuner, look whether the housings clear.'],
    legend: legend([bores], [bores.side]),
    shapes: [
      closed(roundedBox({ x, y, width, height }, 4), 'cut'),
      ...bores.places.flatMap((p, i) => hole(p, bores.bit!, nameOf(bores, i))),
    ],
  }
}
