import { isPartHere, type Part } from '../parts/part'
import { isSlot } from '../parts/slots'
import { freeOf, type StockItem } from '../parts/stock'
import type { Build } from './build'
import type { Change } from './change'
import { chosenParts } from './read'

/** A part by what the stash knows it by. */
type Named = Pick<Part, 'kind' | 'name'>

/** Parts a change puts into slots or takes out of them, by kind and name, with how many more there are of each afterwards. */
function moved(change: Change): (Named & { more: number })[] {
  const net = new Map<string, Named & { more: number }>()
  const count = (part: Part | undefined, more: number) => {
    if (!part) return
    const key = `${part.kind}/${part.name}`
    net.set(key, { kind: part.kind, name: part.name, more: (net.get(key)?.more ?? 0) + more })
  }
  for (const { path, from, to } of change.edits) {
    if (path.length !== 2 || path[0] !== 'parts' || !isSlot(path[1]!)) continue
    count(from as unknown as Part | undefined, -1)
    const came = to as unknown as Part | undefined
    // What is still to be bought is in nobody's drawer.
    count(isPartHere(came) ? came : undefined, 1)
  }
  return [...net.values()].filter((m) => m.more !== 0)
}

/** Kind and name of the parts whose reservations a change may touch. */
export const partsMoved = (change: Change): Named[] => moved(change)

/**
 * Stash items whose reservations follow from a change of a build: what came into a slot is put by for it, what left is free again.
 * What a person put by beforehand is used up first; more than there is is never put by.
 * @param after the build with the change made
 * @returns the items that change, as they stand afterwards
 */
export function putBy(change: Change, after: Build, buildId: string, stash: readonly StockItem[]): StockItem[] {
  return moved(change).flatMap(({ kind, name, more }) => {
    const same = stash.filter((i) => i.holding === 'stash' && i.part.kind === kind && i.part.name === name)
    const mine = (i: StockItem) => i.reserved[buildId] ?? 0
    const inUse = chosenParts(after).filter(([, p]) => p.kind === kind && p.name === name && isPartHere(p)).length
    const item = more > 0 ? same.find((i) => freeOf(i, buildId) > 0) : same.find((i) => mine(i) > 0)
    if (!item) return []
    const wanted = more > 0 ? Math.max(mine(item), Math.min(inUse, freeOf(item, buildId))) : Math.max(inUse, mine(item) + more)
    const left = Math.min(wanted, mine(item) + Math.max(0, more))
    if (left === mine(item)) return []
    const { [buildId]: _, ...others } = item.reserved
    return [{ ...item, reserved: left > 0 ? { ...others, [buildId]: left } : others }]
  })
}
