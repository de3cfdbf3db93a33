import { inHollow } from '../../instrument/panel'
import { besideBore, SCREW_WOOD } from '../../fit/controls/jackPlate'
import { heldByPlate, heldThrough } from '../../fit/controls/jackInBore'
import { THREAD } from '../../fit/controls/jackInPanel'
import { isBesideControls } from '../../instrument/controlPlace'
import { takenPart } from '../../instrument/idleParts'
import { HOLE_OVER } from '../../instrument/holeOver'
import { capital } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import type { Point } from '../../geometry/point'
import { nearestOnEdge } from '../../geometry/polygon'
import { datums } from '../../instrument/datums'
import { pt } from '../../geometry/point'
import { printMm } from '../../quantity/length'
import { behindRim } from '../behind'
import { refusedAnyhow, waiting, type Base } from '../card'
import { opened } from '../opened'
import type { Finder } from '../finder'
import { guarded, unread, untellable } from '../guard'
import type { Guard } from '../holeCard'
import { alongWords, drawnEdge, type Located } from '../place'
import { screwed } from '../screwed'
import { isThere } from '../told'

/**
 * A hole in the rim goes in square to the curve at its point: how far that is from straight across the instrument, degrees, towards the
 * tail positive, with the point itself. Nothing where nobody drew the outline.
 */
export function squareToRim(edge: readonly Point[], near: Point): { at: Point; fromAcross: number } {
  const { point, along } = nearestOnEdge(edge, near)
  // Of the two ways square to the edge, the one that goes in.
  const inward = { x: -along.y, y: along.x }
  const inside = Math.sign(polygonTurn(edge)) || 1
  const way = { x: inward.x * inside, y: inward.y * inside }
  return { at: point, fromAcross: (Math.atan2(way.x, Math.abs(way.y)) * 180) / Math.PI }
}

/** Twice the signed area: positive when the outline runs anticlockwise in a frame whose y grows upwards. */
const polygonTurn = (points: readonly Point[]): number =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length]!
    return sum + p.x * q.y - q.x * p.y
  }, 0)

/** In words a person can set a block by. */
export function angleWords(fromAcross: number): string {
  const off = Math.abs(fromAcross)
  if (off > 80)
    return `along the centre line, square to the end of the body${off < 89.5 ? ` (${printMm(90 - off, 0)} degrees off it)` : ''}`
  const way = fromAcross > 0 ? 'tail' : 'neck'
  return off < 0.5
    ? 'straight across the body, square to its edge'
    : `square to its edge: ${printMm(off, 0)} degrees from straight across, pointing towards the ${way}`
}

interface OnRim extends Located {
  angles: string[]
}

/** Places on the rim nearest to where somebody measured them. */
function onRim(build: Build, points: readonly { name: string; along: number; y: number; doubt: number }[]): OnRim {
  const edge = drawnEdge(build)
  const d = datums(build)
  if (!edge)
    return {
      places: points.map((p) => pt(d.mouth + p.along, p.y)),
      from: points.map((p) => `${p.name}: ${alongWords(build, p.along)[0]}`),
      missing: [],
      angles: [],
    }
  const each = points.map((p) => squareToRim(edge, pt(d.mouth + p.along, p.y)))
  return {
    places: each.map((e) => e.at),
    doubt: Math.max(0, ...points.map((p) => p.doubt)),
    from: points.map((p) => `${p.name}: ${alongWords(build, p.along)[0]}, at half the body’s thickness`),
    missing: [],
    angles: each.map((e, i) => `${capital(points[i]!.name)}: the bit goes in ${angleWords(e.fromAcross)}.`),
  }
}

/** Screws that hold the strap buttons: square to the curve of the rim. */
export const strapButtons: Finder = (build, bench) => {
  if (!build.parts.body || !build.parts['strap-buttons']) return undefined
  const there = { slot: 'body', trait: 'bored.buttons' } as const
  const known = isThere(build, there)
  const refs = [sizeRef('body', 'button.upper.x'), sizeRef('body', 'button.lower.x')]
  const sizes = refs.map((r) => sizeAt(build, r))
  const missing = refs.filter((_, i) => !sizes[i])
  const located = missing.length
    ? { places: [], from: [], missing, angles: [] as string[] }
    : onRim(
        build,
        [
          // The upper one stands on the bass side's edge, the lower one at the end of the centre line.
          { name: 'upper', along: sizes[0]!.value, y: 400, doubt: sizes[0]!.doubt },
          { name: 'lower', along: sizes[1]!.value + 400, y: 0, doubt: sizes[1]!.doubt },
        ].map((p) => (p.name === 'upper' ? upperAt(build, p) : lowerAt(build, p))),
      )
  return screwed(
    build,
    bench,
    {
      id: 'strap-buttons',
      title: 'Strap button screws',
      slot: 'strap-buttons',
      side: 'rim',
      goesIn: 'two screws, felt under each button',
      located: 'half the body’s thickness, and where it hangs level on a strap held there by hand',
      first: ['the body’s edge, finished to its shape'],
      back: 'Hardwood dowel, a day to dry, drilled anew; the felt hides it.',
    },
    {
      work: known === undefined ? undefined : known ? 'keep' : 'new',
      there,
      length: sizeRef('strap-buttons', 'screw.length'),
      root: sizeRef('strap-buttons', 'screw.root'),
      thread: sizeRef('strap-buttons', 'screw.thread'),
      // The head sinks into the button: about half of it is passed before the wood.
      through: [[0.5, sizeRef('strap-buttons', 'thickness')]],
      held: { label: 'button', role: 'metal' },
      woodOf: 'body',
      located,
      guards:
        located.angles.length || known
          ? rimWood(build)
          : [untellable('square', 'Square to the rim', 'nobody drew the body’s outline: lay a square against the rim')],
      mind: located.angles,
    },
  )
}

/** Where a line across the body meets its outer edge on the bass side. */
function upperAt(build: Build, p: { name: string; along: number; y: number; doubt: number }) {
  const edge = drawnEdge(build)
  const x = datums(build).mouth + p.along
  const ys = (edge ?? []).flatMap((a, i) => {
    const b = edge![(i + 1) % edge!.length]!
    if (a.x === b.x || (a.x - x) * (b.x - x) > 0) return []
    return [a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x)]
  })
  return { ...p, y: ys.length ? Math.max(...ys) : 120 }
}

/** Where the centre line leaves the body. */
function lowerAt(build: Build, p: { name: string; along: number; y: number; doubt: number }) {
  const edge = drawnEdge(build)
  const d = datums(build)
  const xs = (edge ?? []).flatMap((a, i) => {
    const b = edge![(i + 1) % edge!.length]!
    if (a.y === b.y || a.y * b.y > 0) return []
    return [a.x + ((b.x - a.x) * (0 - a.y)) / (b.y - a.y)]
  })
  return { ...p, along: xs.length ? Math.max(...xs) - d.mouth : p.along - 400 }
}

/** In a body with hollows only the solid wood behind the rim holds a screw. */
function rimWood(build: Build): Guard[] {
  if (traitAt(build, 'body', 'build') === 'solid') return []
  const refs = [sizeRef('body', 'rim.thickness'), sizeRef('strap-buttons', 'screw.length'), sizeRef('strap-buttons', 'thickness')]
  const [rim, screw, button] = refs.map((r) => sizeAt(build, r))
  if (!rim || !screw || !button) return [unread(build, 'rim', 'Solid wood behind the rim', refs)]
  const left = rim.value - screw.value + button.value / 2
  return [
    guarded(
      'rim',
      'Solid wood behind the rim',
      { value: left, doubt: Math.hypot(rim.doubt, screw.doubt) },
      [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      left < 0
        ? `The rim is solid for ${printMm(rim.value, 0)} mm: the last ${printMm(-left, 1)} mm of thread is in air.`
        : `The rim is solid for ${printMm(rim.value, 0)} mm.`,
    ),
  ]
}

function jackPlace(build: Build): OnRim {
  const refs = [sizeRef('body', 'jack.x'), sizeRef('body', 'jack.y')]
  const [x, y] = refs.map((r) => sizeAt(build, r))
  return x && y
    ? onRim(build, [{ name: 'jack', along: x.value, y: y.value, doubt: Math.hypot(x.doubt, y.doubt) }])
    : { places: [], from: [], missing: refs.filter((r) => !sizeAt(build, r)), angles: [] }
}

/** The jack's bore in the rim. */
export const jackBore: Finder = (build, bench) => {
  if (!build.parts.jack || !build.parts.body || isBesideControls(build)) return undefined
  const located = jackPlace(build)
  const plate = takenPart(build, 'jack-plate') !== undefined
  const odds = !plate && build.parts['jack-plate'] !== undefined
  const cup = plate && sizeAt(build, sizeRef('jack-plate', 'cup.diameter')) !== undefined
  const under = heldByPlate(build, (of) => traitAt(of, 'jack', 'held')) && !cup
  const hole = sizeRef('body', 'jack.bore')
  const there = { slot: 'body', trait: 'bored.jack' } as const
  // Whether a bore that is there takes the whole jack, and its plate covers it, is judged where the plate is.
  if ((under || odds) && isThere(build, there, hole)) return undefined
  const wide = cup || under
  const untold = !traitAt(build, 'jack', 'held')
  const base: Base = {
    id: 'jack-bore',
    title: cup
      ? 'Bore for the jack’s cup'
      : under
        ? 'Bore for the jack, under its plate'
        : untold
          ? 'Jack in the rim'
          : 'Jack bore in the rim',
    slot: 'jack',
    side: 'rim',
    goesIn: cup ? 'the cup' : under ? 'the whole jack, held by its plate' : 'the jack’s thread, from inside',
    located: inHollow(build)
      ? 'the rim, where it is hollow behind: knocked along, clear of block and lining'
      : 'the control route: the bore comes out in its middle',
    first: inHollow(build)
      ? ['a mirror and a lamp through the sound hole: nothing behind the mark that the plug would meet']
      : ['the control route', 'a wire passage, where the bore does not reach the route'],
    back: 'A larger cup or an oval plate covers it.',
  }
  // Beside the controls it has no bore in the rim, and by its thread another one than by its plate.
  if (untold)
    return waiting(build, base, [], [{ slot: 'jack', trait: 'held' }], {
      about: 'Whether it has a bore here, and how wide, hangs on what holds it.',
      places: located.places,
    })
  const card = opened(build, bench, base, {
    there,
    own: cup ? sizeRef('jack-plate', 'cup.diameter') : under ? sizeRef('jack', 'width') : sizeRef('jack', 'bore'),
    hole,
    small: 0,
    large: cup ? 0.6 : 1.5,
    over: cup ? HOLE_OVER.cup : under ? HOLE_OVER.entry : HOLE_OVER.jack,
    through: { ref: sizeRef('body', 'jack.depth'), label: 'rim', role: 'body-wood' },
    located,
    byNumbers: true,
    one: true,
    ream: 'step bit or reamer, the rim taped (another bit needs a wooden plug in the bore for its point)',
    behind: behindRim(build),
    tooLarge: cup ? 'A cup of that size.' : 'An oval plate over it holds the jack.',
    guards: wide ? besideWide(build, cup ? sizeRef('jack-plate', 'cup.diameter') : sizeRef('jack', 'width'), cup) : [],
    mind: [...located.angles, ...(wide ? [] : threadReach(build))],
  })
  return odds ? refusedAnyhow(card, HELD_AT_ODDS) : card
}

/** A bore for the thread is spoilt by one for the whole jack, and the other way about it falls through. */
const HELD_AT_ODDS: Guard = {
  id: 'odds',
  label: 'What holds the jack',
  verdict: 'wont-go',
  says: 'The jack is told to be held by its own thread, and there is a plate or cup for it. Say of the jack that the plate holds it, or take the plate out under Parts.',
}

/** A jack's thread is short: how much wood it holds through stands on the card before the bore is made. */
function threadReach(build: Build): string[] {
  const [length, washer, nut] = [THREAD.length, THREAD.washer, THREAD.nut].map((r) => sizeAt(build, r)?.value)
  if (length === undefined || washer === undefined || nut === undefined) return []
  const through = heldThrough(length, washer, nut)
  return through > 0
    ? [
        `Its thread of ${printMm(length, 1)} mm holds through ${printMm(through, 1)} mm of wood and no more: a thicker rim is counterbored from outside first, as wide as the socket of its nut.`,
      ]
    : []
}

/** A wide bore leaves its plate's screws wood to bite; of a plate that is not chosen yet nothing is known. */
function besideWide(build: Build, wide: SizeRef, cup: boolean): Guard[] {
  if (!takenPart(build, 'jack-plate')) return []
  const refs = [sizeRef('jack-plate', 'screw.spread'), wide]
  const [spread, own] = refs.map((r) => sizeAt(build, r))
  if (!spread || !own) return [unread(build, 'plate', 'Wood to the plate’s screws', refs)]
  const bore = own.value + (cup ? HOLE_OVER.cup : HOLE_OVER.entry)
  const wood = besideBore(spread.value, bore)
  // What the distance lacks is shared by the two screws.
  const apart = Math.ceil((spread.value + 2 * (SCREW_WOOD - wood)) * 10 - 1e-6) / 10
  return [
    guarded(
      'plate',
      'Wood to the plate’s screws',
      { value: wood - SCREW_WOOD, doubt: Math.hypot(spread.doubt, own.doubt) / 2 },
      [
        { upTo: -SCREW_WOOD, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      `${printMm(Math.max(0, wood), 1)} mm of wood would stand between a bore for the ${cup ? 'cup' : 'jack'} and each screw of its plate.`,
      `Take a plate whose screws stand at least ${printMm(apart, 1)} mm apart, or a narrower ${cup ? 'cup' : 'jack'}.`,
    ),
  ]
}

/** Screws of a jack plate, marked through it. */
export const jackPlateScrews: Finder = (build, bench) => {
  if (!build.parts['jack-plate'] || !build.parts.body || isBesideControls(build)) return undefined
  const there = { slot: 'body', trait: 'bored.jackPlate' } as const
  const known = isThere(build, there)
  return screwed(
    build,
    bench,
    {
      id: 'jack-plate',
      byPart: true,
      title: 'Jack plate screws',
      slot: 'jack-plate',
      side: 'rim',
      goesIn: 'the plate’s small screws',
      located: 'the plate itself, its jack in the middle of the bore',
      first: ['the jack in its plate, a plug in the jack, nothing touching inside'],
      back: 'A sliver of hardwood and glue, an hour, drilled anew.',
    },
    {
      work: known === undefined ? undefined : known ? 'keep' : 'new',
      there,
      length: sizeRef('jack-plate', 'screw.length'),
      root: sizeRef('jack-plate', 'screw.root'),
      thread: sizeRef('jack-plate', 'screw.thread'),
      through: [[1, sizeRef('jack-plate', 'thickness')]],
      held: { label: 'plate', role: 'metal' },
      woodOf: 'body',
      located: { places: [], from: ['the plate’s own holes'], missing: [] },
      over: 'the plate laid on, its jack in the middle of the bore',
      guards: [plateWall(build)],
    },
  )
}

/** A plate's screw stands in wood, not in the bore's edge. */
function plateWall(build: Build): Guard {
  const refs = [sizeRef('jack-plate', 'screw.spread'), sizeRef('body', 'jack.bore'), sizeRef('jack-plate', 'screw.thread')]
  const [apart, bore, thread] = refs.map((r) => sizeAt(build, r))
  if (!apart || !bore || !thread) return unread(build, 'bore', 'Wood to the jack’s bore', refs)
  const wood = (apart.value - bore.value - thread.value) / 2
  return guarded(
    'bore',
    'Wood to the jack’s bore',
    { value: wood, doubt: Math.hypot(apart.doubt, bore.doubt) / 2 },
    [
      { upTo: 0, is: 'wont-go' },
      { upTo: 1.5, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    `${printMm(Math.max(0, wood), 1)} mm of wood between screw and bore.`,
    'Take a wider plate.',
  )
}
