import type { Build } from '../build'
import { SYSTEMS } from './systems'

/** Dry film of the whole planned build-up on a flat, um: every layer's coats times its film per coat. */
export function plannedFilm(build: Build): number {
  return SYSTEMS[build.finish.system].layers.reduce(
    (sum, layer) => sum + (layer.name === 'top' ? build.finish.coats : layer.coats) * layer.film,
    0,
  )
}
