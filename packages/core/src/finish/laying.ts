import type { Build, FinishZone, LaidCoat } from '../document/build'
import type { Change } from '../document/change'
import { setFinish, tickStep } from '../document/changes'
import { coatsOfLayer, coatsStep, laidOf } from './laid'
import type { Coat } from './schedule'
import { groupOfId, zoneGroups } from './zones'

/** A coat by name: which, of what, on what. */
export const coatName = (c: Coat): string =>
  `${c.group === 'whole' ? '' : `${c.groupLabel} `}${c.label} ${c.number}${c.face ? ', back' : ''}`

/**
 * Coats laid in one go; a layer's step in the plan is ticked with its last coat. What they dry in from now on counts for the wait; the surface
 * they went on is the bench's.
 * @param all coats of every evening
 */
export function layCoats(build: Build, all: readonly Coat[], coats: readonly Coat[], at: string): Change {
  const laid = Object.fromEntries(
    coats.map((c): [string, LaidCoat] => [
      c.id,
      {
        product: c.product,
        at,
        ...build.finish.weather,
        ...build.finish.drying,
        ...(c.group === 'whole' ? {} : { zone: c.group as FinishZone }),
      },
    ]),
  )
  const names = coats.map(coatName)
  const label = `${names.length > 2 ? `${names[0]} to ${names.at(-1)}` : names.join(' and ')} laid`
  const now = new Set(coats.map((c) => c.id))
  const full = [...new Set(coats.map((c) => c.step))].filter((step) => all.every((x) => x.step !== step || x.laid || now.has(x.id)))
  return {
    label,
    edits: [
      ...setFinish(build, 'laid', { ...build.finish.laid, ...laid }, label).edits,
      ...full.flatMap((step) => tickStep(build, step, coats.find((c) => c.step === step)!.label, at).edits),
    ],
  }
}

/** One coat that was not laid after all; its layer's step is open again, and the other coats lie as they lay, also where that step alone said so. */
export function takeCoatBack(build: Build, coat: Coat): Change {
  const group = groupOfId(zoneGroups(build), coat.group)
  const layer = group?.layers.find((l) => l.key === coat.layer)
  const told = group && layer ? coatsOfLayer(build, group, layer).map((id) => [id, laidOf(build, id, layer, group.id)] as const) : []
  const lie = { ...build.finish.laid, ...Object.fromEntries(told.flatMap(([id, laid]) => (laid ? [[id, laid] as const] : []))) }
  const { [coat.id]: _, ...others } = lie
  const label = `${coatName(coat)} not laid after all`
  return {
    label,
    edits: [
      ...setFinish(build, 'laid', others, label).edits,
      ...(build.steps[coat.step] ? tickStep(build, coat.step, coat.label, undefined).edits : []),
    ],
  }
}

/** A step of the plan that is not done after all; of a layer none of its coats lies then. */
export function notDone(build: Build, step: { id: string; title: string }): Change {
  const change = tickStep(build, step.id, step.title, undefined)
  const layers = zoneGroups(build).flatMap((g) => g.layers.map((l) => [coatsStep(l.key, g.id), coatsOfLayer(build, g, l)] as const))
  const gone = new Set(layers.flatMap(([id, coats]) => (id === step.id ? coats : [])))
  const lie = Object.entries(build.finish.laid ?? {})
  if (!lie.some(([id]) => gone.has(id))) return change
  const left = Object.fromEntries(lie.filter(([id]) => !gone.has(id)))
  return { ...change, edits: [...change.edits, ...setFinish(build, 'laid', left, change.label).edits] }
}
