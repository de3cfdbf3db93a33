import { closingOf, CLOSINGS } from './closing'
import type { Build } from '../document/build'
import { dryingIn } from '../physics/drying'
import { waitBetween, type Coat } from './schedule'
import { groupOfId, type ZoneGroup } from './zones'

/** What is drying: which coat, until when, and what may be done then. */
export interface DryingTimer {
  id: string
  label: string
  /** Moment the wait is over, ms since 1970. */
  at: number
  then: string
}

/** The clocks that run: one for each group whose last coat still waits for something. Computed from what was laid, so that they outlive any reload. */
export function dryingTimers(build: Build, groups: readonly ZoneGroup[], coats: readonly Coat[], now: number): DryingTimer[] {
  return groups.flatMap((g): DryingTimer[] => {
    const mine = coats.filter((c) => c.group === g.id)
    const last = mine.findLast((c) => c.laid)
    if (!last?.laid) return []
    const layer = groupOfId(groups, g.id)!.layers.find((l) => l.key === last.layer)!
    const next = mine.find((c) => !c.laid)
    const above = next && g.layers.find((l) => l.key === next.layer)
    const minutes = above ? waitBetween(layer, above) : (layer.beforeSanding ?? layer.handle)
    const air = build.finish.laid?.[last.id]
    const room = build.finish.drying ?? build.finish.weather
    const slow = dryingIn({ air: air?.air ?? room.air, humidity: air?.humidity ?? room.humidity })
    const at = Date.parse(last.laid) + minutes * slow * 60_000
    const then = !above
      ? layer.beforeSanding
        ? CLOSINGS[closingOf(layer)].then
        : 'handle it'
      : above === layer
        ? 'next coat'
        : above.label.toLowerCase()
    return at > now ? [{ id: g.id, label: `${g.id === 'whole' ? '' : `${g.label}: `}${last.label} ${last.number}`, at, then }] : []
  })
}
