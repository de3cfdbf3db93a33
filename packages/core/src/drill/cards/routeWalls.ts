import type { Build } from '../../document/build'
import { isThrough, sizeAt, sizeRef, type SizeRef } from '../../document/read'
import { betweenBoxes, type Box } from '../../geometry/box'
import type { PickupPlace } from '../../instrument/guardPlace'
import { STAYS } from '../../judge/whatStays'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { unread } from '../guard'
import { hollowsOf, SPRING_ROOM, unplacedHollows, type Hollow } from '../hollows'
import { wallGuard } from '../wallGuard'
import type { Guard } from '../holeCard'
import { floorGuard } from './router'

/** A route to be cut, along the centre line from where places on the body are counted, mm. */
interface Cut {
  place: PickupPlace
  at: Size
  long: Size
}
/** Room round a cover in its route, each side, mm. [practice] */
export const ROUND = 1

const spread = (...sizes: readonly (Size | undefined)[]): number => Math.hypot(...sizes.map((s) => s?.doubt ?? 0))

/** Its end on the neck's side. */
const front = ({ at, long }: Cut): number => at.value - long.value / 2

const FURTHER = 'Move its middle towards the bridge, or take a shorter pickup.'

/** What a pickup's route must not open into on the neck's side: its pocket, or the end of its board. */
export function routeWalls(build: Build, cut: Cut): Guard[] {
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
  const unplaced = unplacedHollows(build).some((h) => h.id === 'springs') ? SPRING_ROOM.refs : []
  const missing = [...open, ...unplaced]
  return {
    left: floor.value,
    guards: [
      floorGuard(floor, deepest?.name),
      ...(missing.length ? [unread(build, 'under', 'Floor over what is hollow from the back', missing)] : []),
    ],
  }
}
