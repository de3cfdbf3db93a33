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

/** How many of it nobody has put by; `forBuild` counts its own share as free. */
export function freeOf(item: StockItem, forBuild?: string): number {
  const taken = Object.entries(item.reserved).reduce((sum, [build, n]) => sum + (build === forBuild ? 0 : n), 0)
  return Math.max(0, item.quantity - taken)
}

/** Days to reckon with: what was seen counts before what was promised. */
export const leadDays = (item: StockItem): number => (item.holding === 'stash' ? 0 : (item.lead?.seen ?? item.lead?.promised ?? 0))

/** How far a seller's promises slip, as a factor: seen over promised, over all of theirs that have both. 1 when nothing is known. */
export function slipOf(items: readonly StockItem[], seller: string): number {
  const known = items.filter((i) => i.part.seller === seller && i.lead?.seen !== undefined && i.lead.promised > 0)
  if (!known.length) return 1
  return known.reduce((s, i) => s + i.lead!.seen! / i.lead!.promised, 0) / known.length
}
