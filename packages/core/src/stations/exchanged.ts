import type { Build } from '../document/build'
import { harnessOf } from '../circuit/schemes/harnessOf'
import { applyChange, asJson, edit, type Change, type Edit } from '../document/change'
import type { FinishZone } from '../document/finishChoice'
import type { SetupWhat } from '../document/setupChoice'
import { SOLDERED } from '../instrument/harnessParts'
import { IN } from '../drill/inPlace'
import { isSlot, type Slot } from '../parts/slots'
import type { Results } from './list'
import { bringsOf } from './parts/arrivals'

/** Coats of the neck have steps of their own where it gets another stack than the body. */
const OF_NECK = /^coats-(neck-back|board|head-face)-/

/** Steps that are ticked off and were done to a part that is gone: of another one none of it is done. */
function undone(build: Build, { plan, drill }: Results, gone: ReadonlySet<Slot>): string[] {
  const steps = plan.steps.filter((s) =>
    s.station === 'finish'
      ? gone.has(OF_NECK.test(s.id) ? 'neck' : 'body')
      : s.station !== 'drill' &&
        s.stage !== 'parcel' &&
        [s.slot, ...(s.slots ?? []), ...(s.on ?? [])].some((slot) => slot && gone.has(slot)),
  )
  const holes = drill.filter((c) => gone.has(c.slot) || gone.has(IN[c.side]))
  // Another one has not come because the old one did.
  const came = Object.keys(build.steps).filter((id) => bringsOf(id).some((slot) => gone.has(slot)))
  return [...new Set([...steps.map((s) => s.id), ...holes.map((c) => `drill-${c.id}`), ...came])].filter((id) => build.steps[id])
}

/** What lies on the neck by itself goes with the neck, everything else with the body. */
const coated = (zone: FinishZone | undefined): Slot => (zone && ON_NECK.includes(zone) ? 'neck' : 'body')
const ON_NECK: readonly FinishZone[] = ['neck-back', 'board', 'head-face']

/** Is a lug one of this part's? Lugs are named by their component. */
const OF_PART: Partial<Record<Slot, RegExp>> = {
  'pickup-neck': /^neck-/,
  'pickup-middle': /^middle-/,
  'pickup-bridge': /^bridge-/,
  'pot-volume': /^volume(?!-2)/,
  'pot-volume-2': /^volume-2/,
  'pot-tone': /^tone(?!-2)/,
  'pot-tone-2': /^tone-2/,
  switch: /^switch(?!-2)/,
  'switch-2': /^switch-2/,
  capacitor: /^cap(?!-2)/,
  'capacitor-2': /^cap-2/,
  jack: /^jack/,
  battery: /^battery/,
}

/** A record without what belongs to parts that are gone; nothing to do where none of it does. */
const without = (path: string[], record: Record<string, string | number | object> | undefined, goes: (key: string) => boolean): Edit[] =>
  Object.entries(record ?? {})
    .filter(([key]) => goes(key))
    .map(([key, entry]) => ({ path: [...path, key], from: typeof entry === 'object' ? asJson(entry) : entry }))

/** What is done with another wiring once more. */
const SOLDERING = ['solder', 'meter-check']

/** Is it wired otherwise once another wiring is chosen, or what it leaves open? */
function isRewired(build: Build, change: Change): boolean {
  if (!change.edits.some(({ path: [what, which] }) => what === 'circuit' && (which === 'scheme' || which === 'options'))) return false
  const [before, after] = [build, applyChange(build, change)].map((b) => {
    const made = harnessOf(b)
    return made.ok ? JSON.stringify(made.harness) : ''
  })
  return before !== '' && before !== after
}

function offTheCircuit({ circuit, readings }: Build, gone: ReadonlySet<Slot>, rewired: boolean): Edit[] {
  // What was read and heard at the jack was the whole of it.
  const another = () => rewired || SOLDERED.some((slot) => gone.has(slot))
  const lugs = [...gone].flatMap((slot) => OF_PART[slot] ?? [])
  const isTheirs = (key: string) => key.split(' ').some((lug) => lugs.some((own) => own.test(lug)))
  return [
    ...(['soldered', 'leads', 'tables'] as const).flatMap((field) => without(['circuit', field], circuit[field], isTheirs)),
    ...(['found', 'heard'] as const).flatMap((field) => without(['circuit', field], circuit[field], another)),
    ...without(['readings'], readings, another),
  ]
}

function offTheFilm({ finish }: Build, gone: ReadonlySet<Slot>): Edit[] {
  if (!gone.has('body') && !gone.has('neck')) return []
  return [
    ...(['laid', 'passes'] as const).flatMap((field) =>
      without(['finish', field], finish[field], (id) => gone.has(coated(finish[field]![id]!.zone))),
    ),
    ...without(['finish', 'grits'], finish.grits, () => gone.has('body')),
    ...(gone.has('body') && finish.uncounted ? [{ path: ['finish', 'uncounted'], from: asJson(finish.uncounted), to: undefined }] : []),
  ]
}

/** Between which parts a number of the setup was read. */
const READ_AT: Record<SetupWhat, readonly Slot[]> = {
  relief: ['neck'],
  slack: ['neck'],
  action: ['body', 'neck', 'bridge'],
  gap: ['neck', 'nut'],
  sliver: ['neck', 'nut'],
  cents: ['neck', 'bridge', 'strings'],
  float: ['body', 'bridge', 'springs'],
  dive: ['nut', 'bridge', 'tuners', 'strings'],
  raise: ['nut', 'bridge', 'tuners', 'strings'],
  pickup: ['neck', 'bridge'],
  level: ['strings'],
}
function offTheSetup({ setup }: Build, gone: ReadonlySet<Slot>): Edit[] {
  const reading = (id: string) => setup.readings[id]!
  const isTheirs = (id: string) => [...READ_AT[reading(id).what], reading(id).slot].some((slot) => slot && gone.has(slot))
  return without(['setup', 'readings'], setup.readings, isTheirs)
}

/**
 * A change that puts another part in the place of one, or takes one out, with what was done to the old one: its steps are open again, its
 * wires are not soldered and its leads have no colours, its film and what was read of its setup are gone with it. Of another wiring nothing
 * was read or heard yet; what is soldered stays so, to be taken off.
 * @param results of the build before the change
 */
export function withUndone(build: Build, change: Change, results: Results): Change {
  const gone = new Set(
    change.edits.flatMap(({ path: [what, slot, more], from }) =>
      what === 'parts' && isSlot(slot ?? '') && !more && from ? [slot as Slot] : [],
    ),
  )
  const rewired = isRewired(build, change)
  if (!gone.size && !rewired) return change
  const open = [...new Set([...undone(build, results, gone), ...(rewired ? SOLDERING.filter((id) => build.steps[id]) : [])])]
  const titles = results.plan.steps.filter((s) => open.includes(s.id)).map((s) => s.title)
  const told = titles.length > 2 ? `${titles[0]} and ${titles.length - 1} more` : titles.join(' and ')
  const edits = [
    ...open.map((id) => edit(build, ['steps', id], undefined)),
    ...offTheCircuit(build, gone, rewired),
    ...offTheFilm(build, gone),
    ...offTheSetup(build, gone),
  ]
  return {
    label: titles.length ? `${change.label}. Open again: ${told}`.slice(0, 400) : change.label,
    edits: [...change.edits, ...edits.filter((e) => !change.edits.some((c) => c.path.join('/') === e.path.join('/')))],
  }
}
