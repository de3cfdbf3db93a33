import type { Build } from '../document/build'
import { areaToCoat, productNeeded, type Area, type Need } from './cover'
import { EDGE_SHARE, plannedFilm } from './film'
import { coatPlan, type CoatPlan } from './schedule'
import { stackProblems, systemOf } from './stack'
import type { System } from './systems'
import { weatherCheck, type WeatherVerdict } from './weather'

export interface FinishResult {
  /** Nothing while nobody has chosen. */
  system?: System
  area: Area
  film: { flat: number; edge: number }
  need?: Need
  plan?: CoatPlan
  /** Why no calendar could be made. */
  trouble?: string
  /** What the wood and the choice do not agree about. */
  problems: string[]
  weather?: WeatherVerdict
  /** No coat before this day: the wood is not ready. */
  ready: string
}

/** Everything the Finish station shows but its drawing. @param ready day the wood is ready, ISO */
export function finishResult(build: Build, ready: string): FinishResult {
  const system = systemOf(build)
  const area = areaToCoat(build)
  const flat = plannedFilm(build)
  const calendar = coatPlan(build, ready)
  return {
    area,
    film: { flat, edge: flat * EDGE_SHARE },
    problems: stackProblems(build),
    ready,
    ...(system
      ? {
          system,
          need: productNeeded(area.total, flat, build.finish.solids, system),
          weather: weatherCheck(build.finish.weather, system),
        }
      : {}),
    ...(calendar.ok ? { plan: calendar.plan } : { trouble: calendar.why }),
  }
}
