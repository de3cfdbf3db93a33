import { counted } from '../quantity/words'
import type { Part } from './part'

/** A part that is to hand, or could be bought. */
export interface StockItem {
  id: string
  part: Part
  /** In a drawer here, or on a seller's page. */
  holding: 'stash' | 'offer'
  quantity: number
  /** Drawer, box, shelf. */
  place?: string
  /** Fewer than this and it is time to order. */
  minimum?: number
  /** How many each build has put by, by build id. */
  reserved: Record<string, number>
  /** Postage of a parcel from this seller, shared by all that is in it. */
  shipping?: number
  /** Days from order to door: as promised, and as it has turned out so far. */
  lead?: { promised: number; seen?: number }
}

/** The part as it goes into a build: out of a drawer it is in hand, from a seller's page it is to be bought. */
export const asChosen = ({ part, holding }: Pick<StockItem, 'part' | 'holding'>): Part => ({
  ...part,
  state: holding === 'stash' ? 'in hand' : 'planned',
})

/** How many of it nobody has put by; `forBuild` counts its own share as free. */
export function freeOf(item: StockItem, forBuild?: string): number {
  const taken = Object.entries(item.reserved).reduce((sum, [build, n]) => sum + (build === forBuild ? 0 : n), 0)
  return Math.max(0, item.quantity - taken)
}

/** Not to hand yet: on offer, or ordered and on its way. */
const isAway = (item: StockItem): boolean => item.holding === 'offer' || item.part.state === 'ordered'

/** Days as they are said of it: what was seen counts before what was promised. Nothing where nobody has said. */
export const leadDays = (item: StockItem): number | undefined => (isAway(item) ? (item.lead?.seen ?? item.lead?.promised) : 0)

/** "14 days to come", or that nobody has said. */
export const leadWords = (item: StockItem): string => {
  const days = leadDays(item)
  return days === undefined ? 'no day said' : `${counted(days, 'day')} to come`
}

/** How far a seller's promises slip, as a factor, and of how many deliveries that is known. */
export interface Slip {
  factor: number
  of: number
}
export type Slips = ReadonlyMap<string, Slip>

/** What parcels take over what was promised where nobody knows the seller, and how many deliveries that is worth. [ours] */
export const USUAL_SLIP = 1.3
const PRETENDED = 2
/** Of fewer deliveries a seller is not known by. [ours] */
const KNOWN_BY = 3

/**
 * How far each seller's promises slip: days they took over days promised, all of theirs that have both, and two more of their usual length
 * that took 1.3 times as long. A single late parcel makes nobody three times as slow.
 */
export function slipsOf(items: readonly StockItem[]): Slips {
  const by = new Map<string, { promised: number; seen: number; of: number }>()
  for (const { part, lead } of items) {
    if (part.seller === undefined || lead?.seen === undefined || lead.promised <= 0) continue
    const so = by.get(part.seller) ?? { promised: 0, seen: 0, of: 0 }
    by.set(part.seller, { promised: so.promised + lead.promised, seen: so.seen + lead.seen, of: so.of + 1 })
  }
  return new Map(
    [...by].map(([seller, { promised, seen, of }]) => {
      const pretended = (PRETENDED * promised) / of
      return [seller, { factor: (seen + USUAL_SLIP * pretended) / (promised + pretended), of }]
    }),
  )
}

/**
 * Days to reckon with: what was seen, or what is promised stretched by what this seller's promises slip by, whole days.
 * Nothing where nobody has said: never that it is here today.
 */
export function daysToCome(item: StockItem, slips: Slips): number | undefined {
  const said = leadDays(item)
  const slip = isPromise(item) ? (slips.get(item.part.seller ?? '')?.factor ?? USUAL_SLIP) : 1
  // A hair under, so that 10 days at a slip of exactly 1.3 are 13.
  return said === undefined ? undefined : Math.max(0, Math.ceil(said * slip - 1e-9))
}

/** Days as promised, where too few deliveries of the seller are known to say better than from these to those to reckon with. */
export function daysAtBest(item: StockItem, slips: Slips): number | undefined {
  const known = (slips.get(item.part.seller ?? '')?.of ?? 0) >= KNOWN_BY
  return isPromise(item) && !known ? item.lead?.promised : undefined
}

const isPromise = (item: StockItem): boolean => item.holding === 'offer' && item.lead?.seen === undefined
