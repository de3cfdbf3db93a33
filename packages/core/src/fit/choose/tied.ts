import { effectsOf, type Build } from '../../document/build'
import { slotSpec, type Slot } from '../../parts/slots'
import type { StockItem } from '../../parts/stock'
import { areOneOrNone, isOfOnePiece } from '../inOnePiece'

type Open = readonly { slot: Slot; items: readonly StockItem[] }[]

/** Slots that have a say in each other's parts beyond the joints between them: those one planned job is done on, and a body with a neck on it. */
export function tiedSlots(build: Build, open: Open): (readonly Slot[])[] {
  const jobs = Object.values(build.jobs).map((job) => [...new Set(effectsOf(job).map((effect) => effect.slot))])
  const bodies = open.find((o) => o.slot === 'body')?.items ?? []
  return [...jobs.filter((slots) => slots.length > 1), ...(bodies.some((b) => isOfOnePiece(b.part)) ? [['body', 'neck'] as const] : [])]
}

/** These slots with all that are tied to one of them. */
export const withTied = (slots: readonly Slot[], tied: readonly (readonly Slot[])[]): ReadonlySet<Slot> =>
  new Set([...slots, ...tied.filter((t) => t.some((slot) => slots.includes(slot))).flat()])

/** A body and a neck in one piece are in a set together or not at all. */
export function togetherIn(build: Build, open: Open) {
  const [body, neck] = (['body', 'neck'] as const).map((slot) => open.findIndex((o) => o.slot === slot)) as [number, number]
  if (body < 0 || neck < 0) return []
  const partOf = (s: number, c: number) => open[s]!.items[c]!.part
  const cost = ([b, n]: readonly number[]) => (areOneOrNone(build, partOf(body, b!), partOf(neck, n!)) ? 0 : Infinity)
  return [{ slots: [body, neck], cost, title: `${slotSpec('body').label} and ${slotSpec('neck').label.toLowerCase()} in one piece` }]
}
