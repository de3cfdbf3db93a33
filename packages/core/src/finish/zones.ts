import { FINISH_ZONES, type Build, type FinishZone } from '../document/build'
import { valueAt } from '../document/read'
import { layersOf, surfaceOf, type Layer } from './stack'

export const ZONE_LABEL: Record<FinishZone, string> = {
  front: 'Front',
  back: 'Back',
  rim: 'Rim',
  'neck-back': 'Neck back',
  'head-face': 'Head face',
  board: 'Fretboard',
  binding: 'Binding',
}

/** What most of the instrument gets. */
export const WHOLE = 'whole'
export const groupLabel = (id: string): string => ZONE_LABEL[id as FinishZone] ?? 'Whole instrument'

/** Zones that stay as they are unless they get a stack of their own: the board is oiled or left, binding is scraped clean. [practice] */
const BARE: readonly FinishZone[] = ['board', 'binding']

/** A neck that came with its finish on gets none unless it is asked for. */
const cameFinished = (build: Build, zone: FinishZone) =>
  (zone === 'neck-back' || zone === 'head-face') && surfaceOf(build, 'neck') === 'coated'

/** Zones there are on this instrument. */
export const zonesOf = (build: Build): FinishZone[] =>
  FINISH_ZONES.filter((zone) => zone !== 'binding' || hasBinding(build) || build.finish.zones?.binding !== undefined)

export const hasBinding = (build: Build): boolean => valueAt(build, { slot: 'body', size: 'binding.thickness' }) !== undefined

/** Does a zone follow the stack of the whole? */
export const followsWhole = (build: Build, zone: FinishZone): boolean =>
  build.finish.zones?.[zone] === undefined && !BARE.includes(zone) && !cameFinished(build, zone)

/** Is nothing put on it? */
export const isBare = (build: Build, zone: FinishZone): boolean =>
  followsWhole(build, zone) ? layersOf(build).length === 0 : !build.finish.zones?.[zone]?.layers.length

/** Zones that are coated together, with their stack. */
export interface ZoneGroup {
  /** "whole", or the zone that has a stack of its own. */
  id: typeof WHOLE | FinishZone
  label: string
  zones: FinishZone[]
  layers: Layer[]
}

export function zoneGroups(build: Build): ZoneGroup[] {
  const together = zonesOf(build).filter((z) => followsWhole(build, z))
  const whole: ZoneGroup = { id: WHOLE, label: groupLabel(WHOLE), zones: together, layers: together.length ? layersOf(build) : [] }
  const own = zonesOf(build)
    .filter((z) => build.finish.zones?.[z]?.layers.length)
    .map((z) => ({ id: z, label: ZONE_LABEL[z], zones: [z], layers: layersOf(build, z) }))
  return [whole, ...own].filter((g) => g.layers.length)
}

/** Which group a zone is coated with; nothing where it stays bare. */
export const groupOf = (groups: readonly ZoneGroup[], zone: FinishZone): ZoneGroup | undefined => groups.find((g) => g.zones.includes(zone))

export const groupOfId = (groups: readonly ZoneGroup[], id: string): ZoneGroup | undefined => groups.find((g) => g.id === id)

/** Wax on top of everything goes on after the rub-out. */
export const isLastWax = (group: ZoneGroup, layer: Layer): boolean => layer.name === 'wax' && group.layers.at(-1) === layer

/** Coats of other groups than the whole are counted under their zone. */
export const coatId = (group: string, key: string, n: number, face?: 'back'): string =>
  `${group === WHOLE ? '' : `${group}/`}${key}-${n}${face ? '~back' : ''}`

/** Both faces in one group: lying, one waits for the other. */
export const hasTwoFaces = (zones: readonly FinishZone[]): boolean => zones.includes('front') && zones.includes('back')
