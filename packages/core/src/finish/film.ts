import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import { layersOf } from './stack'

/** Film on a rounded edge against the flat beside it. [ours] */
export const EDGE_SHARE = 0.65

/** Dry film of the whole planned build-up on a flat, um: every layer's coats times its film per coat. */
export function plannedFilm(build: Build): number {
  return layersOf(build).reduce((sum, layer) => sum + layer.coats * layer.film, 0)
}

/** What the planned finish takes from an opening in the body's wood, mm: film on each of its walls. */
export function filmOn(build: Build, walls: number): number {
  return traitAt(build, 'body', 'surface') === 'coated' ? 0 : (walls * plannedFilm(build)) / 1000
}
