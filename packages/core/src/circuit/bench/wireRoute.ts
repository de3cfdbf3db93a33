import type { Build } from '../../document/build'
import { pt, type Point } from '../../geometry/point'
import { contains } from '../../geometry/polygon'
import { controlPlace } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { panelOf } from '../../instrument/panel'
import { guardOutline } from '../../instrument/guardOutline'
import { lugParts, type Component, type Harness, type Wire } from '../model/harness'

/** Which way a wire lies between two parts: corner by corner, mm from the nut and across. */
export type Routes = (a: Component, b: Component) => Point[]

/**
 * Wires lie where there is room for them and not over the wood: under a guard along its hollow, otherwise from pickup to pickup down the
 * middle and through the passages into the room of the controls; jack and strings are reached from there alone. [practice]
 */
export function routesOf(build: Build): Routes {
  const guard = panelOf(build).slot === 'guard' ? guardOutline(build, datums(build).heelEnd) : []
  const room = controlPlace(build, 'volume')
  const underGuard = (c: Component) => guard.length > 2 && contains(guard, c.at)
  const inRoom = (c: Component) => stands(c, room)
  return (a, b) => {
    if (underGuard(a) && underGuard(b)) return elbow(a.at, b.at, guard)
    if (inRoom(a) && inRoom(b)) return clean([a.at, b.at])
    const hub = inRoom(a) ? a.at : inRoom(b) ? b.at : room
    return clean([...into(hub, a), ...into(hub, b).toReversed()])
  }
}

/** What stands further from the volume than this is not in the room of the controls: a selector on the horn has a passage of its own, mm. [ours] */
const ROOM = 95

const stands = (c: Component, room: Point) =>
  c.is !== 'coil' &&
  c.is !== 'jack' &&
  !(c.is === 'ground' && c.metal === 'strings') &&
  Math.hypot(c.at.x - room.x, c.at.y - room.y) <= ROOM

/** Into the room of the controls: a pickup's wires down the middle as far as it lies, everything else by its own passage. */
const into = (hub: Point, c: Component): Point[] => (c.is === 'coil' ? [c.at, pt(Math.max(c.at.x, hub.x), c.at.y), hub] : [c.at, hub])

/** One corner: the one of the two that lies under the guard. */
function elbow(from: Point, to: Point, guard: readonly Point[]): Point[] {
  const corners = [pt(from.x, to.y), pt(to.x, from.y)]
  const inside = corners.find((c) => contains(guard, c))
  return inside ? clean([from, inside, to]) : [from, to]
}

/** The same without standing still. */
const clean = (points: readonly Point[]): Point[] => points.filter((p, i) => !i || p.x !== points[i - 1]!.x || p.y !== points[i - 1]!.y)

/** The same across and along where nothing is known of the instrument. */
export const plainRoute: Routes = (a, b) => clean([a.at, pt(a.at.x, b.at.y), b.at])

/** Every wire of a harness where it lies, a little apart so that those on one way can be told from each other. */
export function layWires(build: Build, harness: Harness): { wire: Wire; points: Point[] }[] {
  const route = routesOf(build)
  const part = (lug: string) => harness.components.find((c) => c.id === lugParts(lug).component)!
  return harness.wires
    .filter((w) => !w.inside)
    .flatMap((wire, i) => {
      const points = route(part(wire.from), part(wire.to))
      const aside = ((i % 5) - 2) * 2.2
      const last = points.length - 1
      return last < 1 ? [] : [{ wire, points: points.map((p, k) => (k === 0 || k === last ? p : pt(p.x + aside, p.y + aside))) }]
    })
}

/** Length along the way, mm. */
export const along = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - points[i]!.x, p.y - points[i]!.y), 0)
