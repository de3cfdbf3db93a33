import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { nearestOnEdge } from '../geometry/polygon'
import { printMm } from '../quantity/length'
import { besideHollows } from './besideHollows'
import { called, MOVES_ONE } from './called'
import { betweenGuard, guarded, untellable, BETWEEN, NEWS, WOOD_LEFT } from './guard'
import { hollowsOf } from './hollows'
import { besideHoles, INTO_HOLLOW, toHollows } from './holesAndHollows'
import type { DrawnCard, Guard, Way } from './holeCard'
import { onCarrier } from './onCarrier'
import { PIECE } from './piece'
import { slitGuard } from './slit'

/** Holes that are one: a recess over its string hole. */
const ONE = [new Set(['string-holes', 'ferrule-bores']), new Set(['neck-clearance', 'neck-screws'])]

/** Looks at each hole to be made beside all others and beside the body's hollows: those too near are its guards too. */
export function withNeighbours(build: Build, cards: readonly DrawnCard[]): { card: DrawnCard; more: Guard[] }[] {
  const hollows = [...hollowsOf(build), ...cards.flatMap(({ cuts }) => cuts ?? [])]
  const thick = sizeAt(build, { slot: 'body', size: 'thickness' })?.value
  return cards.map((card) => {
    if (card.cuts)
      return {
        card,
        more: [...besideHollows(build, card.cuts, hollows, thick), ...unsaid(build, card), ...besideHoles(card.cuts, cards, thick)],
      }
    if (!card.work || card.work === 'keep' || (card.bit === undefined && !card.slit) || card.byPart) return { card, more: [] }
    if (!card.places.length) return { card, more: [untellable('place', 'Clear of what lies there', 'its places are not known in numbers')] }
    if (card.slit) return { card, more: [...beside(card, cards, thick), ...onCarrier(build, card)] }
    return {
      card,
      more: [
        ...onCarrier(build, card),
        ...beside(card, cards, thick),
        ...unsaid(build, card),
        ...passages(card, cards, thick),
        ...toHollows(build, card, hollows, thick),
      ],
    }
  })
}

function beside(card: DrawnCard, cards: readonly DrawnCard[], thick: number | undefined): Guard[] {
  const found: Guard[] = []
  for (const other of cards) {
    if (PIECE[other.side] !== PIECE[card.side] || other.byPart) continue
    if (card.slit || other.slit) {
      if (card !== other && meet(card, other, thick)) found.push(...slitGuard(card, other))
      continue
    }
    const wide = other.takes ?? other.bit
    if (!other.places.length || wide === undefined) {
      if (!other.id.startsWith('route-'))
        found.push(
          untellable(
            `near-${other.id}`,
            `${carrierOf(card) ? 'Left' : 'Wood'} to ${called(other)}`,
            `the place of ${called(other)} is not known`,
          ),
        )
      continue
    }
    if (ONE.some((pair) => pair.has(card.id) && pair.has(other.id) && card !== other)) continue
    if (card.way?.startsIn === other.id || other.way?.startsIn === card.id) continue
    if (!meet(card, other, thick)) continue
    const apart = nearest(card, other)
    if (apart === undefined) continue
    const radii = ((card.takes ?? card.bit!) + wide) / 2
    // What is located by the same thing moves together.
    const doubt = card === other ? 0 : Math.hypot(card.placeDoubt ?? 0, other.placeDoubt ?? 0)
    if (apart - radii > NEWS + doubt) continue
    found.push(
      betweenGuard(
        `near-${other.id}`,
        { value: apart, doubt },
        radii,
        card === other ? 'its neighbour' : called(other),
        outOf(card, other),
        carrierOf(card),
      ),
    )
  }
  return found
}

/** A hole in the way is plugged; of two that are still to be made one moves; what a part's own holes do to each other is a reading to look at. */
const outOf = (card: DrawnCard, other: DrawnCard): string => {
  if (card === other) return 'Measure again how far apart they stand.'
  if (other.work !== 'keep') return MOVES_ONE
  const carrier = carrierOf(card)
  return carrier ? `Move its mark, or take another ${carrier}: a plug in it stays in sight.` : 'Plug that one, let it dry, drill anew.'
}

/** The part of plastic or metal a hole goes through; nothing where it is wood. */
const carrierOf = ({ side }: DrawnCard): string | undefined => (side === 'guard' || side === 'control plate' ? side : undefined)

/** Passages for wires run unseen through the wood: straight from end to end, as far as anybody can say. */
function passages(card: DrawnCard, cards: readonly DrawnCard[], thick: number | undefined): Guard[] {
  if (PIECE[card.side] !== 'body' || INTO_HOLLOW.has(card.id)) return []
  return cards.flatMap(({ way, id, title }) => {
    if (!way || id === card.id || way.clears?.includes(card.id) || way.startsIn === card.id || !comesDown(card, way, thick)) return []
    const wood =
      Math.min(...card.places.map((p) => nearestOnEdge([way.from, way.to], p).distance)) - ((card.takes ?? card.bit!) + way.wide) / 2
    const doubt = Math.hypot(way.doubt, card.placeDoubt ?? 0)
    if (wood > NEWS + doubt) return []
    const what = title.replace(/^P/, 'p')
    return [
      guarded(
        `way-${id}`,
        `Wood to the ${what}`,
        { value: wood, doubt },
        WOOD_LEFT,
        wood + doubt <= 0
          ? `It would cut the wires in the ${what}.`
          : `${printMm(Math.max(0, wood), 1)} mm of wood to the ${what}, ±${printMm(doubt, 1)}: a stiff wire pushed through shows which way it goes.`,
        'Lead those wires another way first.',
      ),
    ]
  })
}

/** Does a hole come as deep as a passage runs? */
function comesDown(card: DrawnCard, way: Way, thick: number | undefined): boolean {
  const deep = card.flag ?? card.depth
  if (way.level === undefined || deep === undefined || thick === undefined) return true
  const roof = (card.side === 'back' ? thick - way.level : way.level) - way.wide / 2
  return deep > roof - BETWEEN
}

/** A bridge nobody looked at may stand on screws or studs of any kind: no hole in the body is clear of those. */
const unsaid = (build: Build, card: DrawnCard): Guard[] =>
  PIECE[card.side] === 'body' && build.parts.bridge && !traitAt(build, 'bridge', 'mount')
    ? [untellable('near-bridge', 'Wood to the bridge’s holes', 'nobody has said what the bridge stands on')]
    : []

/** Do two holes from opposite faces reach each other's depth? */
function meet(a: DrawnCard, b: DrawnCard, thick: number | undefined): boolean {
  if (a.side === b.side || PIECE[a.side] !== 'body') return true
  if (a.depth === undefined || b.depth === undefined || thick === undefined) return true
  return (a.flag ?? a.depth) + (b.flag ?? b.depth) >= thick - BETWEEN
}

function nearest(a: DrawnCard, b: DrawnCard): number | undefined {
  let least = Infinity
  a.places.forEach((p, i) =>
    b.places.forEach((q, j) => {
      if (a === b && i === j) return
      least = Math.min(least, Math.hypot(p.x - q.x, p.y - q.y))
    }),
  )
  return Number.isFinite(least) ? least : undefined
}
