import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import { toArea } from '../geometry/area'
import { inHollow } from '../instrument/panel'
import { printMm } from '../quantity/length'
import { called, MOVES_ONE } from './called'
import { BETWEEN, guarded, NEWS, untellable, WOOD_LEFT } from './guard'
import { unplacedHollows, type Hollow } from './hollows'
import type { DrawnCard, Guard } from './holeCard'
import { CONTROL_HOLES } from './overOpen'
import { PIECE } from './piece'
import { wallGuard } from './wallGuard'

/** What is made through a hollow on purpose: the control route, the neck's pocket, the springs' room. */
export const INTO_HOLLOW: ReadonlyMap<string, string> = new Map([
  ...[...CONTROL_HOLES].map((id) => [id, 'control'] as const),
  ['neck-clearance', 'pocket'],
  ['claw-screws', 'springs'],
])

/** What a hole comes near of what is hollow in the body or is to be. */
export function toHollows(build: Build, card: DrawnCard, hollows: readonly Hollow[], thick: number | undefined): Guard[] {
  if (PIECE[card.side] !== 'body') return []
  const near = hollows.flatMap((h) => {
    const wood = woodTo(card, h, thick)
    if (!wood) return []
    return [
      guarded(
        `hollow-${h.id}`,
        `Wood to ${h.name}`,
        wood,
        WOOD_LEFT,
        wood.value <= 0
          ? `It would come out in ${h.name}.`
          : `${wood.value < BETWEEN ? 'Only ' : ''}${printMm(wood.value, 1)} mm of wood to ${h.name}.`,
        h.planned ? MOVES_ONE : 'Measure again where that lies; if it is so, the hole has to move.',
      ),
    ]
  })
  if (INTO_HOLLOW.has(card.id)) return near
  near.push(
    ...unplacedHollows(build)
      .filter(({ id }) => !hollows.some((h) => h.id === id))
      .map(({ name }) => untellable(`hollow-${name}`, `Wood to ${name}`, `where ${name} lies is not known`)),
  )
  const built = traitAt(build, 'body', 'build')
  return built === 'solid'
    ? near
    : [
        ...near,
        untellable(
          'chamber',
          'Solid wood under it',
          built === undefined
            ? 'nobody has said whether the body is solid'
            : `the body has chambers: knock, or look in through the ${inHollow(build) ? 'sound hole' : 'control route'}, before a bit goes in`,
        ),
      ]
}

/** Wood from a hole to a hollow, mm; nothing where it is no news, where the one is made through the other, and where they do not meet. */
function woodTo(card: DrawnCard, h: Hollow, thick: number | undefined): { value: number; doubt: number } | undefined {
  const wide = card.takes ?? card.bit
  if (wide === undefined || INTO_HOLLOW.get(card.id) === h.id || !reaches(card, h, thick)) return undefined
  const value = Math.min(...card.places.map((p) => toArea(h, p))) - wide / 2
  const doubt = Math.hypot(card.placeDoubt ?? 0, h.doubt ?? 0)
  return value > NEWS + doubt ? undefined : { value, doubt }
}

/** Does a hole come as deep as a hollow cut from the other face begins? */
function reaches(card: DrawnCard, h: Hollow, thick: number | undefined): boolean {
  if (card.side === h.face || card.depth === undefined || thick === undefined || h.depth === undefined) return true
  return (card.flag ?? card.depth) > thick - h.depth - BETWEEN
}

/** What a hollow that is still to be cut would open of the holes beside it. */
export const besideHoles = (cut: Hollow, cards: readonly DrawnCard[], thick: number | undefined): Guard[] =>
  cards.flatMap((other) => {
    if (PIECE[other.side] !== 'body' || other.byPart || other.id.startsWith('route-') || INTO_HOLLOW.get(other.id) === cut.id) return []
    if (!other.places.length || (other.takes ?? other.bit) === undefined)
      return LATER.has(other.id)
        ? []
        : [untellable(`near-${other.id}`, `Wood to ${called(other)}`, `the place of ${called(other)} is not known`)]
    const wood = woodTo(other, cut, thick)
    if (!wood) return []
    return wallGuard({
      id: `near-${other.id}`,
      what: called(other),
      wood,
      opens: `It would break into ${called(other)}${wood.value > -0.05 ? '' : ` by ${printMm(-wood.value, 1)} mm`}`,
      instead: other.work === 'keep' ? 'Plug those first, if nothing needs them; else it has to move.' : MOVES_ONE,
    })
  })

/** Led from where the routes are, once they are there. */
const LATER = new Set(['ground-wire'])
