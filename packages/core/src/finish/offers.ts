import { FINISH_SYSTEMS, type Build, type FinishSystem } from '../document/build'
import { daysBetween, sayDay } from '../quantity/days'
import { counted } from '../quantity/words'
import { CLOSINGS, type Closing } from './closing'
import type { Shopping } from './cover'
import type { FinishResult } from './finishPlan'
import { isChosen, SYSTEMS, topOf, type System } from './systems'

export type SystemId = Exclude<FinishSystem, 'none'>
export const SYSTEM_IDS: readonly SystemId[] = FINISH_SYSTEMS.filter(isChosen)

/** The day all is done, as the plan has it. */
export interface Ending {
  /** Nothing where no evening is free for it. */
  ends?: string
  /** That day is a bound: some parts have no day yet. */
  atEarliest: boolean
}

/** A finish that could be chosen, or that is: what it asks for, worked out for this body, these evenings, this air and all other work. */
export interface FinishOffer extends Ending {
  id: SystemId
  system: System
  /** Last coat and first day of rubbing out; nothing where no calendar can be made. */
  lastCoat?: string
  rubOut?: string
  closing?: Closing
  why?: string
  /** Everything to buy for it. */
  shopping: Shopping[]
  /** Days after the due date that all is done, where there is one and it is late. */
  late?: number
  /** By then its film is not ready to be rubbed out. */
  soft: boolean
  problems: string[]
}

/** Every finish that has been worked out so far, and the body left bare. */
export interface TriedFinishes {
  offers: FinishOffer[]
  /** With no finish at all; worked out only where every finish is late. */
  bare?: Ending
}

/** The build with another finish, as choosing it leaves it; nothing of it is laid yet. */
export function withSystem(build: Build, id: SystemId): Build {
  const { laid: _, under: __, layers: ___, passes: ____, ...finish } = build.finish
  const system = SYSTEMS[id]
  const coats = system.stack.at(-1)!.coats ?? topOf(system).coats
  return {
    ...build,
    steps: Object.fromEntries(Object.entries(build.steps).filter(([step]) => !step.startsWith('coats-'))),
    finish: { ...finish, system: id, coats, solids: topOf(system).solids.usual },
  }
}

/** One finish as its station and the plan of the whole have it. @param due ISO date */
export function offerOf(id: SystemId, finish: FinishResult, ending: Ending, due: string | undefined): FinishOffer {
  const base = { id, system: SYSTEMS[id], shopping: finish.shopping, problems: finish.problems, ...ending }
  const { plan, trouble } = finish
  // What comes after the film takes days too; where they cannot be told, it is late at least by its film.
  const last = ending.ends ?? plan?.rubOut
  const late = due && last ? daysBetween(due, last) : 0
  return {
    ...base,
    ...(plan ? { lastCoat: plan.lastCoat, rubOut: plan.rubOut, closing: plan.closing } : { why: trouble }),
    ...(late > 0 ? { late } : {}),
    soft: due !== undefined && plan !== undefined && plan.rubOut > due,
  }
}

const inTime = (ending: Ending | undefined, due: string): boolean => ending?.ends !== undefined && ending.ends <= due

/** Has any coat been laid, one by one or by a tick in the plan? */
export const isBegun = (build: Build): boolean =>
  Object.keys(build.finish.laid ?? {}).length > 0 ||
  Object.entries(build.steps).some(([id, s]) => id.startsWith('coats-') && s.done !== undefined)

/** What is said of a finish that does not make the due date, and which ones do. */
export function lateSays(build: Build, { offers, bare }: TriedFinishes): string | undefined {
  const mine = offers.find((o) => o.id === build.finish.system)
  const { due } = build
  if (!mine?.late || !due) return undefined
  const days = counted(mine.late, 'day')
  const soft = `${CLOSINGS[mine.closing ?? 'rub'].ready} by then; soft film takes every print`
  // Without a day for the end only the film's own can be held against the due date.
  if (!mine.ends)
    return `By its waits this finish is ${CLOSINGS[mine.closing ?? 'rub'].ready} ${days} after the due date; soft film takes every print.`
  const early = offers.filter((o) => inTime(o, due)).map((o) => o.system.label.toLowerCase())
  const bound = mine.atEarliest ? ' at the earliest, some parts having no day' : ''
  const others = isBegun(build)
    ? 'Coats of it are laid: move the date.'
    : early.length
      ? `In time would be${mine.atEarliest ? ', if those parts come in time' : ''}: ${early.join('; ')}.`
      : offers.length < SYSTEM_IDS.length
        ? ''
        : inTime(bare, due)
          ? 'No finish is in time: move the date, or leave it as it is until after.'
          : 'No finish is in time, nor is it without one: move the date.'
  return `With this finish and what comes after it all is done ${sayDay(mine.ends)}, ${days} after the due date${bound}.${mine.soft ? ` It is not even ${soft}.` : ''} ${others}`.trim()
}
