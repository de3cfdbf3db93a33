import { pickupAlong } from './pickupPlace'
import type { Build } from '../document/build'
import { traitAt, valueAt } from '../document/read'
import { pt, type Point } from '../geometry/point'
import type { OutlineRow } from '../parts/part'
import type { Slot } from '../parts/slots'
import { controlPlace, jackPanel } from './controlPlace'
import { datums } from './datums'
import { groundOf } from './stringGround'
import { PLACES, type PickupPlace } from './guardPlace'
import { outlinePoints } from './outline'
import { isCarried, panelOf } from './panel'
import { plateBox } from './platePlace'

/** Beyond the straight line: down into the cavity, round a corner, up to the lug. [practice] */
const SLACK = 40
/** What a lead may take more, laid out where nobody knows, mm. [ours] */
export const UNSEEN = 180
/** Kept at the end for a later swap. [practice] */
const SPARE = 60

export interface LeadRun {
  id: 'jack' | 'ground' | `pickup-${PickupPlace}`
  label: string
  /** In one word, for a drawing. */
  short: string
  from: Point
  to: Point
  /** Length that reaches with everything in place, mm. */
  closed: number
  /** Length that reaches with the guard or the plate turned over, or the harness lying outside the sound hole, mm; unknown with these. */
  open?: number
  /** What to cut, mm. */
  cut: number
}

/** How the controls are worked on: turned over with the guard or on an edge of their plate, drawn out through a sound hole, or left where they are. */
export type OpenedBy =
  | { way: 'guard'; edge: number; side: 'bass' | 'treble' }
  | { way: 'plate'; edge: readonly [Point, Point]; side: 'bass' | 'treble' }
  | { way: 'sound-hole'; hole: Point }
  | { way: 'in-place' }
  /** The guard's shape, the place of the sound hole, or by what way they go in, is not known. */
  | { way: 'unknown' }

const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)

/** Of a guard's two sides, the one to turn it over on: nearer to the jack, so that its leads stay short. */
export function openedBy(build: Build): OpenedBy {
  const d = datums(build)
  const plate = plateEdge(build)
  if (plate) return plate
  const access = traitAt(build, 'body', 'access')
  if (access === undefined && build.parts.body && !build.parts['control-plate']) return { way: 'unknown' }
  if (panelOf(build).slot === 'guard') {
    const rows = build.parts.guard!.outline
    if (!rows || rows.length < 3) return { way: 'unknown' }
    const { treble, bass } = edgesOf(rows)
    const jack = jackPanel(build) ? controlPlace(build, 'jack').y : (valueAt(build, { slot: 'body', size: 'jack.y' }) ?? -100)
    return Math.abs(jack - treble) <= Math.abs(jack - bass)
      ? { way: 'guard', edge: treble, side: 'treble' }
      : { way: 'guard', edge: bass, side: 'bass' }
  }
  if (isCarried(panelOf(build))) return { way: 'unknown' }
  if (access !== 'sound-hole') return { way: 'in-place' }
  const x = valueAt(build, { slot: 'body', size: 'soundHole.x' })
  const y = valueAt(build, { slot: 'body', size: 'soundHole.y' })
  return x === undefined || y === undefined ? { way: 'unknown' } : { way: 'sound-hole', hole: pt(d.mouth + x, y) }
}

/** A plate's long edge away from the strings, to lay it over on; nothing until it is known where that is. */
function plateEdge(build: Build): Extract<OpenedBy, { way: 'plate' }> | undefined {
  const known = plateBox(build)
  if (!known) return undefined
  const [a, b, c, d] = known as [Point, Point, Point, Point]
  return a.y + c.y < 0 ? { way: 'plate', edge: [a, b], side: 'treble' } : { way: 'plate', edge: [d, c], side: 'bass' }
}

/** How far a guard reaches to either side, mm; found once for each table of half-widths. */
function edgesOf(rows: readonly OutlineRow[]): { treble: number; bass: number } {
  const known = edges.get(rows)
  if (known) return known
  const across = outlinePoints(rows).map((p) => p.y)
  const found = { treble: Math.min(...across), bass: Math.max(...across) }
  edges.set(rows, found)
  return found
}
const edges = new WeakMap<readonly OutlineRow[], { treble: number; bass: number }>()

/** Where a control ends up while it is soldered. */
export function whileOpen(open: OpenedBy, at: Point): Point {
  if (open.way === 'guard') return pt(at.x, 2 * open.edge - at.y)
  if (open.way === 'plate') return mirrored(at, ...open.edge)
  return open.way === 'sound-hole' ? open.hole : at
}

/** On the other side of a line through two places. */
function mirrored(at: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const along = ((at.x - a.x) * dx + (at.y - a.y) * dy) / (dx * dx + dy * dy)
  return pt(2 * (a.x + along * dx) - at.x, 2 * (a.y + along * dy) - at.y)
}

const LEADS: readonly LeadRun['id'][] = ['jack', 'ground', ...PLACES.map((place) => `pickup-${place}` as const)]

/** Every lead that leaves the controls. */
export const leadRuns = (build: Build): LeadRun[] => LEADS.flatMap((id) => leadRun(build, id) ?? [])

/**
 * One lead: what it takes with the guard in place, and with the controls out where they are soldered; nothing where there is no such lead.
 * Straight lines and a usual slack. [ours]
 */
export function leadRun(build: Build, id: LeadRun['id']): LeadRun | undefined {
  const to = endOf(build, id)
  if (!to) return undefined
  const volume = controlPlace(build, 'volume')
  const closed = apart(volume, to.at) + SLACK
  const laidOut = hangsAlong(build, id) ? closed : laidOutTo(openedBy(build), volume, to.at)
  const longest = Math.max(closed, laidOut ?? closed + UNSEEN)
  return {
    id,
    short: to.short,
    label: to.label,
    from: volume,
    to: to.at,
    closed,
    ...(laidOut === undefined ? {} : { open: longest }),
    cut: Math.ceil((longest + SPARE) / 10) * 10,
  }
}

/** What hangs from the guard goes with it, and so does a jack beside the controls. */
const hangsAlong = (build: Build, id: LeadRun['id']): boolean =>
  id === 'jack'
    ? jackPanel(build) !== undefined
    : id !== 'ground' && panelOf(build).slot === 'guard' && traitAt(build, id, 'mount') === 'guard'

/** What reaches from where the controls are soldered; nothing where nobody knows where that is. */
const laidOutTo = (open: OpenedBy, volume: Point, end: Point): number | undefined =>
  open.way === 'unknown' ? undefined : apart(whileOpen(open, volume), end) + SLACK + (open.way === 'sound-hole' ? SLACK : 0)

/** Where a lead ends, and what it is called. */
function endOf(build: Build, id: LeadRun['id']): { at: Point; short: string; label: string } | undefined {
  const d = datums(build)
  const v = (size: string) => valueAt(build, { slot: 'body', size })
  if (id === 'jack' && jackPanel(build)) return { at: controlPlace(build, 'jack'), short: 'jack', label: 'Controls to jack' }
  if (id === 'jack') {
    const x = v('jack.x')
    return x === undefined ? undefined : { at: pt(d.mouth + x, v('jack.y') ?? -100), short: 'jack', label: 'Controls to jack' }
  }
  if (id === 'ground') {
    // The strings of a bridge that stands still meet ground under it.
    const claw = (groundOf(traitAt(build, 'bridge', 'mount')) ?? 'claw') === 'claw' ? v('claw.x') : undefined
    return { at: claw === undefined ? pt(d.studs, 0) : pt(d.mouth + claw, 0), short: 'ground', label: 'Controls to string ground' }
  }
  const place = PLACES.find((p) => id === `pickup-${p}`)!
  if (!build.parts[id satisfies Slot]) return undefined
  return {
    at: pt(pickupAlong(build, place), 0),
    short: place,
    label: `${place[0]!.toUpperCase()}${place.slice(1)} pickup to controls`,
  }
}
