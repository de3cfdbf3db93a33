import type { Build } from '../document/build'
import type { Station } from '../document/station'
import type { Drawing } from '../drawing/drawing'
import { USUAL_BENCH, type Bench } from '../drill/bench'
import type { Point } from '../geometry/point'
import { isSlot, type Slot } from '../parts/slots'
import type { Contribution, Thing } from './contribution'
import type { Sheet } from './sheet'
import { CONTRIBUTIONS, type Results } from './list'
import { partPlace } from './parts/partPlace'

/** A station's thing with the station it is found at. */
export interface PlacedThing extends Thing {
  station: Station
}

const of = (station: Station): Contribution<unknown> => CONTRIBUTIONS[station] as Contribution<unknown>

/**
 * Everything the stations have, in the order of the work.
 * @param bench the tools the results were worked out for: what is drawn is drawn for them
 */
export const thingsOf = (build: Build, results: Results, bench: Bench = USUAL_BENCH): PlacedThing[] =>
  (Object.keys(CONTRIBUTIONS) as Station[]).flatMap((station) =>
    (of(station).things?.(build, results[station], bench) ?? []).map((t) => ({ ...t, station })),
  )

/** What a step, a log entry or an address names: a thing of a station, or at least the part it is about. */
export interface Named {
  station?: Station | undefined
  thing?: string | undefined
  slot?: Slot | undefined
}

const named = (things: readonly PlacedThing[], { station, thing }: Named) =>
  things.find((t) => t.id === thing && (station === undefined || t.station === station))

/** Where on the instrument it lies; where its part is, when it has no place of its own. */
export function placeOf(build: Build, things: readonly PlacedThing[], name: Named): Point {
  const slot = name.slot ?? (isSlot(name.thing ?? '') ? (name.thing as Slot) : undefined)
  return named(things, name)?.at ?? partPlace(build, slot)
}

/** Its drawing, or its station's. */
export const drawingOf = (build: Build, things: readonly PlacedThing[], name: Named): Drawing | undefined =>
  named(things, name)?.draw?.() ?? (name.station && of(name.station).draw?.(build))

/** A printable sheet with the station it belongs to. */
export interface PlacedSheet extends Sheet {
  station: Station
}

/** Everything that can be printed of a build. */
export const sheetsOf = (build: Build, results: Results): PlacedSheet[] =>
  (Object.keys(CONTRIBUTIONS) as Station[]).flatMap((station) =>
    (of(station).sheets?.(build, results[station]) ?? []).map((s) => ({ ...s, station })),
  )

/** How many things of each station need a person. */
export const countsOf = (build: Build, results: Results): Partial<Record<Station, number>> =>
  Object.fromEntries(
    (Object.keys(CONTRIBUTIONS) as Station[]).flatMap((s) => {
      const count = of(s).count?.(build, results[s])
      return count === undefined ? [] : [[s, count]]
    }),
  )

/** What a change did, in a few words for the sill, station by station. */
export const whatMoved = (before: Results, after: Results): string[] =>
  (Object.keys(CONTRIBUTIONS) as Station[]).flatMap((s) => of(s).moved?.(before[s], after[s]) ?? [])
