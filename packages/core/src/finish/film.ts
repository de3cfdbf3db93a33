import type { Build, FinishZone } from '../document/build'
import { traitAt } from '../document/read'
import { layersOf, type Layer } from './stack'
import { isBare, followsWhole } from './zones'

/** Film on a rounded edge against the flat beside it. [ours] */
export const EDGE_SHARE = 0.65

/** Dry film of a stack on a flat, um: every layer's coats times its film per coat. */
export const filmOfLayers = (layers: readonly Pick<Layer, 'coats' | 'film'>[]): number =>
  layers.reduce((sum, l) => sum + l.coats * l.film, 0)

/** Dry film of the whole planned build-up on a flat, um; of one zone where it is named. */
export function plannedFilm(build: Build, zone?: FinishZone): number {
  if (zone && isBare(build, zone)) return 0
  return filmOfLayers(layersOf(build, zone && !followsWhole(build, zone) ? zone : undefined))
}

/** What the planned finish takes from an opening in the body's wood, mm: film on each of its walls. Openings lie in the front. */
export function filmOn(build: Build, walls: number): number {
  return traitAt(build, 'body', 'surface') === 'coated' ? 0 : (walls * plannedFilm(build, 'front')) / 1000
}
