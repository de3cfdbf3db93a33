import { chosenParts, isGlued } from '../document/read'
import type { Build } from '../document/build'
import { addDays, daysBetween, sayDay } from '../quantity/days'
import { slotSpec } from '../parts/slots'
import type { PlanResult } from './planResult'
import { CLOSING_PASS } from './reasons'
import type { PlannedStep } from './step'

/** After so many days without the bench a person has forgotten how it was left, days. [ours] */
const FORGOTTEN = 14
const MINUTES_A_DAY = 24 * 60

export interface Resume {
  /** The last day anything was done, and how long ago that is. */
  last: string
  days: number
  /** How it was left, a line each. */
  left: string[]
  /** What can safely be begun with. */
  next?: { id: string; title: string }
}

/** Times at which something was written down at the bench. */
function times(build: Build): string[] {
  const at = (list: readonly { at?: string }[]) => list.flatMap((x) => x.at ?? [])
  return [
    ...Object.values(build.steps).map((s) => s.done),
    ...at(Object.values(build.finish.laid ?? {})),
    ...at(Object.values(build.setup.readings)),
    ...at(Object.values(build.setup.turns ?? {})),
    ...at(Object.values(build.readings)),
  ].map((t) => t.slice(0, 10))
}

/** How the instrument was left when nobody has been at it for weeks; nothing while it is fresh. */
export function resume(build: Build, plan: PlanResult): Resume | undefined {
  const last = times(build).toSorted().at(-1)
  if (last === undefined) return undefined
  const days = daysBetween(last, plan.from)
  if (days < FORGOTTEN) return undefined
  const done = (id: string) => build.steps[id] !== undefined
  const steps = plan.steps
  const of = (test: (s: PlannedStep) => boolean) => steps.filter(test)
  const wires = Object.keys(build.circuit.soldered ?? {}).length
  const laid = Object.keys(build.finish.laid ?? {}).length
  const filmOpen = of((s) => s.stage === 'film').some((s) => s.state !== 'done')
  const screwed = of((s) => s.stage === 'hardware' && s.state === 'done' && s.station === 'plan' && s.id !== CLOSING_PASS)
  const late = chosenParts(build).filter(([, p]) => p.state === 'ordered' && p.arrives !== undefined && p.arrives <= plan.from)
  const left = [
    ...steps
      .filter((s) => s.state === 'done' && s.wait > 0)
      .map((s) => ({ s, over: addDays(s.done!.slice(0, 10), Math.ceil(s.wait / MINUTES_A_DAY)) }))
      .filter(({ over }) => over > plan.from)
      .map(({ s, over }) => `Still drying or settling until ${sayDay(over)}: ${s.title}.`),
    ...(laid && filmOpen
      ? [
          `${laid} ${laid === 1 ? 'coat lies' : 'coats lie'}, the film is not done: look at the label’s longest wait between coats; past it, scuff first.`,
        ]
      : []),
    ...(build.finish.maskPocket && !isGlued(build) && laid && filmOpen
      ? ['The pocket is still masked: tape left for weeks tears the film, score its edge before it comes off.']
      : []),
    ...(wires && !done('solder')
      ? [`Half wired: ${wires} ${wires === 1 ? 'wire is' : 'wires are'} soldered, the list under Wire says which.`]
      : []),
    ...(done('solder') && !done('meter-check') ? ['It is soldered and not yet checked at the jack: nothing is closed before.'] : []),
    ...(screwed.length && !done(CLOSING_PASS) && !done('string-up')
      ? [`On it only finger-tight: ${screwed.map((s) => s.title.toLowerCase()).join('; ')}. Line it up and tighten it in one pass.`]
      : []),
    ...(done('string-up') && of((s) => s.id.startsWith('set-')).some((s) => s.state !== 'done')
      ? ['It is strung and not set up: tune it and read relief and action again, the room has changed.']
      : []),
    ...late.map(([slot, p]) => `${slotSpec(slot).label}, promised for ${sayDay(p.arrives!)}: here by now?`),
  ]
  const next = steps.find((s) => s.state === 'ready' && !s.cautions.length) ?? steps.find((s) => s.state === 'ready')
  return { last, days, left, ...(next ? { next: { id: next.id, title: next.title } } : {}) }
}
