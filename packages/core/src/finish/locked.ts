import type { Build, FinishZone, ZoneLayer } from '../document/build'
import { coatsStep } from './laid'
import { chosenLayers, resolved } from './stack'
import { followsWhole, WHOLE } from './zones'

/** Whose stack: that of the whole, or of one zone. */
export type StackOf = typeof WHOLE | FinishZone

export const zoneOf = (of: StackOf): FinishZone | undefined => (of === WHOLE ? undefined : of)

/** Whose coats lie on it: those of the whole while it follows that. */
const groupIdOf = (build: Build, of: StackOf): StackOf => (of !== WHOLE && followsWhole(build, of) ? WHOLE : of)

/** The layers as chosen of whom is asked for: of a zone that follows the whole those of the whole, of one that stays as it is none. */
export const stackFor = (build: Build, of: StackOf): ZoneLayer[] =>
  groupIdOf(build, of) === WHOLE ? chosenLayers(build) : (build.finish.zones?.[of as FinishZone]?.layers ?? [])

/** How many layers from the wood up hold coats that lie already: none of them can be moved, taken out or built under. */
export function lockedLayers(build: Build, of: StackOf): number {
  const layers = resolved(build, stackFor(build, of))
  const group = groupIdOf(build, of)
  const prefix = group === WHOLE ? '' : `${group}/`
  const laid = Object.keys(build.finish.laid ?? {})
  const counted = (key: string) => laid.some((id) => id.startsWith(`${prefix}${key}-`) && id.indexOf('/') === prefix.length - 1)
  return layers.findLastIndex((l) => counted(l.key) || build.steps[coatsStep(l.key, group)]?.done !== undefined) + 1
}
