import type { Build } from '../document/build'
import { areaToCoat, productNeeded, systemOf, type Area, type Need } from './cover'
import { EDGE_SHARE, plannedFilm } from './film'
import { coatPlan, type CoatPlan } from './schedule'
import type { System } from './systems'
import { weatherCheck, type WeatherVerdict } from './weather'

export interface FinishResult {
  system: System
  area: Area
  film: { flat: number; edge: number }
  need: Need
  plan?: CoatPlan
  /** Why no calendar could be made. */
  trouble?: string
  weather: WeatherVerdict
}

/** Everything the Finish station shows but its drawing, from the build alone. */
export function finishResult(build: Build): FinishResult {
  const system = systemOf(build)
  const area = areaToCoat(build)
  const flat = plannedFilm(build)
  const calendar = coatPlan(build)
  return {
    system,
    area,
    film: { flat, edge: flat * EDGE_SHARE },
    need: productNeeded(area.total, flat, build.finish.solids, system),
    weather: weatherCheck(build.finish.weather, system.limits),
    ...(calendar.ok ? { plan: calendar.plan } : { trouble: calendar.why }),
  }
}
