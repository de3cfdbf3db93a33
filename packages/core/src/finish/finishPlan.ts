import type { Build, FinishZone } from '../document/build'
import { isThrough } from '../document/read'
import { areaToCoat, costOf, shoppingFor, type Area, type Shopping } from './cover'
import { EDGE_SHARE, plannedFilm } from './film'
import { cameCoated } from './ground'
import { coatPlan, type CoatPlan } from './schedule'
import { lockedLayers } from './locked'
import { groundOf, stackFaults, surfaceOf, systemOf, type Layer } from './stack'
import { stackProblems } from './stackProblems'
import { cautionsOf, type System } from './systems'
import { weatherCheck, type WeatherVerdict } from './weather'
import { WHOLE, zoneGroups, type ZoneGroup } from './zones'

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
  /** Nothing is laid, and nothing has to be: all of it came coated. */
  asItCame: boolean
  /** What the wood and the choice do not agree about. */
  problems: string[]
  /** May the next coat go on now; nothing where none is left. */
  weather?: WeatherVerdict
  /** Cautions of everything in the stacks. */
  cautions: string[]
  /** No coat before this day: the wood is not ready. */
  ready: string
}

const AS_IT_CAME = 'It came with its coat on, and no other is chosen: nothing is laid over it.'

/** Everything the Finish station shows but its drawing. @param ready day the wood is ready, ISO */
export function finishResult(build: Build, ready: string): FinishResult {
  const system = systemOf(build)
  const area = areaToCoat(build)
  const groups = zoneGroups(build)
  const flat = plannedFilm(build)
  const shopping = shoppingFor(area, groups)
  const calendar = coatPlan(build, ready)
  const asItCame = !groups.length && cameCoated(build)
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
    asItCame,
    ...(calendar.ok ? { plan: calendar.plan } : { trouble: asItCame ? AS_IT_CAME : calendar.why }),
  }
}

/** The layer whose coat comes next. */
function nextLayer(groups: readonly ZoneGroup[], plan: CoatPlan): Layer | undefined {
  const coat = plan.coats.find((c) => !c.laid)
  return coat && groups.find((g) => g.id === coat.group)?.layers.find((l) => l.key === coat.layer)
}

/** What zones do not agree about with the stack they get: those with one of their own, and the neck under that of the whole. */
function zoneProblems(build: Build, groups: readonly ZoneGroup[]): string[] {
  return groups.flatMap((g) => {
    const zone = g.id === WHOLE ? g.zones.find(isNeckFace) : g.zones[0]
    // Of the whole's stack all is said of the body already; of one piece the neck came as that did.
    if (!zone || (g.id === WHOLE && (!build.parts.body || !build.parts.neck || isThrough(build)))) return []
    const label = g.id === WHOLE ? 'Neck' : g.label
    const told = g.id === WHOLE ? stackFaults(groundOf(build), g.layers, lockedLayers(build, g.id)).map((f) => f.says) : []
    return [
      ...(isNeckFace(zone) && surfaceOf(build, 'neck') === undefined
        ? [`${label}: whether the neck came raw, sealed or coated is not told. Say it under Parts first.`]
        : []),
      ...stackFaults(groundOf(build, zone), g.layers, lockedLayers(build, g.id))
        .filter((f) => f.follow === 'never' && !told.includes(f.says))
        .map((f) => `${label}: ${f.says}`),
    ]
  })
}

const isNeckFace = (zone: FinishZone): boolean => zone === 'neck-back' || zone === 'head-face'
