import type { Build } from '../document/build'
import type { Change } from '../document/change'
import { setPartField } from '../document/changes'
import { chosenParts } from '../document/read'
import { slotSpec, type Slot } from '../parts/slots'
import { meant, numberIn, words } from './said'

export interface Bought {
  slot: Slot
  price: number
  says: string
  change: (build: Build) => Change
}

/** "bought tuners 24 euro", "paid 24 for the tuners": the price of a chosen part. */
export function bought(build: Build, text: string): Bought | undefined {
  if (!/\b(bought|paid|cost|costs|price)\b/i.test(text)) return undefined
  const price = numberIn(text)
  if (price === undefined || price < 0 || price > 100_000) return undefined
  const said = new Set(meant(text))
  const scored = chosenParts(build)
    .map(([slot, part]) => {
      const names = new Set([...words(slotSpec(slot).label), ...words(part.name)])
      return { slot, part, score: [...said].filter((w) => names.has(w) || names.has(w.replace(/s$/, ''))).length }
    })
    .filter((c) => c.score > 0)
    .toSorted((a, b) => b.score - a.score)
  const [best, second] = scored
  if (!best || second?.score === best.score) return undefined
  const label = slotSpec(best.slot).label
  return {
    slot: best.slot,
    price,
    says: `${label}: price ${price.toFixed(2)} ${build.currency}${best.part.state === 'planned' ? ', ordered' : ''}`,
    change: (b) => {
      const paid = setPartField(b, best.slot, 'price', price)
      if (b.parts[best.slot]?.state !== 'planned') return paid
      return {
        label: `${label} bought for ${price.toFixed(2)}`,
        edits: [...paid.edits, ...setPartField(b, best.slot, 'state', 'ordered').edits],
      }
    },
  }
}
