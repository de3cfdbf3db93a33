import type { Build } from '../document/build'
import { chosenParts } from '../document/read'
import { slotSpec, type Slot } from '../parts/slots'
import { daysAtBest, daysToCome, slipsOf, type StockItem } from '../parts/stock'
import { addDays, daysBetween } from '../quantity/days'
import type { PlanResult } from './planResult'

/** A part nobody has ordered, with the first step that wants it. */
export interface WantedPart {
  slot: Slot
  label: string
  /** The step, and the day it falls on as if the part were here. */
  step?: string
  by?: string
  /** Latest day to order it with so many days on the way. */
  orderBy?: string
}

/** Days to look a parcel over before its part is wanted. [ours] */
export const CHECKED = 2

/** What is still to be ordered, the soonest wanted first. @param lead days on the way by slot, where somebody offers it */
export function toOrder(build: Build, plan: PlanResult, lead: (slot: Slot) => number | undefined): WantedPart[] {
  const open = plan.steps.filter((s) => s.state !== 'done' && s.stage !== 'parcel' && s.date)
  const slots = chosenParts(build).flatMap(([slot, p]) => (p.state === 'planned' ? [slot] : []))
  const found = slots.map((slot): WantedPart => {
    const first =
      open.find((s) => s.slot === slot || s.slots?.includes(slot)) ?? open.find((s) => s.stage === 'hardware' || s.stage === 'strings')
    const days = lead(slot)
    return {
      slot,
      label: slotSpec(slot).label,
      ...(first ? { step: first.title, by: first.date! } : {}),
      ...(first && days !== undefined ? { orderBy: addDays(first.date!, -Math.ceil(days) - CHECKED) } : {}),
    }
  })
  return found.toSorted((a, b) => (a.orderBy ?? a.by ?? '9').localeCompare(b.orderBy ?? b.by ?? '9'))
}

/** An offer of a part that is still to be ordered, with the latest day to order it there; none where nobody says how long it takes. */
export interface OfferBy {
  item: StockItem
  latest?: string
  /** Where the seller is hardly known: the day that would do if the promise is kept. */
  ifKept?: string
}
export interface OrderedBy extends WantedPart {
  /** The cheapest first. */
  offers: OfferBy[]
}

/**
 * By when to order what is still missing, so that the day the whole is promised for is kept: what the plan has in hand before that day may
 * go into waiting. Offers are those that could be the part. Lead times are stretched by what each seller's promises slip. Nothing without a promised day.
 */
export function ordersFor(
  build: Build,
  plan: PlanResult,
  items: readonly StockItem[],
  couldBe: (slot: Slot, item: StockItem) => boolean,
): OrderedBy[] {
  if (!build.due || !plan.ends) return []
  const slack = Math.max(0, daysBetween(plan.ends, build.due))
  const slips = slipsOf(items)
  return toOrder(build, plan, () => undefined).map((wanted) => {
    const offers = items
      .filter((item) => item.holding === 'offer' && couldBe(wanted.slot, item))
      .toSorted((a, b) => (a.part.price ?? Infinity) - (b.part.price ?? Infinity))
      .map((item): OfferBy => {
        const [days, best] = [daysToCome(item, slips), daysAtBest(item, slips)]
        const before = (n: number) => addDays(wanted.by!, slack - n - CHECKED)
        if (!wanted.by || days === undefined) return { item }
        return { item, latest: before(days), ...(best === undefined || best === days ? {} : { ifKept: before(best) }) }
      })
    return { ...wanted, offers }
  })
}
