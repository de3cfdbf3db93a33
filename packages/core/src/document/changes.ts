import { countedAnew } from './countedAnew'
import { printValue } from '../parts/check'
import { knownWord } from '../parts/doubt'
import { KINDS } from '../parts/kinds/index'
import { isPartHere, type OutlineRow, type Part } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { printMm } from '../quantity/length'
import { isMeasured, type Size } from '../quantity/size'
import {
  jobsWithout,
  type Build,
  type CircuitChoice,
  type FinishChoice,
  type JobEffect,
  type PlanChoice,
  type PlannedJob,
  type SetupChoice,
} from './build'
import { asJson, edit, editEntries, type Change, type Edit, type Json } from './change'
import { chosenParts, enteredAt, specAt, type SizeRef } from './read'

/**
 * The acts of a person on a build, each as a change with a label a person understands. A size that is measured anew
 * takes the planned cuts on it with it: the wood now is what it is.
 */
export function setSize(build: Build, ref: SizeRef, size: Size): Change {
  const spec = specAt(ref)
  const before = enteredAt(build, ref)
  const [was, now] = [before && plain(before.value, spec.unit), plain(size.value, spec.unit)]
  // Read to the same figure by something else: what changed is how it is known.
  const how =
    before?.known === size.known && before.film !== size.film
      ? `, read ${size.film ? 'over film' : 'bare'}`
      : `, ${knownWord(spec.unit, size.known)}${size.doubt > 0 ? ` ±${+size.doubt.toPrecision(2)}` : ''}`
  const is = (effect: JobEffect) => effect.slot === ref.slot && effect.size === ref.size
  const measured = before && before.value !== size.value ? Object.entries(build.jobs) : []
  // What the job moved beside what it was for counts until it is measured itself.
  const done = measured.flatMap(([id, job]) =>
    is(job)
      ? [edit(build, ['jobs', id], undefined)]
      : job.also?.some(is)
        ? [edit(build, ['jobs', id, 'also'], asJson(job.also.filter((effect) => !is(effect))))]
        : [],
  )
  // What the seller said is kept beside the first reading: the ground of a claim.
  const part = build.parts[ref.slot]
  const heard = before?.known === 'listed' && isMeasured(size.known) && part?.promised?.[ref.size] === undefined
  const promised = !heard
    ? []
    : part?.promised
      ? [edit(build, ['parts', ref.slot, 'promised', ref.size], asJson(before))]
      : [edit(build, ['parts', ref.slot, 'promised'], asJson({ [ref.size]: before }))]
  return {
    label: `${spec.label} ${was === now ? now + how : was ? `${was} → ${now}` : now}`,
    edits: [edit(build, ['parts', ref.slot, 'sizes', ref.size], asJson(size)), ...promised, ...done],
  }
}

const plain = (value: number, unit: Parameters<typeof printValue>[1]) => (unit === 'mm' ? printMm(value) : printValue(value, unit))

export function clearSize(build: Build, ref: SizeRef): Change {
  return { label: `${specAt(ref).label} cleared`, edits: [edit(build, ['parts', ref.slot, 'sizes', ref.size], undefined)] }
}

export function setTrait(build: Build, slot: Slot, trait: string, value: string | undefined): Change {
  const spec = KINDS[slotSpec(slot).kind].traits[trait]
  const said = spec?.options.find(([option]) => option === value)?.[1] ?? value
  return {
    label: `${slotSpec(slot).label}, ${(spec?.label ?? trait).replace(/^./, (c) => c.toLowerCase())}: ${said ?? 'cleared'}`,
    edits: [
      edit(build, ['parts', slot, 'traits', trait], value),
      ...(slot === 'body' && trait === 'neckIs' ? countedAnew(build, value) : []),
    ],
  }
}

/** The same said of several traits of parts, in one change. */
export function setTraits(build: Build, refs: readonly { slot: Slot; trait: string }[], value: string, label: string): Change {
  return { label, edits: refs.flatMap(({ slot, trait }) => setTrait(build, slot, trait, value).edits) }
}

export const choosePart = (build: Build, slot: Slot, part: Part): Change =>
  chooseParts(build, [{ slot, part }], `${slotSpec(slot).label}: ${part.name}`)

/** Several at once: a job planned on two of them leaves once. */
export const chooseParts = (build: Build, chosen: readonly { slot: Slot; part: Part }[], label: string): Change => ({
  label,
  edits: [
    ...chosen.map(({ slot, part }) => edit(build, ['parts', slot], asJson(part))),
    ...leavesWith(
      build,
      chosen.map(({ slot }) => slot),
    ),
  ],
})

export const removePart = (build: Build, slot: Slot): Change => removeParts(build, [slot], `${slotSpec(slot).label} taken out`)

export const removeParts = (build: Build, slots: readonly Slot[], label: string): Change => ({
  label,
  edits: [...slots.map((slot) => edit(build, ['parts', slot], undefined)), ...leavesWith(build, slots)],
})

/** What is planned on parts leaves with them, and how they were found to be when they were unpacked. */
function leavesWith(build: Build, slots: readonly Slot[]): Edit[] {
  const left = jobsWithout(build, slots)
  return [
    ...Object.keys(build.jobs)
      .filter((id) => !(id in left))
      .map((id) => edit(build, ['jobs', id], undefined)),
    ...slots.filter((slot) => build.unpacked?.[slot]).map((slot) => edit(build, ['unpacked', slot], undefined)),
  ]
}

export type PartField = 'name' | 'seller' | 'state' | 'price' | 'original' | 'arrives' | 'colour' | 'metal' | 'note'
export function setPartField(build: Build, slot: Slot, field: PartField, value: string | number | undefined): Change {
  return { label: `${slotSpec(slot).label}: ${field} ${value ?? 'cleared'}`, edits: [edit(build, ['parts', slot, field], value)] }
}

/** A part's edge as half-widths along its own centre line. */
export const setOutline = (build: Build, slot: Slot, rows: readonly OutlineRow[]): Change => ({
  label: `${slotSpec(slot).label}: outline of ${rows.length} rows`,
  edits: [edit(build, ['parts', slot, 'outline'], asJson([...rows]))],
})

export function planJob(build: Build, id: string, job: PlannedJob): Change {
  return { label: `Planned: ${job.text}`, edits: [edit(build, ['jobs', id], asJson(job))] }
}

export function dropJob(build: Build, id: string): Change {
  return { label: `No longer planned: ${build.jobs[id]?.text ?? id}`, edits: [edit(build, ['jobs', id], undefined)] }
}

/** Sets one entry of a record that may not be there yet. */
export function setIn(
  build: Build,
  field: 'slots' | 'pencil' | 'parcels' | 'consumables' | 'shop' | 'mockup' | 'unpacked' | 'orders',
  key: string,
  to: Json | undefined,
  label: string,
): Change {
  const record = build[field] as Record<string, Json> | undefined
  if (record) return { label, edits: [edit(build, [field, key], to)] }
  return { label, edits: to === undefined ? [] : [edit(build, [field], { [key]: to })] }
}

/** Slots whose part is not in hand and was never said to stay: what choosing may look for. */
export const notHere = (build: Build): Slot[] =>
  chosenParts(build).flatMap(([slot, part]) => (!isPartHere(part) && build.slots?.[slot] === undefined ? [slot] : []))

/** Opens all of those at once. */
export function openNotHere(build: Build): Change {
  const slots = notHere(build)
  const to = { ...build.slots, ...Object.fromEntries(slots.map((slot) => [slot, 'open'])) }
  return {
    label: `Open to choose: ${slots.map((s) => slotSpec(s).label.toLowerCase()).join(', ')}`,
    edits: [edit(build, ['slots'], asJson(to))],
  }
}

/** Sets one field by its path; for settings that need no words of their own. */
export function setField(build: Build, path: string[], to: Json | undefined, label: string): Change {
  return { label, edits: [edit(build, path, to)] }
}

/** One field of the circuit, entry by entry where it is a record. */
export function setCircuit<K extends keyof CircuitChoice>(build: Build, field: K, to: CircuitChoice[K], label: string): Change {
  return { label, edits: editEntries(build, ['circuit', field], typeof to === 'object' ? asJson(to) : to) }
}

/** One field of the finish, entry by entry where it is a record. */
export function setFinish<K extends keyof FinishChoice>(build: Build, field: K, to: FinishChoice[K], label: string): Change {
  return { label, edits: editEntries(build, ['finish', field], typeof to === 'object' ? asJson(to) : to) }
}

/** One field of the setup, entry by entry where it is a record. */
export function setSetup<K extends keyof SetupChoice>(build: Build, field: K, to: SetupChoice[K], label: string): Change {
  return { label, edits: editEntries(build, ['setup', field], typeof to === 'object' ? asJson(to) : to) }
}

/** One field of the plan as a whole. */
export function setPlan<K extends keyof PlanChoice>(build: Build, field: K, to: PlanChoice[K], label: string): Change {
  const value: Json | undefined = to === undefined ? undefined : typeof to === 'object' ? asJson(to) : (to as Json)
  return build.plan
    ? { label, edits: [edit(build, ['plan', field], value)] }
    : { label, edits: value === undefined ? [] : [edit(build, ['plan'], { [field]: value })] }
}

/** @param took minutes it took of those that were planned, where somebody looked at the clock */
export function tickStep(
  build: Build,
  id: string,
  title: string,
  at: string | undefined,
  took?: { took: number; planned: number },
): Change {
  return {
    label: at ? `Done: ${title}` : `Not done after all: ${title}`,
    edits: [edit(build, ['steps', id], at ? { done: at, ...took } : undefined)],
  }
}
