import { closingOf } from './closing'
import type { Build, FinishZone, SandPass } from '../document/build'
import { areaOf, perimeterOf } from '../geometry/polygon'
import { bodyShape } from '../instrument/bodyShape'
import { outlinePoints } from '../instrument/outline'
import { strikeThrough, type Budget, type PlaceRisk, type Sanding } from './filmBudget'
import { ladder } from './grits'
import type { Layer } from './stack'
import type { Spots } from './sampling'
import { coatId, groupOf, zoneGroups, type ZoneGroup } from './zones'
import { byMoment } from '../quantity/moments'

/** What can be cut on a zone before its colour shows: the clear on top, as laid or as planned, and what was sanded of it. */
export interface FilmState {
  group: ZoneGroup
  /** The layers on top that may be cut. */
  clear: Layer[]
  /** What shows when it is cut through. */
  under: string
  coats: { from: number; to: number; laid: number; planned: number }
  film: number
  doubt: number
  passes: (SandPass & { id: string })[]
  /** Where it went through, by what was logged. */
  through: (SandPass & { id: string })[]
}

/** The film over the colour of one zone; nothing where none is laid that may be cut. */
export function filmState(build: Build, zone: FinishZone): FilmState | undefined {
  const group = groupOf(zoneGroups(build), zone)
  if (!group) return undefined
  const last = group.layers.findLastIndex((l) => l.name === 'top' && l.beforeSanding !== undefined)
  if (last < 0) return undefined
  let first = last
  while (first > 0 && group.layers[first - 1]!.name === 'top' && group.layers[first - 1]!.medium === group.layers[last]!.medium) first--
  const clear = group.layers.slice(first, last + 1)
  const faceBack = zone === 'back' && build.finish.lies ? 'back' : undefined
  const planned = clear.reduce((n, l) => n + l.coats, 0)
  const laid = clear.reduce(
    (n, l) =>
      n +
      Array.from({ length: l.coats }, (_, i) => coatId(group.id, l.key, i + 1, faceBack)).filter((id) => build.finish.laid?.[id]).length,
    0,
  )
  const counted = laid || planned
  const range = build.finish.uncounted ?? { from: counted, to: counted }
  const passes = Object.entries(build.finish.passes ?? {})
    .map(([id, p]) => ({ ...p, id }))
    .filter((p) => p.zone === undefined || p.zone === zone)
    .toSorted((a, b) => byMoment(a.at, b.at))
  const below = group.layers[first - 1]
  return {
    group,
    clear,
    under: below ? (below.film ? below.label.toLowerCase() : 'coloured wood') : 'bare wood',
    coats: { ...range, laid, planned },
    film: clear.reduce((s, l) => s + l.coats * l.film, 0) / planned,
    doubt: Math.max(...clear.map((l) => l.filmDoubt)),
    passes,
    through: passes.filter((p) => p.through),
  }
}

/** The budget of a planned sanding on a zone's film, after what was sanded already. */
export const budgetOf = (state: FilmState, planned: Sanding): Budget => ({
  coats: { from: state.coats.from, to: state.coats.to },
  film: state.film,
  doubt: state.doubt,
  ...planned,
  done: state.passes,
})

/** What is planned where nobody has said: a light peel, cut wet from P1200 with a block; what is wiped on is only buffed. */
export const usualSanding = (state: FilmState): Sanding =>
  closingOf(state.clear.at(-1)!) !== 'rub'
    ? { texture: 'glass', grits: [2500], block: false }
    : { texture: 'light peel', grits: ladder(1200, 2500), block: true }

/** A sanding in words. */
export const sandingSays = (s: Sanding): string =>
  s.grits.length
    ? `Cut ${s.grits.length > 1 ? `from P${s.grits[0]} to P${s.grits.at(-1)}` : `with P${s.grits[0]}`} ${s.block ? 'with a block' : 'with fingers'}`
    : 'Not cut'

/** The chance that a place goes through and what each more coat would make of it. */
export function moreCoats(b: Budget, most = 6): { more: number; worst: PlaceRisk }[] {
  return Array.from({ length: most + 1 }, (_, more) => ({
    more,
    worst: strikeThrough({ ...b, coats: { from: b.coats.from + more, to: b.coats.to + more } })[0]!,
  }))
}

/** A stretch of edge that may be cut by itself, mm. [ours] */
const STRETCH = 60
/** Corners of a body's edge: both horns' tips, front and back, and the pocket's. [ours] */
const CORNERS = 6

/** Stretches of edge and corners of this body: what gives a strike-through its many chances. */
export function spotsOf(build: Build): Spots {
  const points = outlinePoints(bodyShape(build).rows)
  return {
    flat: Math.max(1, Math.round(areaOf(points) / 20_000)),
    edge: Math.max(1, Math.round((2 * perimeterOf(points)) / STRETCH)),
    corner: CORNERS,
  }
}
