import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { crosses } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { nearestOnEdge } from '../../geometry/polygon'
import { datums } from '../../instrument/datums'
import { printMm } from '../../quantity/length'
import { BETWEEN, guarded, unread, untellable, WOOD_LEFT } from '../guard'
import { hollowsOf } from '../hollows'
import type { Guard } from '../holeCard'
import { screwRow } from './bridgeScrews'
import { STRING_BORE, stringRow } from './strings'

/** A passage begins so far inside the plate's ends, mm. [practice] */
const INSIDE = 4
/** Places to begin are tried so far apart along the strings, and no further than this from the screws, mm. */
const STEP = 2
const FURTHEST = 30

const SCREWS = sizeRef('bridge', 'screws')
const THREAD = sizeRef('bridge', 'screw.thread')

/** What goes down through a fixed bridge, which its wire's passage has to stay clear of; or the sizes without which nobody knows where. */
function posts(build: Build): { places: { at: Point; r: number }[]; doubt: number } | { missing: readonly SizeRef[] } {
  const screws = screwRow(build)
  const strings = traitAt(build, 'bridge', 'mount') === 'string-through' ? stringRow(build) : { places: [], missing: [] }
  const thread = sizeAt(build, THREAD)
  const missing = [SCREWS, THREAD, ...screws.missing, ...strings.missing].filter((ref) => !sizeAt(build, ref))
  if (missing.length || !thread || !screws.places.length) return { missing }
  return {
    places: [...screws.places.map((at) => ({ at, r: thread.value / 2 })), ...strings.places.map((at) => ({ at, r: STRING_BORE / 2 }))],
    doubt: Math.hypot(screws.doubt ?? 0, thread.doubt / 2),
  }
}

interface Plan {
  build: Build
  /** Beside the centre line, mm: between two screws. */
  y: number
  /** Where a passage that begins there comes out. */
  endOf: (from: Point) => Point
  /** Its bit, mm, and how far beside its line it may run, 95 %, mm. */
  wide: number
  doubt: number
}

/**
 * Where a straight passage begins under a fixed bridge's plate: in line with the screws where it stays clear of them all from there, else
 * the nearest place before or behind them from which it does. [ours]
 * @returns its two ends, and the guard that looks at the screws and the strings' holes on its way
 */
export function beginUnderPlate({ build, y, endOf, wide, doubt }: Plan): { from: Point; to: Point; guard: Guard } {
  const known = posts(build)
  const at = 'places' in known ? known : undefined
  const hollows = hollowsOf(build).filter((h) => h.id !== 'control')
  const tried = along(build).map((x) => {
    const from = pt(x, y)
    const to = endOf(from)
    const wood = at ? Math.min(...at.places.map((p) => nearestOnEdge([from, to], p.at).distance - p.r)) - wide / 2 : undefined
    return { from, to, wood, open: hollows.some((h) => crosses(h.box, from, to)) }
  })
  const whole = tried.filter((t) => !t.open)
  const most = Math.max(...whole.map((t) => t.wood ?? 0))
  const wanted = doubt + BETWEEN
  const best = whole.find((t) => t.wood === undefined || t.wood >= Math.min(most, wanted)) ?? tried[0]!
  return {
    from: best.from,
    to: best.to,
    guard: 'missing' in known ? unclear(build, known.missing) : clearOf(best.wood ?? 0, Math.hypot(doubt, known.doubt)),
  }
}

/** Places along the strings at which it may begin, the nearest to the screws first, mm from the nut. */
function along(build: Build): number[] {
  const { studs } = datums(build)
  const front = sizeAt(build, sizeRef('bridge', 'plate.front'))?.value
  const length = sizeAt(build, sizeRef('bridge', 'plate.length'))?.value
  if (front === undefined || length === undefined) return [studs]
  const steps = Array.from({ length: FURTHEST / STEP }, (_, i) => (i + 1) * STEP)
  return [0, ...steps.flatMap((s) => [s, -s])]
    .filter((s) => s === 0 || (s >= INSIDE - front && s <= length - front - INSIDE))
    .map((s) => studs + s)
}

const CLEAR = 'Clear of the bridge’s screws'

const unclear = (build: Build, missing: readonly SizeRef[]): Guard =>
  missing.length
    ? unread(build, 'posts', CLEAR, missing)
    : untellable('posts', CLEAR, 'where the bridge’s screws go in is not known in numbers')

function clearOf(wood: number, doubt: number): Guard {
  return guarded(
    'posts',
    CLEAR,
    { value: wood, doubt },
    WOOD_LEFT,
    wood <= 0
      ? 'On its way it would meet what goes down through the bridge.'
      : `${printMm(wood, 1)} mm of wood to the nearest screw or string of the bridge.`,
    'Lead the wire in a groove under the plate instead, to where nothing stands in the way.',
  )
}
