import type { Build } from '../../document/build'
import { sizeAt, sizeRef, sizesFor, valueAt, type SizeRef } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import {
  laid,
  leastFiling,
  placeGuard,
  PLACES,
  type Edge,
  type EdgeFiling,
  type GuardFit,
  type GuardRoom,
  type OpeningFit,
  type PickupPlace,
} from '../../instrument/guardPlace'
import { outlinePoints } from '../../instrument/outline'
import { jointOf, waitingJoint } from '../../judge/assemble'
import { check, type Cure, type DetailTable, type JudgedJoint } from '../../judge/joint'
import { sizeOr } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { normal, orAnotherPattern, propagate, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { isMeasured, type Size } from '../../quantity/size'

/** What is to be filed with the guard in its best place, as clearance: negative has to go. [ours] */
const FILE_BANDS: readonly Band[] = [
  { upTo: -1.5, is: 'wont-go' },
  { upTo: 0, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
/** Chance that two sellers draw different patterns, and how far such patterns lie apart, mm. [ours] */
export const OTHER_PATTERN = { q: 0.15, sameSeller: 0.015, wide: 4 }
/** The guard may stand off the heel by this before the gap is seen, mm, and be turned by this before it looks crooked, degrees. [ours] */
const GAP_AT_NECK = 1
const MOST_TURN = 1
/** Wood that must stay between a widened route and the pocket, mm. [practice] */
const WALL = 3

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

/** Play across, mm a side: the cover in its opening and in its route; ample where the widths are not known. */
function playAcross(build: Build, place: PickupPlace): number {
  const v = (slot: 'body' | 'guard' | `pickup-${PickupPlace}`, size: string) => valueAt(build, { slot, size })
  const cover = v(`pickup-${place}`, 'width')
  const [route, opening] = [v('body', `route.${place}.width`), v('guard', `opening.${place}.width`)]
  const spare = (wide: number | undefined) => (cover === undefined || wide === undefined ? 5 : Math.max(0, (wide - cover) / 2))
  return spare(route) + spare(opening)
}

/** Where the guard may be pushed: what the neck cut-out leaves at the sides of the pocket's end, where the heel stands. */
function roomOf(build: Build): GuardRoom {
  const cut = valueAt(build, sizeRef('guard', 'neck.width'))
  const pocket = valueAt(build, sizeRef('body', 'pocket.widthEnd'))
  const across = cut === undefined || pocket === undefined ? GAP_AT_NECK : Math.max(0, (cut - pocket) / 2)
  return { along: GAP_AT_NECK, across, turn: MOST_TURN }
}

interface Placing {
  all: Opening[]
  missing: SizeRef[]
  /** Sizes it moves with, in the order `fitsAt` takes their values: centres of routes and openings, then how far beside the centre line. */
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
  const beside = (ref: SizeRef) => sizeOr(build, ref, 0, 0.3)
  const fixed = all.map((o) => {
    const cover = of(o.refs.cover).value
    return {
      play: {
        along: (of(o.refs.openLength).value - cover) / 2 + (of(o.refs.routeLength).value - cover) / 2,
        across: playAcross(build, o.place),
      },
      half: { along: cover / 2, across: (valueAt(build, sizeRef(`pickup-${o.place}`, 'width')) ?? 69) / 2 },
    }
  })
  const n = all.length
  return {
    all,
    missing,
    moving: [
      ...all.map((o) => of(o.refs.routeCentre)),
      ...all.map((o) => of(o.refs.openCentre)),
      ...all.map((o) => beside(o.sides.route)),
      ...all.map((o) => beside(o.sides.opening)),
    ],
    fitsAt: (v) =>
      all.map((o, i) => ({
        place: o.place,
        route: pt(v[i]! - have.pocket.value, v[2 * n + i]!),
        opening: pt(v[n + i]!, v[3 * n + i]!),
        ...fixed[i]!,
      })),
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
  const d = datums(build)
  const { all, missing, moving, fitsAt, room } = placing(build)
  const base = {
    id: 'guard-openings',
    title: 'Guard openings over the routes',
    slots: ['guard', 'body', ...all.map((o) => `pickup-${o.place}` as const)] as JudgedJoint['slots'],
    at: pt(d.heelEnd + 34, -52),
    draw: () => guardDrawing(build, undefined),
  }
  if (missing.length || !all.length) return waitingJoint(base, missing)
  const fits = fitsAt(moving.map((s) => s.value))
  const centres = moving.slice(0, 2 * all.length)
  const measured = centres.every((s) => isMeasured(s.known))
  const sameSeller = build.parts.body?.seller !== undefined && build.parts.body.seller === build.parts.guard?.seller
  // Each place measured takes its share of the chance that the pattern is another one.
  const unread = centres.filter((s) => !isMeasured(s.known)).length / centres.length
  const q = unread * (sameSeller ? OTHER_PATTERN.sameSeller : OTHER_PATTERN.q)
  const fit = placeGuard(fits, room)
  const spare: Distribution = orAnotherPattern(
    propagate(
      (x) => -leastFiling(fitsAt(x), room),
      moving.map((s) => normal(s.value, s.doubt / 2)),
    ),
    q,
    OTHER_PATTERN.wide,
  )
  const beside = all.flatMap((o) => Object.values(o.sides)).filter((r) => sizeAt(build, r))
  const reads = [...all.flatMap((o) => [o.refs.openCentre, o.refs.routeCentre]), ...beside]
  return jointOf(build, { ...base, tables: [placeTable(build, fits, fit)], draw: () => guardDrawing(build, fit) }, [
    check({
      id: 'openings',
      label: 'Spare in the worst opening',
      clearance: spare,
      bands: FILE_BANDS,
      reads,
      hearsay: !measured && !sameSeller,
      says: ({ verdict }) => openingsSays(fit, verdict, measured),
      cures: () => openingCures(build, fit),
    }),
  ])
}

/** "0.4 mm off the heel, 0.2 mm to the bass side, turned 0.3°". */
function poseWords({ pose: { along, across, turn } }: GuardFit): string {
  const side = Math.abs(across) < 0.05 ? [] : [`${printMm(Math.abs(across), 1)} mm to the ${across > 0 ? 'bass' : 'treble'} side`]
  const turned = turn === 0 ? [] : [`turned ${Math.abs(turn).toFixed(2)}° with its tail to the ${turn > 0 ? 'bass' : 'treble'} side`]
  return [along < 0.05 ? 'against the heel' : `${printMm(along, 1)} mm off the heel`, ...side, ...turned].join(', ')
}

function openingsSays(fit: GuardFit, verdict: string, measured: boolean): string {
  if (fit.worst <= 0)
    return measured
      ? `All pickups pass with the guard ${poseWords(fit)}.`
      : 'By the listings all pickups pass, but patterns of two sellers can differ by 5 to 8 mm. Measure opening to opening and route to route.'
  const head = `No shift cures it: with the guard in its best place the ${fit.worstAt} opening still lacks ${printMm(fit.worst, 1)} mm.`
  return verdict === 'cant-tell' && !measured ? `${head} That is by the listings; measure opening to opening.` : head
}

const isAlong = (edge: Edge) => edge === 'neck side' || edge === 'bridge side'
const filingWords = (f: EdgeFiling) => `${f.place} opening, ${f.edge}: ${printMm(f.amount, 1)} mm`

function openingCures(build: Build, fit: GuardFit): Cure[] {
  if (fit.worst <= 0) return []
  const [first] = fit.file
  const only = fit.file.length === 1 && first
  const gap = first ? gapAfter(build, first) : 0
  const wood = fit.file.filter((f) => isAlong(f.edge)).map((f) => ({ f, left: woodLeft(build, f) }))
  const breaks = wood.find((w) => w.left !== undefined && w.left < 0)
  return [
    {
      id: 'file-openings',
      job: `File the guard: ${fit.file.map(filingWords).join('; ')}.`,
      how: `Guard ${poseWords(fit)}. Flat file drawn, not pushed; wrap the pickups, filings stick to magnets. A gap of ${printMm(gap, 1)} mm will show beside the ${first?.place ?? ''} cover.`,
      gives: 'guard',
      tools: ['flat file', 'tape'],
      // An edge filed by f moves the opening's middle by f/2 and makes it f longer; only a single edge can be planned so.
      ...(only
        ? {
            plan: {
              slot: 'guard' as const,
              size: `opening.${only.place}.${isAlong(only.edge) ? 'length' : 'width'}`,
              delta: 2 * (only.amount + 0.3),
              doubt: 0.2,
            },
          }
        : {}),
    },
    ...(breaks
      ? []
      : wood.map(({ f, left }) => ({
          id: `open-route-${f.place}`,
          job: `Or leave the guard whole and open the body’s ${f.place} route by ${printMm(f.amount + 0.3, 1)} mm on its ${otherEdge(f.edge)}, before any finish.`,
          how:
            left === undefined
              ? 'The pickup then sits where the guard holds it.'
              : `${printMm(left, 1)} mm of wood stays to the pocket. The pickup then sits where the guard holds it.`,
          gives: 'body',
          tools: ['router', 'bearing bit'],
          plan: { slot: 'body' as const, size: `route.${f.place}.length`, delta: 2 * (f.amount + 0.3), doubt: 0.3 },
        }))),
    {
      id: 'other-guard',
      job: 'Or another guard, cut to this body’s own spacing.',
      how: breaks
        ? `Opening the wood instead would break into the pocket: the ${breaks.f.place} route needs ${printMm(breaks.f.amount, 1)} mm there. Ask for opening-centre to opening-centre along the strings, not for a pattern’s name.`
        : 'Ask for opening-centre to opening-centre along the strings, not for a pattern’s name.',
      gives: 'the guard',
      tools: [],
    },
  ]
}

/** EdgeFiling a guard's edge lets the cover back to its route; opening the wood instead gives way on the other side. */
const otherEdge = (edge: Edge): Edge =>
  ({ 'neck side': 'bridge side', 'bridge side': 'neck side', 'bass side': 'treble side', 'treble side': 'bass side' })[edge] as Edge

/** Wood left between route and pocket over what must stay, if the route were opened on the neck side instead, mm; nothing when it opens the other way. */
function woodLeft(build: Build, f: EdgeFiling): number | undefined {
  if (otherEdge(f.edge) !== 'neck side') return undefined
  const v = (size: `route.${PickupPlace}.${'centre' | 'length'}` | 'pocket.length') => valueAt(build, sizeRef('body', size))!
  return v(`route.${f.place}.centre`) - v(`route.${f.place}.length`) / 2 - v('pocket.length') - f.amount - WALL
}

/** Gap that shows beside the cover once that edge is filed, mm: the opening's own spare and what was taken. */
function gapAfter(build: Build, f: EdgeFiling): number {
  const [open, cover] = isAlong(f.edge) ? (['length', 'length'] as const) : (['width', 'width'] as const)
  const spare =
    (valueAt(build, sizeRef('guard', `opening.${f.place}.${open}`)) ?? 0) - (valueAt(build, sizeRef(`pickup-${f.place}`, cover)) ?? 0)
  return Math.max(0, spare) + f.amount
}

/** With the guard in its best place: how each opening lies over its route, what goes, what will show. */
function placeTable(build: Build, fits: readonly OpeningFit[], fit: GuardFit): DetailTable {
  return {
    title: `With the guard ${poseWords(fit)}`,
    columns: ['opening', 'off along', 'off across', 'to file', 'gap that shows'],
    rows: fits.map((f) => {
      const at = laid(fit.pose, f.opening)
      const filings = fit.file.filter((x) => x.place === f.place)
      const spare = valueAt(build, sizeRef('guard', `opening.${f.place}.length`))! - 2 * f.half.along
      return [
        f.place,
        `${printMm(at.x - f.route.x, 1)} mm`,
        `${printMm(at.y - f.route.y, 1)} mm`,
        filings.length ? filings.map((x) => `${x.edge} ${printMm(x.amount, 1)}`).join(', ') : 'nothing',
        `${printMm(Math.max(0, ...filings.map((x) => gapAfter(build, x)), spare), 1)} mm`,
      ]
    }),
  }
}

/** Corners of a rectangle in the guard's frame, laid on the body. */
const laidBox = (fit: GuardFit | undefined, c: Point, l: number, w: number): Point[] => {
  const box = rectangle(c.x - l / 2, c.y - w / 2, c.x + l / 2, c.y + w / 2)
  return fit ? box.map((p) => laid(fit.pose, p)) : box
}

/** Routes and guard openings from above, at true proportion: routes solid, openings outlined, filing hatched. */
function guardDrawing(build: Build, fit: GuardFit | undefined): Drawing {
  const pocket = valueAt(build, sizeRef('body', 'pocket.length')) ?? 76
  const rows = build.parts.guard?.outline
  const own = rows && rows.length >= 3 ? outlinePoints(rows).map((p) => (fit ? laid(fit.pose, p) : p)) : laidBox(fit, pt(80, -6), 172, 104)
  const marks: Mark[] = [{ mark: 'area', role: 'plastic', points: own }]
  const numbers: Drawing['numbers'] = []
  for (const place of PLACES) {
    if (!build.parts[`pickup-${place}`]) continue
    const v = (slot: 'body' | 'guard', key: string, otherwise: number) => valueAt(build, { slot, size: key }) ?? otherwise
    const rc = pt(v('body', `route.${place}.centre`, 0) - pocket, v('body', `route.${place}.side`, 0))
    const rl = v('body', `route.${place}.length`, 38)
    const rw = v('body', `route.${place}.width`, 72)
    const oc = pt(v('guard', `opening.${place}.centre`, 0), v('guard', `opening.${place}.side`, 0))
    const ol = v('guard', `opening.${place}.length`, 37)
    const ow = v('guard', `opening.${place}.width`, 70)
    if (rc.x === -pocket || !oc.x) continue
    marks.push({ mark: 'area', role: 'cavity', points: rectangle(rc.x - rl / 2, rc.y - rw / 2, rc.x + rl / 2, rc.y + rw / 2) })
    marks.push({ mark: 'area', role: 'open', points: laidBox(fit, oc, ol, ow) })
    for (const f of fit?.file.filter((x) => x.place === place) ?? []) {
      const strip = isAlong(f.edge)
        ? ([pt(oc.x + ((ol + f.amount) / 2) * (f.edge === 'neck side' ? -1 : 1), oc.y), f.amount, ow] as const)
        : ([pt(oc.x, oc.y + ((ow + f.amount) / 2) * (f.edge === 'treble side' ? -1 : 1)), ol, f.amount] as const)
      marks.push({ mark: 'area', role: 'remove', points: laidBox(fit, ...strip) })
    }
    const at = fit ? laid(fit.pose, oc) : oc
    const filing = fit?.file.some((f) => f.place === place) ?? false
    marks.push({ mark: 'dimension', from: pt(rc.x, -47), to: pt(at.x, -47), text: printMm(at.x - rc.x, 1), emphasis: filing })
    numbers.push({ label: `${place} opening beside its route`, value: `${printMm(at.x - rc.x, 1)} mm` })
  }
  marks.push({ mark: 'line', role: 'centre', points: [pt(-12, 0), pt(176, 0)] })
  return {
    title: 'Guard over the routes, from above',
    note: 'dark: routes · outlined: openings · hatched: to file',
    marks,
    // The openings are what matters; a guard may go on beyond the picture.
    bounds: { x: -14, y: -62, width: 192, height: 112 },
    numbers: [...(fit ? [{ label: 'The guard lies', value: poseWords(fit) }] : []), ...numbers],
  }
}
