import type { Build } from '../../document/build'
import { isThrough, sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import type { Box } from '../../geometry/box'
import { PLACES, type PickupPlace } from '../../instrument/guardPlace'
import { isOnStuds } from '../../instrument/vibrato'
import { STAYS } from '../../judge/whatStays'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { guarded, unread } from '../guard'
import { hollowsOf, unplacedHollows, type Hollow } from '../hollows'
import type { Guard } from '../holeCard'
import { floorGuard } from './router'

/** A route to be cut, along the centre line from where places on the body are counted, mm. */
interface Cut {
  place: PickupPlace
  at: Size
  long: Size
  wide: Size
}
/** Wood beyond this is no news, mm. */
const NEWS = 3
/** Room round a cover in its route, each side, mm. [practice] */
export const ROUND = 1

/** What a pickup's route must not open into: the neck's pocket or the end of its board, the bridge's studs, another pickup's route. */
export const routeWalls = (build: Build, cut: Cut): Guard[] => [
  ...toNeck(build, cut),
  ...toStuds(build, cut),
  ...PLACES.filter((p) => p !== cut.place).flatMap((p) => toRoute(build, cut, p)),
]

const spread = (...sizes: readonly (Size | undefined)[]): number => Math.hypot(...sizes.map((s) => s?.doubt ?? 0))

/** Its end on the neck's side. */
const front = ({ at, long }: Cut): number => at.value - long.value / 2

function wall(id: string, what: string, spare: { value: number; doubt: number }, opens: string, instead: string): Guard[] {
  if (spare.value > NEWS + spare.doubt) return []
  return [
    guarded(
      id,
      `Wood to ${what}`,
      spare,
      [
        { upTo: 0, is: 'wont-go' },
        { upTo: STAYS, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      spare.value <= 0
        ? `${opens} by ${printMm(-spare.value, 1)} mm.`
        : `${printMm(spare.value, 1)} mm of wood to ${what}; ${STAYS} should stay.`,
      instead,
    ),
  ]
}

const FURTHER = 'Move its middle towards the bridge, or take a shorter pickup.'

function toNeck(build: Build, cut: Cut): Guard[] {
  if (!build.parts.neck) return []
  if (isThrough(build))
    return wall(
      'board',
      'the board’s end',
      { value: front(cut), doubt: spread(cut.at, cut.long) },
      'It would reach under the board’s end',
      FURTHER,
    )
  const pocket = sizeRef('body', 'pocket.length')
  const long = sizeAt(build, pocket)
  if (!long) return cut.place === 'neck' ? [unread(build, 'pocket', 'Wood to the neck’s pocket', [pocket])] : []
  const spare = { value: front(cut) - long.value, doubt: spread(cut.at, cut.long, long) }
  return wall('pocket', 'the neck’s pocket', spare, 'It would break into the neck’s pocket', FURTHER)
}

/** The nearest of two bores either side of the centre line. */
function toStuds(build: Build, cut: Cut): Guard[] {
  if (cut.place !== 'bridge' || !isOnStuds(traitAt(build, 'bridge', 'mount'))) return []
  const refs: SizeRef[] = [
    sizeRef('body', 'mouthToBridge'),
    sizeRef('bridge', 'studSpacing'),
    sizeAt(build, sizeRef('body', 'studBore')) ? sizeRef('body', 'studBore') : sizeRef('bridge', 'studDiameter'),
  ]
  const [at, apart, bore] = refs.map((r) => sizeAt(build, r))
  if (!at || !apart || !bore) return [unread(build, 'studs', 'Wood to the bridge’s studs', refs)]
  const along = at.value - (cut.at.value + cut.long.value / 2)
  const across = (apart.value - cut.wide.value) / 2
  const free = along > 0 && across > 0 ? Math.hypot(along, across) : Math.max(along, across)
  const spare = { value: free - bore.value / 2, doubt: spread(cut.at, cut.long, at, apart, bore) }
  return wall('studs', 'the bridge’s stud bores', spare, 'It would break into the bridge’s stud bores', 'Move its middle towards the neck.')
}

/** Under a guard two routes may be one; under rings and screws in the wood each needs its own. */
function toRoute(build: Build, cut: Cut, place: PickupPlace): Guard[] {
  if (!build.parts[`pickup-${place}`]) return []
  const centre = sizeAt(build, sizeRef('body', `route.${place}.centre`))
  const cutLong = sizeAt(build, sizeRef('body', `route.${place}.length`))
  const cover = sizeAt(build, sizeRef(`pickup-${place}`, 'length'))
  const long = cutLong?.value ?? (cover && cover.value + 2 * ROUND)
  if (!centre || long === undefined) return []
  const wood = Math.abs(centre.value - cut.at.value) - (long + cut.long.value) / 2
  const doubt = spread(cut.at, cut.long, centre, cutLong ?? cover)
  if (wood > NEWS + doubt) return []
  return [
    guarded(
      `route-${place}`,
      `Wood to the ${place} pickup’s route`,
      { value: wood, doubt },
      [
        { upTo: STAYS, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      wood <= 0
        ? `It would open into the ${place} pickup’s route: under a guard that may be, under a ring or screws in the wood it may not.`
        : `${printMm(wood, 1)} mm of wood to the ${place} pickup’s route; ${STAYS} should stay.`,
    ),
  ]
}

const ROOM_DEPTH: Readonly<Record<string, SizeRef>> = {
  springs: sizeRef('body', 'spring.depth'),
  control: sizeRef('body', 'control.depth'),
}

/** Wood between two boxes; nothing or less where they overlap. */
export function between(a: Box, b: Box): number {
  const dx = Math.max(b.x - a.x - a.width, a.x - b.x - b.width)
  const dy = Math.max(b.y - a.y - a.height, a.y - b.y - b.height)
  return dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy)
}

/**
 * The floor of a route cut from the front, over whatever is hollow under it from the back.
 * @param left what would stay of a body with no such hollow, mm
 */
export function floorOver(build: Build, box: Box, left: { value: number; doubt: number }): { left: number; guards: Guard[] } {
  const under = hollowsOf(build).filter((h) => h.face === 'back' && between(h.box, box) < STAYS)
  const known = under.filter((h): h is Hollow & { depth: number } => h.depth !== undefined)
  const [deepest] = known.toSorted((a, b) => b.depth - a.depth)
  const depth = deepest && sizeAt(build, ROOM_DEPTH[deepest.id]!)
  const floor = depth ? { value: left.value - depth.value, doubt: Math.hypot(left.doubt, depth.doubt) } : left
  const open = under.filter((h) => h.depth === undefined).map((h) => ROOM_DEPTH[h.id]!)
  const unplaced = unplacedHollows(build).includes(SPRINGS.name) ? SPRINGS.refs : []
  const missing = [...open, ...unplaced]
  return {
    left: floor.value,
    guards: [
      floorGuard(floor, deepest?.name),
      ...(missing.length ? [unread(build, 'under', 'Floor over what is hollow from the back', missing)] : []),
    ],
  }
}
/** As hollows name it, and what says where it lies and how deep it is. */
const SPRINGS = {
  name: 'the vibrato’s cavity',
  refs: (['claw.x', 'vibrato.length', 'vibrato.width', 'spring.depth'] as const).map((size) => sizeRef('body', size)),
}
