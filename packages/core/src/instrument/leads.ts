import type { Build } from '../document/build'
import { traitAt, valueAt } from '../document/read'
import { pt, type Point } from '../geometry/point'
import type { Slot } from '../parts/slots'
import { controlPlace } from './controlPlace'
import { datums } from './datums'
import { PLACES, type PickupPlace } from './guardPlace'
import { outlinePoints } from './outline'

/** Beyond the straight line: down into the cavity, round a corner, up to the lug. [practice] */
const SLACK = 40
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
  /** Length that reaches with the guard turned over beside the body, or the harness lying outside the sound hole, mm. */
  open: number
  /** What to cut, mm. */
  cut: number
}

/** How the controls are worked on: turned over with the guard, drawn out through a sound hole, or left where they are. */
export type OpenedBy = { way: 'guard'; edge: number; side: 'bass' | 'treble' } | { way: 'sound-hole'; hole: Point } | { way: 'in-place' }

const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)

/** Of a guard's two sides, the one to turn it over on: nearer to the jack, so that its leads stay short. */
export function openedBy(build: Build): OpenedBy {
  const d = datums(build)
  const rows = build.parts.guard?.outline
  if (rows && rows.length >= 3) {
    const across = outlinePoints(rows).map((p) => p.y)
    const [treble, bass] = [Math.min(...across), Math.max(...across)]
    const jack = valueAt(build, { slot: 'body', size: 'jack.y' }) ?? -100
    return Math.abs(jack - treble) <= Math.abs(jack - bass)
      ? { way: 'guard', edge: treble, side: 'treble' }
      : { way: 'guard', edge: bass, side: 'bass' }
  }
  const x = valueAt(build, { slot: 'body', size: 'soundHole.x' })
  const y = valueAt(build, { slot: 'body', size: 'soundHole.y' })
  if (traitAt(build, 'body', 'access') === 'sound-hole' && x !== undefined && y !== undefined)
    return { way: 'sound-hole', hole: pt(d.mouth + x, y) }
  return { way: 'in-place' }
}

/** Where a control ends up while it is soldered. */
function laidOut(open: OpenedBy, at: Point): Point {
  if (open.way === 'guard') return pt(at.x, 2 * open.edge - at.y)
  return open.way === 'sound-hole' ? open.hole : at
}

/**
 * Every lead that leaves the controls: what it takes with the guard in place, and with the controls out where they are soldered.
 * Straight lines and a usual slack. [ours]
 */
export function leadRuns(build: Build): LeadRun[] {
  const d = datums(build)
  const open = openedBy(build)
  const volume = controlPlace(build, 'volume')
  const v = (size: string) => valueAt(build, { slot: 'body', size })
  const run = (id: LeadRun['id'], short: string, label: string, to: Point, hangs = false): LeadRun => {
    const closed = apart(volume, to) + SLACK
    // What hangs from the guard goes with it.
    const out = hangs ? closed : apart(laidOut(open, volume), to) + SLACK + (open.way === 'sound-hole' ? SLACK : 0)
    const longest = Math.max(closed, out)
    return { id, short, label, from: volume, to, closed, open: longest, cut: Math.ceil((longest + SPARE) / 10) * 10 }
  }
  const jack = v('jack.x')
  const claw = v('claw.x')
  return [
    ...(jack === undefined ? [] : [run('jack', 'jack', 'Controls to jack', pt(d.mouth + jack, v('jack.y') ?? -100))]),
    run('ground', 'ground', 'Controls to string ground', claw === undefined ? pt(d.studs, 0) : pt(d.mouth + claw, 0)),
    ...PLACES.filter((place) => build.parts[`pickup-${place}` satisfies Slot]).map((place) =>
      run(
        `pickup-${place}`,
        place,
        `${place[0]!.toUpperCase()}${place.slice(1)} pickup to controls`,
        pt(d.mouth + (v(`route.${place}.centre`) ?? 150), 0),
        open.way === 'guard' && traitAt(build, `pickup-${place}`, 'mount') === 'guard',
      ),
    ),
  ]
}
