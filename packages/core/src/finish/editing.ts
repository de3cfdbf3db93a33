import type { Build, FinishSystem, FinishZone, ZoneLayer } from '../document/build'
import { asJson, edit, type Change } from '../document/change'
import { setFinish } from '../document/changes'
import { withSystem } from './offers'
import { chosenLayers, groundOf, productOf, resolved, stackFaults } from './stack'
import { SYSTEMS } from './systems'
import { WHOLE, ZONE_LABEL } from './zones'

/** Whose stack: that of the whole, or of one zone. */
export type StackOf = typeof WHOLE | FinishZone

export const zoneOf = (of: StackOf): FinishZone | undefined => (of === WHOLE ? undefined : of)

/** The layers as chosen of whom is asked for; of a zone without its own, those of the whole. */
export const stackFor = (build: Build, of: StackOf): ZoneLayer[] =>
  (of === WHOLE ? undefined : build.finish.zones?.[of]?.layers) ?? chosenLayers(build)

/** How many layers from the wood up hold coats that lie already: none of them can be moved, taken out or built under. */
export function lockedLayers(build: Build, of: StackOf): number {
  const layers = resolved(build, stackFor(build, of))
  const prefix = of === WHOLE ? '' : `${of}/`
  const laid = Object.keys(build.finish.laid ?? {})
  return layers.findLastIndex((l) => laid.some((id) => id.startsWith(`${prefix}${l.key}-`) && id.indexOf('/') === prefix.length - 1)) + 1
}

/** A change to a stack, or the sentence that says why it cannot be. */
export type StackChange = { ok: true; change: Change } | { ok: false; why: string }

const put = (build: Build, of: StackOf, layers: ZoneLayer[], label: string): Change => {
  if (of === WHOLE) return setFinish(build, 'layers', layers, label)
  const own = build.finish.zones?.[of]
  return setFinish(build, 'zones', { ...build.finish.zones, [of]: { ...own, layers } }, label)
}

/** Sets the stack anew: nothing that lies already may change its place, and nothing may lie on what it never holds on. */
export function setStack(build: Build, of: StackOf, layers: readonly ZoneLayer[], label: string): StackChange {
  const before = stackFor(build, of)
  const locked = lockedLayers(build, of)
  for (let i = 0; i < locked; i++)
    if (layers[i]?.product !== before[i]?.product) {
      const name = productOf(build.finish.labels, before[i]!.product)?.label ?? before[i]!.product
      return { ok: false, why: `${name} has coats that lie already: what is under them cannot change any more.` }
    }
  const then = resolved(build, layers)
  const known = stackFaults(groundOf(build, zoneOf(of)), resolved(build, before))
    .filter((f) => f.follow === 'never')
    .map((f) => f.says)
  const never = stackFaults(groundOf(build, zoneOf(of)), then).find((f) => f.follow === 'never' && !known.includes(f.says))
  if (never) return { ok: false, why: never.says }
  return { ok: true, change: put(build, of, [...layers], label) }
}

/** One layer more on top. @param byLabel its label says that it holds there */
export function addLayer(build: Build, of: StackOf, product: string, byLabel = false): StackChange {
  const p = productOf(build.finish.labels, product)
  if (!p) return { ok: false, why: `"${product}" is no product here.` }
  return setStack(
    build,
    of,
    [...stackFor(build, of), { product, coats: p.coats, ...(byLabel ? { byLabel: true as const } : {}) }],
    `${p.label} laid on the stack`,
  )
}

export function moveLayer(build: Build, of: StackOf, from: number, to: number): StackChange {
  const layers = [...stackFor(build, of)]
  const [moved] = layers.splice(from, 1)
  if (!moved) return { ok: false, why: 'There is no such layer.' }
  layers.splice(to, 0, moved)
  return setStack(build, of, layers, `${productOf(build.finish.labels, moved.product)?.label ?? 'A layer'} moved`)
}

export function dropLayer(build: Build, of: StackOf, at: number): StackChange {
  const layers = stackFor(build, of)
  if (at < lockedLayers(build, of)) return { ok: false, why: 'Coats of it lie already: take those back first if they were not laid.' }
  return setStack(
    build,
    of,
    layers.filter((_, i) => i !== at),
    `${productOf(build.finish.labels, layers[at]!.product)?.label ?? 'A layer'} taken out`,
  )
}

/** One field of one layer. */
export function setLayer(
  build: Build,
  of: StackOf,
  at: number,
  to: Partial<Record<keyof ZoneLayer, ZoneLayer[keyof ZoneLayer]>>,
  label: string,
): StackChange {
  const layers = stackFor(build, of).map((l, i) => {
    if (i !== at) return l
    return Object.fromEntries(Object.entries({ ...l, ...to }).filter(([, v]) => v !== undefined)) as unknown as ZoneLayer
  })
  return setStack(build, of, layers, label)
}

/** A zone with a stack of its own: as the whole's to begin with, or bare; or back to the whole's. */
export function zoneStack(build: Build, zone: FinishZone, is: 'own' | 'bare' | 'whole'): StackChange {
  if (Object.keys(build.finish.laid ?? {}).some((id) => id.startsWith(`${zone}/`)))
    return { ok: false, why: `${ZONE_LABEL[zone]} has coats of its own that lie already.` }
  const { [zone]: _, ...others } = build.finish.zones ?? {}
  if (is === 'whole') return { ok: true, change: setFinish(build, 'zones', others, `${ZONE_LABEL[zone]}: as the whole`) }
  const layers = is === 'bare' ? [] : chosenLayers(build)
  return {
    ok: true,
    change: setFinish(build, 'zones', { ...others, [zone]: { layers } }, `${ZONE_LABEL[zone]}: ${is === 'bare' ? 'bare' : 'its own'}`),
  }
}

/** Another finish as it comes. What zones have of their own stays theirs. */
export function chooseSystem(build: Build, id: Exclude<FinishSystem, 'none'>): Change {
  const { finish } = withSystem(build, id)
  return {
    label: `Finish: ${SYSTEMS[id].label}`,
    edits: [
      edit(build, ['finish', 'system'], finish.system),
      edit(build, ['finish', 'solids'], finish.solids),
      edit(build, ['finish', 'coats'], finish.coats),
      ...(build.finish.layers ? [edit(build, ['finish', 'layers'], undefined)] : []),
      ...(build.finish.under ? [edit(build, ['finish', 'under'], asJson({}))] : []),
    ],
  }
}
