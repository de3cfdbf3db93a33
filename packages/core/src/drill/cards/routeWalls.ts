import type { Build } from '../../document/build'
import { isThrough, sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { betweenBoxes, type Box } from '../../geometry/box'
import { PLACES, type PickupPlace } from '../../instrument/guardPlace'
import { isOnStuds } from '../../instrument/vibrato'
import { STAYS } from '../../judge/whatStays'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { unread } from '../guard'
import { hollowsOf, SPRING_ROOM, unplacedHollows, type Hollow } from '../hollows'
import { MAY_OPEN, wallGuard } from '../wallGuard'
import type { Guard } from '../holeCard'
import { floorGuard } from './router'

/** A route to be cut, along the centre line from where places on the body are counted, mm. */
interface Cut {
  place: PickupPlace
  at: Size
  long: Size
  wide: Size
}
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

const FURTHER = 'Move its middle towards the bridge, or take a shorter pickup.'

function toNeck(build: Build, cut: Cut): Guard[] {
  if (!build.parts.neck) return []
  if (isThrough(build))
    return wallGuard({
      id: 'board',
      what: 'the board’s end',
      wood: { value: front(cut), doubt: spread(cut.at, cut.long) },
      opens: `It would reach under the board’s end by ${printMm(-front(cut), 1)} mm`,
      instead: FURTHER,
    })
  const pocket = sizeRef('body', 'pocket.length')
  const long = sizeAt(build, pocket)
  if (!long) return cut.place === 'neck' ? [unread(build, 'pocket', 'Wood to the neck’s pocket', [pocket])] : []
  const wood = { value: front(cut) - long.value, doubt: spread(cut.at, cut.long, long) }
  return wallGuard({
    id: 'pocket',
    what: 'the neck’s pocket',
    wood,
    opens: `It would break into the neck’s pocket by ${printMm(-wood.value, 1)} mm`,
    instead: FURTHER,
  })
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
  const wood = { value: free - bore.value / 2, doubt: spread(cut.at, cut.long, at, apart, bore) }
  return wallGuard({
    id: 'studs',
    what: 'the bridge’s stud bores',
    wood,
    opens: `It would break into the bridge’s stud bores by ${printMm(-wood.value, 1)} mm`,
    instead: 'Move its middle towards the neck.',
  })
}

/** Under a guard two routes may be one; under rings and screws in the wood each needs its own. */
function toRoute(build: Build, cut: Cut, place: PickupPlace): Guard[] {
  if (!build.parts[`pickup-${place}`]) return []
  const centre = sizeAt(build, sizeRef('body', `route.${place}.centre`))
  const cutLong = sizeAt(build, sizeRef('body', `route.${place}.length`))
  const cover = sizeAt(build, sizeRef(`pickup-${place}`, 'length'))
  const long = cutLong?.value ?? (cover && cover.value + 2 * ROUND)
  if (!centre || long === undefined) return []
  const value = Math.abs(centre.value - cut.at.value) - (long + cut.long.value) / 2
  return wallGuard({
    id: `route-${place}`,
    what: `the ${place} pickup’s route`,
    wood: { value, doubt: spread(cut.at, cut.long, centre, cutLong ?? cover) },
    opens: `It would open into the ${place} pickup’s route${MAY_OPEN}`,
  })
}

const ROOM_DEPTH: Readonly<Record<string, SizeRef>> = {
  springs: sizeRef('body', 'spring.depth'),
  control: sizeRef('body', 'control.depth'),
}

/**
 * The floor of a route cut from the front, over whatever is hollow under it from the back.
 * @param left what would stay of a body with no such hollow, mm
 */
export function floorOver(build: Build, box: Box, left: { value: number; doubt: number }): { left: number; guards: Guard[] } {
  const under = hollowsOf(build).filter((h) => h.face === 'back' && betweenBoxes(h.box, box) < STAYS)
  const known = under.filter((h): h is Hollow & { depth: number } => h.depth !== undefined)
  const [deepest] = known.toSorted((a, b) => b.depth - a.depth)
  const depth = deepest && sizeAt(build, ROOM_DEPTH[deepest.id]!)
  const floor = depth ? { value: left.value - depth.value, doubt: Math.hypot(left.doubt, depth.doubt) } : left
  const open = under.filter((h) => h.depth === undefined).map((h) => ROOM_DEPTH[h.id]!)
  const unplaced = unplacedHollows(build).includes(SPRING_ROOM.name) ? SPRING_ROOM.refs : []
  const missing = [...open, ...unplaced]
  return {
    left: floor.value,
    guards: [
      floorGuard(floor, deepest?.name),
      ...(missing.length ? [unread(build, 'under', 'Floor over what is hollow from the back', missing)] : []),
    ],
  }
}
