import type { Build } from '../document/build'
import { slotSpec, type Slot } from '../parts/slots'
import { daysToCome, slipsOf, type StockItem } from '../parts/stock'
import { addDays, daysBetween } from '../quantity/days'
import type { PlanResult } from './planResult'
import { CHECKED, toOrder } from './wanted'

/** What is still to be ordered of one seller: all in one parcel, which comes when the slowest of it does, or each when it can. */
export interface ParcelChoice {
  seller: string
  /** Days until all of it is here in one parcel. */
  together: number
  /** Each by itself, the soonest first. */
  apart: { slot: Slot; label: string; days: number }[]
  /** Postage of the parcels more, where it is known what one costs. */
  postage?: number
  /** Parts that come too late in one parcel and in time by themselves: for the day it is promised for, or without one for the plan. */
  late: string[]
}

/** Sellers of whom several parts are still to be ordered that do not take the same time. @param today ISO date on which they are ordered */
export function parcelChoices(build: Build, plan: PlanResult, items: readonly StockItem[], today: string): ParcelChoice[] {
  const slips = slipsOf(items)
  const slack = build.due && plan.ends ? Math.max(0, daysBetween(plan.ends, build.due)) : 0
  const by = new Map<string, { slot: Slot; label: string; days: number; wanted?: string; shipping?: number }[]>()
  for (const { slot, label, by: wanted } of toOrder(build, plan, () => undefined)) {
    const { name, seller } = build.parts[slot]!
    const item = items.find((i) => i.holding === 'offer' && i.part.name === name && i.part.seller === seller)
    const days = item && daysToCome(item, slips)
    if (!seller || days === undefined) continue
    const shipping = build.parcels?.[seller] ?? item!.shipping
    by.set(seller, [
      ...(by.get(seller) ?? []),
      { slot, label, days, ...(wanted ? { wanted } : {}), ...(shipping === undefined ? {} : { shipping }) },
    ])
  }
  return [...by].flatMap(([seller, parts]): ParcelChoice[] => {
    const apart = parts.toSorted((a, b) => a.days - b.days)
    const together = apart.at(-1)!.days
    if (apart[0]!.days === together) return []
    // Parts that take the same time come in one parcel either way.
    const parcels = new Set(apart.map((p) => p.days)).size
    const postage = apart.map((p) => p.shipping).find((s) => s !== undefined)
    const late = (days: number, wanted: string | undefined) =>
      wanted !== undefined && addDays(today, days + CHECKED) > addDays(wanted, slack)
    return [
      {
        seller,
        together,
        apart: apart.map(({ slot, label, days }) => ({ slot, label, days })),
        ...(postage === undefined ? {} : { postage: postage * (parcels - 1) }),
        late: apart.filter((p) => late(together, p.wanted) && !late(p.days, p.wanted)).map((p) => slotSpec(p.slot).label),
      },
    ]
  })
}
