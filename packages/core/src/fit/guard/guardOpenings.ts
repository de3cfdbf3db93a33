import { stopOf } from '../../instrument/neckWords'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, sizesFor, valueAt, type SizeRef, isThrough } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import {
  leastFiling,
  placeGuard,
  PLACES,
  type GuardFit,
  type GuardRoom,
  type OpeningFit,
  type PickupPlace,
} from '../../instrument/guardPlace'
import { judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, sizeToDraw } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { normal, orAnotherPattern, propagate, type Distribution } from '../../quantity/distribution'
import { isMeasured, type Size } from '../../quantity/size'
import { GAP_AT_NECK, openingsSays, openingCures } from './guardOpenings.words'
import { placeTable, guardDrawing } from './guardOpenings.draw'

/** What is to be filed with the guard in its best place, as clearance: negative has to go. [ours] */
const FILE_BANDS: readonly Band[] = [
  { upTo: -1.5, is: 'wont-go' },
  { upTo: 0, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
/** Chance that two sellers draw different patterns, and how far such patterns lie apart, mm. [ours] */
export const OTHER_PATTERN = { q: 0.15, sameSeller: 0.015, wide: 4 }
const BY_LISTINGS =
  'Known by the listings only, and patterns of two sellers can differ by 5 to 8 mm. Measure opening to opening and route to route.'
const MOST_TURN = 1

interface Opening {
  place: PickupPlace
  refs: Record<'routeCentre' | 'routeLength' | 'openCentre' | 'openLength' | 'cover', SizeRef>
  sides: { route: SizeRef; opening: SizeRef }
}

function openings(build: Build): Opening[] {
  return PLACES.filter((place) => build.parts[`pickup-${place}`]).map((place) => ({
    place,
    refs: {
      routeCentre: sizeRef('body', `route.${place}.centre`),
      routeLength: sizeRef('body', `route.${place}.length`),
      openCentre: sizeRef('guard', `opening.${place}.centre`),
      openLength: sizeRef('guard', `opening.${place}.length`),
      cover: sizeRef(`pickup-${place}`, 'length'),
    },
    sides: { route: sizeRef('body', `route.${place}.side`), opening: sizeRef('guard', `opening.${place}.side`) },
  }))
}

/** Play across, mm a side, with its doubt: the cover in its opening and in its route; ample where the widths are not known. */
function playAcross(build: Build, place: PickupPlace): Size {
  const v = (slot: 'body' | 'guard' | `pickup-${PickupPlace}`, size: string) => sizeAt(build, { slot, size })
  const cover = v(`pickup-${place}`, 'width')
  const [route, opening] = [v('body', `route.${place}.width`), v('guard', `opening.${place}.width`)]
  const spare = (wide: Size | undefined) => (cover === undefined || wide === undefined ? 5 : Math.max(0, (wide.value - cover.value) / 2))
  return {
    value: spare(route) + spare(opening),
    doubt: Math.hypot((route?.doubt ?? 0) / 2, (opening?.doubt ?? 0) / 2, cover?.doubt ?? 0),
    known: 'calipers',
  }
}

/** Where the guard may be pushed: what the neck cut-out leaves at the sides of the pocket's end, where the heel stands. */
function roomOf(build: Build): GuardRoom {
  const cut = valueAt(build, sizeRef('guard', 'neck.width'))
  const pocket = valueAt(build, sizeRef('body', 'pocket.widthEnd'))
  const across = cut === undefined || pocket === undefined || isThrough(build) ? GAP_AT_NECK : Math.max(0, (cut - pocket) / 2)
  return { along: GAP_AT_NECK, across, turn: MOST_TURN }
}

interface Placing {
  all: Opening[]
  missing: SizeRef[]
  /**
   * Sizes it moves with, in the order `fitsAt` takes their values: centres of routes and openings, how far beside the centre line, lengths
   * of openings, routes and covers, the pocket's, and the play across.
   */
  moving: Size[]
  fitsAt: (values: readonly number[]) => OpeningFit[]
  room: GuardRoom
}

function placing(build: Build): Placing {
  const all = openings(build)
  const pocket = sizeRef('body', 'pocket.length')
  const missing = [pocket, ...all.flatMap((o) => Object.values(o.refs))].filter((r) => !sizeAt(build, r))
  const room = roomOf(build)
  if (missing.length) return { all, missing, moving: [], fitsAt: () => [], room }
  const { have } = sizesFor(build, { pocket })
  const of = (ref: SizeRef) => sizeAt(build, ref)!
  const beside = (ref: SizeRef) => sizeToDraw(build, ref)
  const wide = all.map((o) => drawnAt(build, sizeRef(`pickup-${o.place}`, 'width')))
  const n = all.length
  return {
    all,
    missing,
    moving: [
      ...(['routeCentre', 'openCentre'] as const).flatMap((key) => all.map((o) => of(o.refs[key]))),
      ...(['route', 'opening'] as const).flatMap((key) => all.map((o) => beside(o.sides[key]))),
      ...(['openLength', 'routeLength', 'cover'] as const).flatMap((key) => all.map((o) => of(o.refs[key]))),
      have.pocket,
      ...all.map((o) => playAcross(build, o.place)),
    ],
    fitsAt: (v) =>
      all.map((o, i) => {
        const at = (group: number) => v[group * n + i]!
        const [open, route, cover] = [at(4), at(5), at(6)]
        return {
          place: o.place,
          route: pt(at(0) - v[7 * n]!, at(2)),
          opening: pt(at(1), at(3)),
          play: { along: (open - cover) / 2 + (route - cover) / 2, across: v[7 * n + 1 + i]! },
          half: { along: cover / 2, across: wide[i]! / 2 },
        }
      }),
    room,
  }
}

/** The guard in its best place, for everything else that is laid over the body; nothing until the openings are known. */
export function guardFit(build: Build): GuardFit | undefined {
  const { all, missing, moving, fitsAt, room } = placing(build)
  return missing.length || !all.length ? undefined : placeGuard(fitsAt(moving.map((s) => s.value)), room)
}

/** Do all pickups pass through the guard into their routes, wherever the guard is pushed and however it is turned? */
export function guardOpeningsJoint(build: Build): JudgedJoint {
  const { all, missing, moving, fitsAt } = placing(build)
  const known = !missing.length && all.length > 0
  return judged(build, {
    id: 'guard-openings',
    title: 'Guard openings over the routes',
    slots: ['guard', 'body', ...all.map((o) => `pickup-${o.place}` as const)],
    at: () => pt(datums(build).heelEnd + 34, -52),
    draw: () => guardDrawing(build, known ? guardFit(build) : undefined),
    tables: () => (known ? [placeTable(build, fitsAt(moving.map((s) => s.value)), guardFit(build)!)] : []),
    asks: [openingsQuestion],
  })
}

function openingsQuestion(build: Build): Question[] {
  const { all, moving, fitsAt, room } = placing(build)
  if (!all.length) return []
  const centres = moving.slice(0, 2 * all.length)
  const measured = centres.every((s) => isMeasured(s.known))
  const sameSeller = build.parts.body?.seller !== undefined && build.parts.body.seller === build.parts.guard?.seller
  // Each place measured takes its share of the chance that the pattern is another one.
  const unread = centres.filter((s) => !isMeasured(s.known)).length / centres.length
  const q = unread * (sameSeller ? OTHER_PATTERN.sameSeller : OTHER_PATTERN.q)
  const fit = placeGuard(fitsAt(moving.map((s) => s.value)), room)
  const spare: Distribution = orAnotherPattern(
    propagate(
      (x) => -leastFiling(fitsAt(x), room),
      moving.map((s) => normal(s.value, s.doubt / 2)),
    ),
    q,
    OTHER_PATTERN.wide,
  )
  return [
    {
      id: 'openings',
      label: 'Spare in the worst opening',
      clearance: spare,
      bands: FILE_BANDS,
      ...(!measured && !sameSeller ? { hearsay: BY_LISTINGS } : {}),
      says: () => openingsSays(fit, stopOf(build)),
      cures: () => openingCures(build, fit),
    },
  ]
}
