import type { Build } from '../document/build'
import { areaToCoat, costOf, shoppingFor, type Area, type Shopping } from './cover'
import { EDGE_SHARE, plannedFilm } from './film'
import { coatPlan, type CoatPlan } from './schedule'
import { groundOf, layersOf, stackFaults, stackProblems, surfaceOf, systemOf, type Layer } from './stack'
import { cautionsOf, type System } from './systems'
import { weatherCheck, type WeatherVerdict } from './weather'
import { zoneGroups, type ZoneGroup } from './zones'

export interface FinishResult {
  /** Nothing while nobody has chosen. */
  system?: System
  groups: ZoneGroup[]
  area: Area
  film: { flat: number; edge: number }
  /** Everything the coats take. */
  shopping: Shopping[]
  /** What the cans cost whose price is known. */
  cost: number
  plan?: CoatPlan
  /** Why no calendar could be made. */
  trouble?: string
  /** What the wood and the choice do not agree about. */
  problems: string[]
  /** May the next coat go on now; nothing where none is left. */
  weather?: WeatherVerdict
  /** Cautions of everything in the stacks. */
  cautions: string[]
  /** No coat before this day: the wood is not ready. */
  ready: string
}

/** Everything the Finish station shows but its drawing. @param ready day the wood is ready, ISO */
export function finishResult(build: Build, ready: string): FinishResult {
  const system = systemOf(build)
  const area = areaToCoat(build)
  const groups = zoneGroups(build)
  const flat = plannedFilm(build)
  const shopping = shoppingFor(area, groups)
  const calendar = coatPlan(build, ready)
  const next = calendar.ok ? nextLayer(groups, calendar.plan) : undefined
  return {
    area,
    groups,
    film: { flat, edge: flat * EDGE_SHARE },
    shopping,
    cost: costOf(shopping),
    problems: [...stackProblems(build), ...zoneProblems(build, groups)],
    cautions: cautionsOf(groups.flatMap((g) => g.layers)),
    ready,
    ...(system ? { system } : {}),
    ...(next ? { weather: weatherCheck(build.finish.weather, next) } : {}),
    ...(calendar.ok ? { plan: calendar.plan } : { trouble: calendar.why }),
  }
}

/** The layer whose coat comes next. */
function nextLayer(groups: readonly ZoneGroup[], plan: CoatPlan): Layer | undefined {
  const coat = plan.coats.find((c) => !c.laid)
  return coat && groups.find((g) => g.id === coat.group)?.layers.find((l) => l.key === coat.layer)
}

/** What zones with a stack of their own do not agree about. */
function zoneProblems(build: Build, groups: readonly ZoneGroup[]): string[] {
  return groups
    .filter((g) => g.id !== 'whole')
    .flatMap((g) => {
      const [zone] = g.zones
      const ground = groundOf(build, zone)
      const untold = (zone === 'neck-back' || zone === 'head-face') && surfaceOf(build, 'neck') === undefined
      return [
        ...(untold ? [`${g.label}: whether the neck came raw, sealed or coated is not told. Say it under Parts first.`] : []),
        ...stackFaults(ground, layersOf(build, zone))
          .filter((f) => f.follow === 'never')
          .map((f) => `${g.label}: ${f.says}`),
      ]
    })
}
