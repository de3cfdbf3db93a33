import type { Build, FinishZone } from '../document/build'
import { asTold, sizeAt, type SizeRef } from '../document/read'
import { filmLaid } from './laid'
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

/** Openings in the body that something goes into closely. */
const IN_BODY: readonly (readonly [RegExp, FinishZone])[] = [
  [/^(pocket\.width|route\..*\.(length|width)$|studBore$|tail\.bore$|pot\.hole$)/, 'front'],
  [/^jack\.bore$/, 'rim'],
  [/^ferrule\.bore$/, 'back'],
]

/** The zone an opening lies in, and whose film its walls get; nothing for other sizes. A masked pocket stays bare. */
export function zoneOfOpening(build: Build, { slot, size }: SizeRef): FinishZone | undefined {
  if (build.finish.maskPocket && slot === 'body' && size.startsWith('pocket.')) return undefined
  if (slot === 'neck') return size === 'tuner.bore' ? 'head-face' : undefined
  return slot === 'body' ? IN_BODY.find(([is]) => is.test(size))?.[1] : undefined
}

/** What the finish still takes from an opening, mm: the planned film on both walls. What lay there when it was read, and lies there yet, is in the reading. */
export function filmToCome(asked: Build, opening: SizeRef): number {
  // The plan is as it is, whatever nobody has said of the wood yet: that is asked for under Finish.
  const build = asTold(asked)
  const zone = zoneOfOpening(build, opening)
  if (!zone) return 0
  const read = sizeAt(asked, opening)?.film
  const there = read ? Math.min(read, filmLaid(build, zone)) : 0
  return (2 * Math.max(0, plannedFilm(build, zone) - there)) / 1000
}
