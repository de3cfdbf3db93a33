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

/** How far each seller's promises slip, as a factor: seen over promised, over all of theirs that have both. */
export function slipsOf(items: readonly StockItem[]): ReadonlyMap<string, number> {
  const seen = new Map<string, number[]>()
  for (const { part, lead } of items)
    if (part.seller !== undefined && lead?.seen !== undefined && lead.promised > 0)
      seen.set(part.seller, [...(seen.get(part.seller) ?? []), lead.seen / lead.promised])
  return new Map([...seen].map(([seller, slips]) => [seller, slips.reduce((s, x) => s + x, 0) / slips.length]))
}

/**
 * Days to reckon with: what was seen, or what is promised stretched by what this seller's promises have slipped by so far, whole days.
 * Nothing where nobody has said: never that it is here today.
 */
export function daysToCome(item: StockItem, slips: ReadonlyMap<string, number>): number | undefined {
  const said = leadDays(item)
  const slip = item.holding === 'offer' && item.lead?.seen === undefined ? (slips.get(item.part.seller ?? '') ?? 1) : 1
  // A hair under, so that 7 days at a slip of exactly 2 are 14.
  return said === undefined ? undefined : Math.max(0, Math.ceil(said * slip - 1e-9))
}
