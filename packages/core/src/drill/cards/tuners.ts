import { HOLE_OVER } from '../../instrument/holeOver'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { rowDirections, tunerPosts, untoldLay } from '../../instrument/tuners'
import { waiting, type Base } from '../card'
import { opened } from '../opened'
import type { Finder } from '../finder'
import { betweenGuard, unread, untellable } from '../guard'
import type { Guard } from '../holeCard'
import type { Located } from '../place'
import { screwed } from '../screwed'
import { isThere } from '../told'

const BORE = sizeRef('neck', 'tuner.bore')
const OFFSET = sizeRef('tuners', 'screw.offset')
const SIDE = sizeRef('tuners', 'screw.side')
const PITCH = [sizeRef('neck', 'tuner.first'), sizeRef('neck', 'tuner.pitch'), sizeRef('neck', 'tuner.offset')]
const SLANT = sizeRef('neck', 'tuner.slant')

function posts(build: Build): Located {
  // Two rows run along the head; a single one swings with its edge, and one laid straight for want of that number spoils the head.
  const needed = traitAt(build, 'neck', 'head') === 'one-row' ? [...PITCH, SLANT] : PITCH
  const missing = needed.filter((r) => !sizeAt(build, r))
  return missing.length || untoldLay(build).length
    ? { places: [], from: [], missing }
    : {
        places: tunerPosts(build),
        doubt: Math.hypot(...PITCH.map((r) => sizeAt(build, r)!.doubt)),
        from: ['the headstock template'],
        missing,
      }
}

/** Bores the tuners' posts stand in. */
export const tunerBores: Finder = (build, bench) => {
  if (!build.parts.tuners || !build.parts.neck) return undefined
  const there = { slot: 'neck', trait: 'bored.tuners' } as const
  const base: Base = {
    id: 'tuner-bores',
    title: 'Tuner bores',
    slot: 'tuners',
    side: 'head front',
    goesIn: 'one bushing a tuner',
    located: 'the headstock template; a straight-edge along the row',
    first: ['the headstock’s outline, cut'],
    back: 'Dowel of the neck’s wood, a day to dry, drilled anew; a washer or the bushing’s rim hides little of it.',
  }
  const untold = untoldLay(build)
  if (untold.length && isThere(build, there, BORE) === false) return waiting(build, base, [], untold)
  return opened(build, bench, base, {
    there,
    own: sizeRef('tuners', 'bushing'),
    hole: BORE,
    small: -0.06,
    large: 0.3,
    over: HOLE_OVER.tuner,
    through: { ref: sizeRef('neck', 'head.thickness'), label: 'headstock', role: 'neck-wood' },
    located: posts(build),
    byNumbers: true,
    behind: 'free',
    ream: 'ream from both faces with a stop of tape, or a step bit; backing scrap behind',
    tooLarge: 'Adapter bushings for that bore hold the smaller posts; nothing is cut.',
  })
}

/**
 * Where the little screws come: so far from their post along its row, away from the nut, and so far towards the headstock's middle.
 * In the instrument's frame, seen from the front; they are drilled from the back.
 */
export function screwPlaces(build: Build): Located {
  const row = posts(build)
  const missing = [...row.missing, ...[OFFSET, SIDE].filter((r) => !sizeAt(build, r))]
  if (missing.length) return { places: [], from: [], missing }
  const [offset, side] = [sizeAt(build, OFFSET)!, sizeAt(build, SIDE)!]
  const ways = rowDirections(build)
  return {
    places: row.places.map((p, i) => {
      const { away, inwards } = ways[i]!
      return pt(p.x + away.x * offset.value + inwards.x * side.value, p.y + away.y * offset.value + inwards.y * side.value)
    }),
    doubt: Math.hypot(row.doubt ?? 0, offset.doubt, side.doubt),
    from: [],
    missing: [],
  }
}

/**
 * Where screws come that two neighbours share: midway between their posts, and half a step beyond either end of a row: one more than there
 * are tuners in it.
 */
export function sharedPlaces(build: Build): Located {
  const row = posts(build)
  const missing = [...row.missing, ...[SIDE].filter((r) => !sizeAt(build, r))]
  if (missing.length) return { places: [], from: [], missing }
  const [pitch, side] = [sizeAt(build, PITCH[1]!)!, sizeAt(build, SIDE)!]
  const ways = rowDirections(build)
  const half = traitAt(build, 'neck', 'head') === 'two-rows' ? Math.ceil(row.places.length / 2) : row.places.length
  const places = row.places.flatMap((p, i) => {
    const { away, inwards } = ways[i]!
    const beside = (step: number) =>
      pt(p.x + away.x * step * pitch.value + inwards.x * side.value, p.y + away.y * step * pitch.value + inwards.y * side.value)
    return i % half === 0 ? [beside(-0.5), beside(0.5)] : [beside(0.5)]
  })
  return { places, doubt: Math.hypot(row.doubt ?? 0, pitch.doubt / 2, side.doubt), from: [], missing: [] }
}

/** Screws come in other places by the kind of tuner: until that is told, nothing is clear of them. */
const NOWHERE: Located = { places: [], from: [], missing: [] }

/** The small screws that keep tuners from turning. */
export const tunerScrews: Finder = (build, bench) => {
  if (!build.parts.tuners || !build.parts.neck) return undefined
  const there = { slot: 'neck', trait: 'bored.tunerScrews' } as const
  const known = isThere(build, there)
  const kept = traitAt(build, 'tuners', 'screws')
  const shared = kept === 'shared'
  const located = kept ? (shared ? sharedPlaces(build) : screwPlaces(build)) : NOWHERE
  const base: Base = {
    id: 'tuner-screws',
    title: 'Tuner screws',
    slot: 'tuners',
    side: 'head back',
    goesIn: shared ? 'small screws between the housings, one more than there are tuners in a row' : 'one small screw a tuner',
    located: 'the tuners themselves: all of a row nipped loose, lined up by a straight-edge, then pricked through their ears',
    first: ['every tuner of the row in its bore, nipped loose and lined up'],
    back: 'A sliver of hardwood and glue, an hour, drilled anew. Snapped off: a hollow plug cutter round it, dowel, a day, drilled anew.',
  }
  if (known === false && !kept) return waiting(build, base, [], [{ slot: 'tuners', trait: 'screws' }])
  return screwed(build, bench, base, {
    work: known === undefined ? undefined : known ? 'keep' : 'new',
    there,
    length: sizeRef('tuners', 'screw.length'),
    root: sizeRef('tuners', 'screw.root'),
    thread: sizeRef('tuners', 'screw.thread'),
    through: [[1, sizeRef('tuners', 'plate.thickness')]],
    held: { label: 'ear', role: 'metal' },
    wood: { terms: [[1, sizeRef('neck', 'head.thickness')]], face: 'the headstock’s face' },
    woodOf: 'neck',
    located: { ...located, from: ['each tuner’s own ear'] },
    over: 'every tuner in its bore, nipped loose and lined up by a straight-edge, looked at through its ears',
    guards: [
      kept ? toPost(build, shared) : untellable('post', 'Wood to the post’s bore', 'nobody has said what keeps the tuners from turning'),
    ],
    mind: [
      ...(shared ? ['None before the whole row is in: each holds two, and a row that still moves cannot be moved after.'] : []),
      'The first of the row, screw in and out again, look at the face; then the rest.',
    ],
  })
}

/** From a little screw to the bore of its own post. */
function toPost(build: Build, shared: boolean): Guard {
  const step = shared ? PITCH[1]! : OFFSET
  const refs = [step, SIDE, BORE, sizeRef('tuners', 'screw.thread')]
  const [offset, side, bore, thread] = refs.map((r) => sizeAt(build, r))
  if (!offset || !side || !bore || !thread) return unread(build, 'post', 'Wood to the post’s bore', refs)
  const part = shared ? 0.5 : 1
  return betweenGuard(
    'post',
    { value: Math.hypot(offset.value * part, side.value), doubt: Math.hypot(offset.doubt * part, side.doubt) },
    (bore.value + thread.value) / 2,
    'the post’s bore',
    'Measure again how far the screw stands from its post; if it is so, take tuners held otherwise.',
  )
}

/** A string tree on the headstock's face. */
export const stringTree: Finder = (build, bench) => {
  if (!build.parts['string-tree'] || !build.parts.neck) return undefined
  const there = { slot: 'neck', trait: 'bored.tree' } as const
  const known = isThere(build, there)
  return screwed(
    build,
    bench,
    {
      id: 'string-tree',
      byPart: true,
      title: 'String tree screw',
      slot: 'string-tree',
      side: 'head front',
      goesIn: 'the tree’s screw',
      located: 'the strings it holds: middle between them, where they run straight from nut to post',
      first: ['the outer strings on and at pitch'],
      back: 'A sliver of hardwood and glue, an hour, drilled anew; the tree’s foot hides it.',
    },
    {
      work: known === undefined ? undefined : known ? 'keep' : 'new',
      there,
      length: sizeRef('string-tree', 'screw.length'),
      root: sizeRef('string-tree', 'screw.root'),
      thread: sizeRef('string-tree', 'screw.thread'),
      through: [],
      held: { label: 'tree', role: 'metal' },
      wood: { terms: [[1, sizeRef('neck', 'head.thickness')]], face: 'the headstock’s back' },
      woodOf: 'neck',
      located: { places: [], from: ['the two strings it holds'], missing: [] },
    },
  )
}
