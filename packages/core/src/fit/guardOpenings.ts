import { sizeAt, sizeRef, sizesFor, valueAt, type Build, type SizeRef } from '../build'
import { pt, rectangle, type Drawing, type Mark } from '../drawing'
import { datums } from '../layout/datums'
import { isMeasured, normal, orAnotherPattern, printMm, propagate, type Distribution } from '../quantity'
import { jointOf, waitingJoint } from './assemble'
import { check, type Cure, type JudgedJoint } from './joint'
import type { Band } from './verdict'

/** What is to be filed with the guard in its best place, as clearance: negative has to go. [ours] */
const FILE_BANDS: readonly Band[] = [
  { upTo: -1.5, is: 'wont-go' },
  { upTo: 0, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
/** Chance that two sellers draw different patterns, and how far such patterns lie apart, mm. [ours] */
export const OTHER_PATTERN = { q: 0.15, sameSeller: 0.015, wide: 4 }
/** The guard may stand off the heel by this before the gap is seen, mm. [ours] */
const GAP_AT_NECK = 1

export const PLACES = ['neck', 'middle', 'bridge'] as const
export type PickupPlace = (typeof PLACES)[number]

/** One pickup's share in where the guard may lie along the strings. */
export interface OpeningFit {
  place: PickupPlace
  /** Route centre minus opening centre with the guard against the heel, mm: the shift this pickup would like. */
  wants: number
  /** Play: the cover in its opening and in its route, mm to either side. */
  play: number
}

export interface GuardFit {
  /** Shift of the guard from the heel that asks for the least filing, mm, towards the tail positive. */
  shift: number
  /** Filing left at the worst opening with that shift, mm; zero or less: goes as it is. */
  worst: number
  worstAt: PickupPlace
  /** What each opening lacks, mm, and which edge has to give. */
  file: { place: PickupPlace; amount: number; edge: 'neck side' | 'bridge side' }[]
}

/**
 * Places the guard along the strings: the shift within the room at the heel that leaves the least filing at the worst
 * opening (minimax). Every pickup allows a stretch [wants - play, wants + play]; what a shift lies outside it is
 * filed off one edge. The best shift is where two of those demands balance or at a stop. [physics]
 * @param room shift allowed, mm; the guard cannot move into the heel
 */
export function placeGuard(fits: readonly OpeningFit[], room: { from: number; to: number }): GuardFit {
  const lacks = (f: OpeningFit, shift: number) => Math.abs(shift - f.wants) - f.play
  const worstOf = (shift: number) => Math.max(...fits.map((f) => lacks(f, shift)))
  const candidates = [room.from, room.to, 0, ...fits.map((f) => f.wants)]
  for (const a of fits)
    for (const b of fits)
      if (a.wants < b.wants) candidates.push((a.wants - a.play + b.wants + b.play) / 2, (a.wants + a.play + b.wants - b.play) / 2)
  const allowed = candidates.filter((s) => s >= room.from && s <= room.to)
  const shift = allowed.reduce((a, b) => {
    const gain = worstOf(a) - worstOf(b)
    return gain > 1e-9 || (Math.abs(gain) <= 1e-9 && Math.abs(b) < Math.abs(a)) ? b : a
  })
  const worst = worstOf(shift)
  return {
    shift,
    worst,
    worstAt: fits.reduce((a, b) => (lacks(b, shift) > lacks(a, shift) ? b : a)).place,
    file: fits
      .filter((f) => lacks(f, shift) > 1e-9)
      .map((f) => ({ place: f.place, amount: lacks(f, shift), edge: f.wants < shift ? 'neck side' : 'bridge side' })),
  }
}

interface Opening {
  place: PickupPlace
  refs: Record<'routeCentre' | 'routeLength' | 'openCentre' | 'openLength' | 'cover', SizeRef>
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
  }))
}

/** Do all pickups pass through the guard into their routes, wherever the guard is pushed? */
export function guardOpeningsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const all = openings(build)
  const base = {
    id: 'guard-openings',
    title: 'Guard openings over the routes',
    slots: ['guard', 'body', ...all.map((o) => `pickup-${o.place}` as const)] as JudgedJoint['slots'],
    at: pt(d.heelEnd + 34, -52),
    draw: () => guardDrawing(build, undefined),
  }
  const pocket = sizeRef('body', 'pocket.length')
  const missing = [pocket, ...all.flatMap((o) => Object.values(o.refs))].filter((r) => !sizeAt(build, r))
  if (missing.length || !all.length) return waitingJoint(base, missing)
  const { have } = sizesFor(build, { pocket })
  const fitsAt = (routes: readonly number[], guards: readonly number[]): OpeningFit[] =>
    all.map((o, i) => {
      const of = (ref: SizeRef) => sizeAt(build, ref)!.value
      const cover = of(o.refs.cover)
      return {
        place: o.place,
        wants: routes[i]! - have.pocket.value - guards[i]!,
        play: (of(o.refs.openLength) - cover) / 2 + (of(o.refs.routeLength) - cover) / 2,
      }
    })
  const room = { from: 0, to: GAP_AT_NECK }
  const routes = all.map((o) => sizeAt(build, o.refs.routeCentre)!)
  const guards = all.map((o) => sizeAt(build, o.refs.openCentre)!)
  const measured = [...routes, ...guards].every((s) => isMeasured(s.known))
  const sameSeller = build.parts.body?.seller !== undefined && build.parts.body.seller === build.parts.guard?.seller
  // Each place measured takes its share of the chance that the pattern is another one.
  const unread = [...routes, ...guards].filter((s) => !isMeasured(s.known)).length / (2 * all.length)
  const q = unread * (sameSeller ? OTHER_PATTERN.sameSeller : OTHER_PATTERN.q)
  const fit = placeGuard(
    fitsAt(
      routes.map((s) => s.value),
      guards.map((s) => s.value),
    ),
    room,
  )
  const spare: Distribution = orAnotherPattern(
    propagate(
      (x) => -placeGuard(fitsAt(x.slice(0, all.length), x.slice(all.length)), room).worst,
      [...routes, ...guards].map((s) => normal(s.value, s.doubt / 2)),
    ),
    q,
    OTHER_PATTERN.wide,
  )
  const reads = all.flatMap((o) => [o.refs.openCentre, o.refs.routeCentre])
  return jointOf(build, { ...base, draw: () => guardDrawing(build, fit) }, [
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

function openingsSays(fit: GuardFit, verdict: string, measured: boolean): string {
  if (fit.worst <= 0)
    return measured
      ? `All pickups pass with the guard ${printMm(fit.shift, 1)} mm off the heel.`
      : 'By the listings all pickups pass, but patterns of two sellers can differ by 5 to 8 mm. Measure opening to opening and route to route.'
  const head = `No shift cures it: with the guard in its best place the ${fit.worstAt} opening still lacks ${printMm(fit.worst, 1)} mm.`
  return verdict === 'cant-tell' && !measured ? `${head} That is by the listings; measure opening to opening.` : head
}

function openingCures(build: Build, fit: GuardFit): Cure[] {
  if (fit.worst <= 0) return []
  const jobs = fit.file.map((f) => `${f.place} opening, ${f.edge}: ${printMm(f.amount, 1)} mm`).join('; ')
  const [first] = fit.file
  const centre = first && sizeAt(build, sizeRef('guard', `opening.${first.place}.centre`))
  const only = fit.file.length === 1 && first && centre
  return [
    {
      id: 'file-openings',
      job: `File the guard: ${jobs}.`,
      how: 'Flat file drawn, not pushed; wrap the pickups, filings stick to magnets. The gap left shows beside the cover.',
      gives: 'guard',
      tools: ['flat file', 'tape'],
      // An edge filed by f moves the opening's middle by f/2 and makes it f longer.
      ...(only
        ? { plan: { slot: 'guard' as const, size: `opening.${first.place}.length`, delta: 2 * (first.amount + 0.3), doubt: 0.2 } }
        : {}),
    },
    {
      id: 'other-guard',
      job: 'Or another guard, cut to this body’s own spacing.',
      how: 'Ask for opening-centre to opening-centre along the strings, not for a pattern’s name.',
      gives: 'the guard',
      tools: [],
    },
  ]
}

/** Routes and guard openings from above, at true proportion: routes solid, openings outlined, filing hatched. */
function guardDrawing(build: Build, fit: GuardFit | undefined): Drawing {
  const pocket = valueAt(build, sizeRef('body', 'pocket.length')) ?? 76
  const marks: Mark[] = [{ mark: 'area', role: 'plastic', points: rectangle(-6, -58, 172, 46) }]
  const numbers: Drawing['numbers'] = []
  const shift = fit?.shift ?? 0
  for (const place of PLACES) {
    if (!build.parts[`pickup-${place}`]) continue
    const v = (slot: 'body' | 'guard', key: string, otherwise: number) => valueAt(build, { slot, size: key }) ?? otherwise
    const rc = v('body', `route.${place}.centre`, 0) - pocket
    const rl = v('body', `route.${place}.length`, 38)
    const rw = v('body', `route.${place}.width`, 72)
    const oc = v('guard', `opening.${place}.centre`, 0) + shift
    const ol = v('guard', `opening.${place}.length`, 37)
    const ow = v('guard', `opening.${place}.width`, 70)
    if (!rc || !v('guard', `opening.${place}.centre`, 0)) continue
    marks.push({ mark: 'area', role: 'cavity', points: rectangle(rc - rl / 2, -rw / 2, rc + rl / 2, rw / 2) })
    marks.push({ mark: 'area', role: 'open', points: rectangle(oc - ol / 2, -ow / 2, oc + ol / 2, ow / 2) })
    const filing = fit?.file.find((f) => f.place === place)
    if (filing) {
      const edge = filing.edge === 'neck side' ? oc - ol / 2 - filing.amount : oc + ol / 2
      marks.push({ mark: 'area', role: 'remove', points: rectangle(edge, -ow / 2, edge + filing.amount, ow / 2) })
    }
    marks.push({ mark: 'dimension', from: pt(rc, -47), to: pt(oc, -47), text: printMm(oc - rc, 1), emphasis: !!filing })
    numbers.push({ label: `${place} opening beside its route`, value: `${printMm(oc - rc, 1)} mm` })
  }
  marks.push({ mark: 'line', role: 'centre', points: [pt(-12, 0), pt(176, 0)] })
  return {
    title: 'Guard over the routes, from above',
    note: 'dark: routes · outlined: openings · hatched: to file',
    marks,
    bounds: { x: -14, y: -60, width: 192, height: 110 },
    numbers,
  }
}
