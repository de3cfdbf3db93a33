import type { Build, FinishSystem, FinishZone, ZoneLayer } from '../document/build'
import { asJson, edit, type Change } from '../document/change'
import { setFinish, tickStep } from '../document/changes'
import { withSystem } from './offers'
import { coatsOfLayer, coatsOn, coatsStep, regrouped, sameCoats, sameRecords } from './laid'
import { lockedLayers, stackFor, zoneOf, type StackOf } from './locked'
import { chosenLayers, groundOf, productOf, resolved, stackFaults } from './stack'
import { SYSTEMS } from './systems'
import { followsWhole, WHOLE, ZONE_LABEL, zoneGroups, zonesOf } from './zones'

/** A change to a stack, or the sentence that says why it cannot be. */
export type StackChange = { ok: true; change: Change } | { ok: false; why: string }

const put = (build: Build, of: StackOf, layers: ZoneLayer[], label: string): StackChange => {
  if (of === WHOLE) return asItLies(build, { layers }, label, FEWER)
  const own = build.finish.zones?.[of]
  return asItLies(build, { zones: { ...build.finish.zones, [of]: { ...own, layers } } }, label, own ? FEWER : UNEVEN)
}

/**
 * The finish otherwise: on each zone lies what lay there, whoever it is counted with.
 * @param why said where that cannot be
 */
function asItLies(build: Build, to: Partial<Build['finish']>, label: string, why: string): StackChange {
  const after = { ...build, finish: { ...build.finish, ...to } }
  const laid = regrouped(build, after)
  const done = { ...after, steps: {}, finish: { ...after.finish, laid } }
  if (!zonesOf(done).every((zone) => sameCoats(coatsOn(build, zone), coatsOn(done, zone)))) return { ok: false, why }
  const keys = (Object.keys(to) as (keyof typeof to)[]).map((key) => setFinish(build, key, to[key], label))
  const counted = sameRecords(build.finish.laid ?? {}, laid) ? [] : [setFinish(build, 'laid', laid, label)]
  return { ok: true, change: { label, edits: [...keys, ...counted, ...ticksOf(build, done)].flatMap((c) => c.edits) } }
}

/** In the plan a layer is done while all its coats lie: with one more it is open again, and one that is gone stands no longer there. */
function ticksOf(before: Build, after: Build): Change[] {
  const layersOf = (build: Build) =>
    zoneGroups(build).flatMap((g) => g.layers.map((l) => ({ step: coatsStep(l.key, g.id), coats: coatsOfLayer(build, g, l) })))
  const now = layersOf(after)
  const to = now.map(({ step, coats }) => {
    const laid = coats.flatMap((id) => after.finish.laid?.[id] ?? [])
    return [step, laid.length === coats.length ? laid.at(-1)?.at : undefined] as const
  })
  const gone = layersOf(before).flatMap(({ step }) => (now.some((n) => n.step === step) ? [] : [[step, undefined] as const]))
  return [...to, ...gone].flatMap(([step, at]) =>
    (at === undefined) === (before.steps[step]?.done === undefined) ? [] : [tickStep(before, step, step, at)],
  )
}

const UNEVEN = 'One face has more coats than the other: lay the others first, then all of them are counted as one.'
const FEWER = 'More coats of it lie already: take those back first if they were not laid.'

/** One side waits for the other while it lies, or it hangs. */
export const setLies = (build: Build, lies: boolean): StackChange =>
  asItLies(build, { lies: lies ? true : undefined }, lies ? 'It lies' : 'It hangs', UNEVEN)

/** Sets the stack anew: nothing that lies already may change its place, and nothing may lie on what it never holds on. */
export function setStack(build: Build, of: StackOf, layers: readonly ZoneLayer[], label: string): StackChange {
  const before = stackFor(build, of)
  const locked = lockedLayers(build, of)
  for (let i = 0; i < locked; i++)
    if (layers[i]?.product !== before[i]?.product) {
      const name = productOf(build.finish.labels, before[i]!.product)?.label ?? before[i]!.product
      return { ok: false, why: `${name} has coats that lie already: what is under them cannot change any more.` }
    }
  const under = before.findIndex((l, i) => i < locked - 1 && layers[i]!.coats > l.coats)
  if (under >= 0) {
    const [name, over] = [before[under]!, before[under + 1]!].map((l) => productOf(build.finish.labels, l.product)?.label ?? l.product)
    return { ok: false, why: `${over} lies on it already: no coat of ${name!.toLowerCase()} comes under it any more.` }
  }
  const then = resolved(build, layers)
  const known = stackFaults(groundOf(build, zoneOf(of)), resolved(build, before), locked)
    .filter((f) => f.follow === 'never')
    .map((f) => f.says)
  const never = stackFaults(groundOf(build, zoneOf(of)), then, locked).find((f) => f.follow === 'never' && !known.includes(f.says))
  if (never) return { ok: false, why: never.says }
  return put(build, of, [...layers], label)
}

/** One layer more on top. @param byLabel its label says that it holds there */
export const addLayer = (build: Build, of: StackOf, product: string, byLabel = false): StackChange =>
  insertLayer(build, of, product, stackFor(build, of).length, byLabel)

/** One layer more. @param at how many layers lie under it */
export function insertLayer(build: Build, of: StackOf, product: string, at: number, byLabel = false): StackChange {
  const p = productOf(build.finish.labels, product)
  if (!p) return { ok: false, why: `"${product}" is no product here.` }
  const layer: ZoneLayer = { product, coats: p.coats, ...(byLabel ? { byLabel: true as const } : {}) }
  const layers = stackFor(build, of)
  return setStack(build, of, [...layers.slice(0, at), layer, ...layers.slice(at)], `${p.label} laid on the stack`)
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
  const { [zone]: _, ...others } = build.finish.zones ?? {}
  const layers = is === 'bare' ? [] : chosenLayers(build)
  const zones = is === 'whole' ? others : { ...others, [zone]: { layers } }
  const label = ZONE_LABEL[zone]
  return asItLies(
    build,
    { zones },
    `${label}: ${is === 'whole' ? 'as the whole' : is === 'bare' ? 'bare' : 'its own'}`,
    whyNotSo(build, zone, is),
  )
}

function whyNotSo(build: Build, zone: FinishZone, is: 'own' | 'bare' | 'whole'): string {
  const label = ZONE_LABEL[zone]
  const lie = Object.keys(coatsOn(build, zone)).length > 0
  if (!followsWhole(build, zone))
    return lie
      ? `${label} has coats of its own that lie already.`
      : `${label}: coats of the whole that lie already are not on it. Give it its own.`
  return is === 'own' || !lie
    ? UNEVEN
    : `${label} has coats of the whole on it that lie already. Give it its own, and take out what is not to come.`
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
