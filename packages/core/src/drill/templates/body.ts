import type { Build } from '../../document/build'
import { sizeAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { printMm } from '../../quantity/length'
import type { HoleCard, Side } from '../holeCard'
import { type Hollow, hollowsOf } from '../hollows'
import { drawnEdge } from '../place'
import { holesOn, legend } from './holeMarks'
import { type Shape, closed, line, roundedBox, words } from './template'
import { type Made, TITLES } from './titles'

export function body(build: Build, all: readonly HoleCard[], seen: 'front' | 'back'): Made | undefined {
  const edge = drawnEdge(build)
  if (!edge) return undefined
  const d = datums(build)
  const cards = all.filter((c) => !c.id.startsWith('route-'))
  const hollows = hollowsOf(build).filter((h) => h.face === seen)
  const end = Math.max(...edge.map((p) => p.x))
  return {
    title: TITLES[`body-${seen}`],
    seen,
    notes: [...registration(cards, seen), ...doubts(cards, seen)],
    legend: legend(cards, [seen]),
    shapes: [
      closed(edge, 'cut'),
      ...hollows.flatMap((h) => hollowShape(build, h)),
      ...holesOn(cards, [seen]),
      line([pt(d.mouth - 60, 0), pt(end + 8, 0)]),
      words(pt(end + 8, -2), 'centre line', 'end'),
    ],
  }
}

function hollowShape(build: Build, h: Hollow): Shape[] {
  const radius = sizeAt(build, { slot: 'body', size: `route.${h.id.replace('route-', '')}.radius` })?.value ?? 3
  return [
    closed(h.askew ?? roundedBox(h.box, h.id === 'pocket' ? 0 : radius)),
    words(pt(h.box.x + h.box.width / 2, h.box.y + h.box.height / 2 + 9), h.name),
  ]
}

/** Two holes that are there lay a second paper exactly on the first. */
function registration(cards: readonly HoleCard[], side: Side): string[] {
  const there = cards.find((c) => c.side === side && c.work === 'keep' && c.places.length >= 2)
  if (!there) return []
  const [a, b] = [there.places[0]!, there.places.at(-1)!]
  return [
    `Lay it on by ${there.title.toLowerCase()} that are there: ${printMm(Math.hypot(a.x - b.x, a.y - b.y), 1)} mm apart on the wood and on the paper.`,
  ]
}

/** Which of the holes on it are placed by numbers that are not sure. */
const doubts = (cards: readonly HoleCard[], side: Side): string[] =>
  cards
    .filter((c) => c.side === side && c.places.length && (c.placeDoubt ?? 0) > 0.5 && c.work !== 'keep')
    .map((c) => `${c.title}: known to ±${printMm(c.placeDoubt!, 1)} mm; ${c.located} decides.`)
