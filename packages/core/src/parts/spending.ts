import type { Part } from './part'
import { SLOT_NAMES, type Slot } from './slots'

export interface SellerSum {
  seller: string
  planned: number
  paid: number
  /** Postage of the parcel, once however much is in it. */
  shipping: number
  parts: number
}

export interface Spending {
  planned: number
  paid: number
  shipping: number
  consumables: number
  /** Work given to shops. */
  shop: number
  /** What the originals of parts that stand in for one would have cost more than those do; absent where no part does. */
  saved?: number
  /** Left of what it is to be sold for after everything planned. */
  profit?: number
  unpriced: number
  /** Left of the budget after everything planned; absent without a budget. */
  left?: number
  sellers: SellerSum[]
  fromStash: number
}

/** Something a build uses up a little of: filler, paper, solder. */
export interface Consumable {
  name: string
  /** Price of the whole tub, sheet pack or reel. */
  price: number
  /** How much of it this build uses, 0 to 1. */
  share: number
}

/** A job done by a shop: what it asks, and the day it is promised back. */
export interface ShopJob {
  what: string
  price: number
  /** ISO date. */
  back?: string
  /** The part that is away meanwhile. */
  slot?: Slot
}

/** Who is put down for what nobody sent, and no postage is paid to. */
export const NO_PARCEL = { stash: 'from the stash', instrument: 'with the instrument' } as const

/** Everything a build costs: parts by seller with one postage a parcel, and the share of what it uses up. */
export function spending(build: {
  parts: Partial<Record<Slot, Part>>
  parcels?: Record<string, number>
  consumables?: Record<string, Consumable>
  shop?: Record<string, ShopJob>
  sale?: number
  budget?: number
}): Spending {
  const by = new Map<string, SellerSum>()
  let unpriced = 0
  let fromStash = 0
  let saved: number | undefined
  for (const slot of SLOT_NAMES) {
    const part = build.parts[slot]
    // What came on the instrument was not bought by itself.
    if (!part || (part.state === 'in place' && part.price === undefined)) continue
    if (part.price === undefined) unpriced++
    else if (part.original !== undefined) saved = (saved ?? 0) + part.original - part.price
    const seller = part.seller ?? NO_PARCEL[part.state === 'in place' ? 'instrument' : 'stash']
    if (seller === NO_PARCEL.stash) fromStash++
    const sum = by.get(seller) ?? { seller, planned: 0, paid: 0, shipping: build.parcels?.[seller] ?? 0, parts: 0 }
    sum.planned += part.price ?? 0
    if (part.state !== 'planned') sum.paid += part.price ?? 0
    sum.parts++
    by.set(seller, sum)
  }
  const sellers = [...by.values()].toSorted((a, b) => b.planned + b.shipping - a.planned - a.shipping)
  const consumables = Object.values(build.consumables ?? {}).reduce((s, c) => s + c.price * c.share, 0)
  const shipping = sellers.reduce((s, x) => s + x.shipping, 0)
  const shop = Object.values(build.shop ?? {}).reduce((s, job) => s + job.price, 0)
  const planned = sellers.reduce((s, x) => s + x.planned, 0) + shipping + consumables + shop
  // A parcel is paid for when anything in it is.
  const paid = sellers.reduce((s, x) => s + x.paid + (x.paid > 0 ? x.shipping : 0), 0) + consumables
  return {
    planned,
    paid,
    shipping,
    consumables,
    shop,
    ...(saved === undefined ? {} : { saved }),
    ...(build.sale === undefined ? {} : { profit: build.sale - planned }),
    unpriced,
    fromStash,
    sellers,
    ...(build.budget === undefined ? {} : { left: build.budget - planned }),
  }
}
