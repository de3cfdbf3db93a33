import type { Build, FinishZone, LaidCoat } from '../document/build'
import type { Layer } from './stack'
import { coatId, groupOf, hasTwoFaces, WHOLE, zoneGroups, type ZoneGroup } from './zones'

/** Under which id the coats of a layer are ticked off in the plan. */
export const coatsStep = (layer: string, group: string = WHOLE): string => (group === WHOLE ? `coats-${layer}` : `coats-${group}-${layer}`)

/** What was laid of a layer's coats: one by one, or all at once by a tick in the plan, on that day's evening. */
export function laidOf(build: Build, id: string, layer: Layer, group: string): LaidCoat | undefined {
  const one = build.finish.laid?.[id]
  if (one) return one
  const ticked = build.steps[coatsStep(layer.key, group)]?.done
  return ticked ? { product: layer.product, at: `${ticked.slice(0, 10)}T20:00` } : undefined
}

/** The faces a group is coated on one after the other: lying, one waits for the other. */
export const facesOf = (build: Build, zones: readonly FinishZone[]): readonly (undefined | 'back')[] =>
  build.finish.lies && hasTwoFaces(zones) ? [undefined, 'back'] : [undefined]

const numbersOf = (layer: Layer): number[] => Array.from({ length: layer.coats }, (_, i) => i + 1)

/** Every coat of one layer. */
export const coatsOfLayer = (build: Build, group: ZoneGroup, layer: Layer): string[] =>
  numbersOf(layer).flatMap((n) => facesOf(build, group.zones).map((face) => coatId(group.id, layer.key, n, face)))

type Coats = Record<string, LaidCoat>

/** The coats that lie on a zone, by layer and number, whoever's they were counted as. */
export function coatsOn(build: Build, zone: FinishZone): Coats {
  const group = groupOf(zoneGroups(build), zone)
  if (!group) return {}
  const face = zone === 'back' ? facesOf(build, group.zones).at(-1) : undefined
  return Object.fromEntries(
    group.layers.flatMap((layer) =>
      numbersOf(layer).flatMap((n) => {
        const coat = laidOf(build, coatId(group.id, layer.key, n, face), layer, group.id)
        return coat ? [[coatId(WHOLE, layer.key, n), coat] as const] : []
      }),
    ),
  )
}

/** Film that lies on a zone, um: of the coats noted so far. */
export function filmLaid(build: Build, zone: FinishZone): number {
  const on = coatsOn(build, zone)
  return (groupOf(zoneGroups(build), zone)?.layers ?? []).reduce(
    (sum, layer) => sum + layer.film * numbersOf(layer).filter((n) => on[coatId(WHOLE, layer.key, n)]).length,
    0,
  )
}

/** Do the same coats lie on both? */
export const sameCoats = (a: Coats, b: Coats): boolean =>
  Object.keys(a).length === Object.keys(b).length && Object.entries(a).every(([id, coat]) => b[id]?.product === coat.product)

/** The same coats, counted under the same names? */
export const sameRecords = (a: Coats, b: Coats): boolean =>
  Object.keys(a).length === Object.keys(b).length &&
  Object.entries(a).every(([id, coat]) => b[id] !== undefined && coat.product === b[id].product && coat.at === b[id].at)

/** The coats that lie on all of some zones. */
function onAll(build: Build, zones: readonly FinishZone[]): Coats {
  const [first = {}, ...others] = zones.map((zone) => coatsOn(build, zone))
  return Object.fromEntries(Object.entries(first).filter(([id, coat]) => others.every((o) => o[id]?.product === coat.product)))
}

/**
 * What lies, counted anew where zones come together otherwise, or one face is to wait for the other: on each zone lies what lay there.
 * @param after the same build with its zones, or its lying, changed
 */
export function regrouped(before: Build, after: Build): Coats {
  const on = (group: ZoneGroup, face: undefined | 'back', faces: number): [string, LaidCoat][] => {
    const lie = onAll(before, faces === 1 ? group.zones : group.zones.filter((zone) => (zone === 'back') === (face === 'back')))
    return group.layers.flatMap((layer) =>
      numbersOf(layer).flatMap((n) => {
        const found = lie[coatId(WHOLE, layer.key, n)]
        if (!found) return []
        const { zone: _, ...coat } = found
        return [[coatId(group.id, layer.key, n, face), group.id === WHOLE ? coat : { ...coat, zone: group.id }] as [string, LaidCoat]]
      }),
    )
  }
  const planned = new Set(zoneGroups(before).flatMap((group) => group.layers.flatMap((l) => coatsOfLayer(before, group, l))))
  return Object.fromEntries([
    // What was noted of a coat that nobody plans any more stays noted.
    ...Object.entries(before.finish.laid ?? {}).filter(([id]) => !planned.has(id)),
    ...zoneGroups(after).flatMap((group) => {
      const faces = facesOf(after, group.zones)
      return faces.flatMap((face) => on(group, face, faces.length))
    }),
  ])
}
