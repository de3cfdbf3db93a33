import { freeOf, type StockItem } from '../../parts/stock'

/** How many of an item a set may have: of an offer as many as it likes. */
export const leftOf = (item: StockItem, buildId: string | undefined): number =>
  item.holding === 'stash' ? freeOf(item, buildId) : Infinity

/** Open slots that could want more of one thing from the stash than there is of it. */
export function scarceIn(open: readonly { items: readonly StockItem[] }[], buildId: string | undefined) {
  const slotsOf = new Map<string, number[]>()
  for (const [s, o] of open.entries()) for (const i of o.items) slotsOf.set(i.id, [...(slotsOf.get(i.id) ?? []), s])
  const short = open.flatMap((o) => o.items.filter((i) => (slotsOf.get(i.id)?.length ?? 0) > leftOf(i, buildId)))
  // The slots of a kind hold the same items: once for each such row of slots.
  return [...new Map(short.map((i) => [slotsOf.get(i.id)!.join(), slotsOf.get(i.id)!])).values()].map((slots) => ({
    slots,
    cost: (chosen: readonly number[]) => {
      const used = new Map<StockItem['id'], number>()
      for (const [k, c] of chosen.entries()) {
        const { id } = open[slots[k]!]!.items[c]!
        used.set(id, (used.get(id) ?? 0) + 1)
      }
      return chosen.some((c, k) => used.get(open[slots[k]!]!.items[c]!.id)! > leftOf(open[slots[k]!]!.items[c]!, buildId)) ? Infinity : 0
    },
  }))
}
