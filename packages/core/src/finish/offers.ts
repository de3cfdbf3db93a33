import { CLOSINGS, type Closing } from './closing'
import { FINISH_SYSTEMS, type Build, type FinishSystem } from '../document/build'
import { daysBetween } from '../quantity/days'
import { areaToCoat, shoppingFor, type Shopping } from './cover'
import { coatPlan } from './schedule'
import { stackProblems } from './stack'
import { isChosen, SYSTEMS, topOf, type System } from './systems'
import { zoneGroups } from './zones'

/** A finish that could be chosen: what it asks for, worked out for this body, these evenings and this air. */
export interface FinishOffer {
  id: Exclude<FinishSystem, 'none'>
  system: System
  /** Last coat and first day of rubbing out; nothing where no calendar can be made. */
  lastCoat?: string
  rubOut?: string
  closing?: Closing
  why?: string
  /** Everything to buy for it. */
  shopping: Shopping[]
  /** Days it is late for the due date, where there is one. */
  late?: number
  problems: string[]
}

/** The build with another finish as it comes, nothing laid of it yet. */
export function withSystem(build: Build, id: FinishOffer['id']): Build {
  const { laid: _, under: __, layers: ___, zones: ____, passes: _____, ...finish } = build.finish
  const system = SYSTEMS[id]
  const coats = system.stack.at(-1)!.coats ?? topOf(system).coats
  return { ...build, finish: { ...finish, system: id, coats, solids: topOf(system).solids.usual } }
}

/** All systems side by side. @param ready day the wood is ready, ISO */
export function finishOffers(build: Build, ready: string): FinishOffer[] {
  const area = areaToCoat(build)
  return FINISH_SYSTEMS.filter(isChosen).map((id): FinishOffer => {
    const other = withSystem(build, id)
    const system = SYSTEMS[id]
    const calendar = coatPlan({ ...other, steps: {} }, ready)
    const base = { id, system, shopping: shoppingFor(area, zoneGroups(other)), problems: stackProblems(other) }
    if (!calendar.ok) return { ...base, why: calendar.why }
    const { lastCoat, rubOut, closing } = calendar.plan
    const late = build.due ? daysBetween(build.due, rubOut) : 0
    return { ...base, lastCoat, rubOut, closing, ...(late > 0 ? { late } : {}) }
  })
}

/** What is said of a finish that does not make the due date, and which ones do. */
export function lateSays(build: Build, offers: readonly FinishOffer[]): string | undefined {
  const mine = offers.find((o) => o.id === build.finish.system)
  if (!mine?.late) return undefined
  const early = offers.filter((o) => o.rubOut && !o.late).map((o) => o.system.label.toLowerCase())
  const days = `${mine.late} ${mine.late === 1 ? 'day' : 'days'}`
  return `By its waits this finish is ${CLOSINGS[mine.closing ?? 'rub'].ready} ${days} after the due date; soft film takes every print. ${early.length ? `In time would be: ${early.join('; ')}.` : 'None of them is in time: move the date, or leave the body bare until after.'}`
}
