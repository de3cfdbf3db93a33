import type { Build } from '../document/build'
import type { Change } from '../document/change'
import { setPartField } from '../document/changes'
import { chosenParts } from '../document/read'
import { slotSpec, type Slot } from '../parts/slots'
import { isAmount, meant, words, wordSet, wordsOf, type Said } from './said'

export interface Bought {
  slot: Slot
  price: number
  says: string
  change: (build: Build) => Change
}

/** By these it is on its way; "the tuners cost 24" only says what they would be. */
const ORDERED = wordSet('bought paid ordered')
const PRICED = wordSet('bought paid ordered cost costs price')
/** What is wished, denied or asked is no price. */
const UNSURE = wordSet(
  'not no never if would could should will want wanted maybe perhaps more than least under over up to plus and or each ?',
)
/** Words between a price and what follows: any other word says what the number counts. */
const AFTER = wordSet('for on at from in today tonight with the of')

const COIN: Readonly<Record<string, string>> = {
  '€': 'EUR',
  eur: 'EUR',
  euro: 'EUR',
  euros: 'EUR',
  $: 'USD',
  usd: 'USD',
  dollar: 'USD',
  dollars: 'USD',
  '£': 'GBP',
  gbp: 'GBP',
  pound: 'GBP',
  pounds: 'GBP',
}

/** "bought tuners 24 euro", "paid 24 for the tuners": the price of a chosen part. */
export function bought(build: Build, said: Said): Bought | undefined {
  const spoken = wordsOf(said)
  if (!spoken.some((w) => PRICED.has(w)) || spoken.some((w) => UNSURE.has(w))) return undefined
  const scored = chosenParts(build)
    .map(([slot, part]) => {
      const names = new Set([...words(slotSpec(slot).label), ...words(part.name)])
      const called = (w: string) => names.has(w) || names.has(w.replace(/s$/, ''))
      return { slot, part, called, score: new Set(meant(spoken).filter(called)).size }
    })
    .filter((c) => c.score > 0)
    .toSorted((a, b) => b.score - a.score)
  const [best, second] = scored
  const price = best && second?.score !== best.score ? priceIn(build, said, best.called) : undefined
  if (!best || price === undefined) return undefined
  const label = slotSpec(best.slot).label
  const comes = best.part.state === 'planned' && spoken.some((w) => ORDERED.has(w))
  return {
    slot: best.slot,
    price,
    says: `${label}: price ${price.toFixed(2)} ${build.currency}${comes ? ', ordered' : ''}`,
    change: (b) => {
      const paid = setPartField(b, best.slot, 'price', price)
      if (!comes) return paid
      return {
        label: `${label} bought for ${price.toFixed(2)}`,
        edits: [...paid.edits, ...setPartField(b, best.slot, 'state', 'ordered').edits],
      }
    },
  }
}

/** The only amount that can be a price, in the build's own money: how many of the part there are is none. */
function priceIn(build: Build, said: Said, called: (word: string) => boolean): number | undefined {
  const counts = (i: number) => typeof said[i + 1] === 'string' && called(said[i + 1] as string)
  const at = said.flatMap((t, i) => (isAmount(t) && (t.unit || !Number.isInteger(t.value) || !counts(i)) ? [i] : []))
  const amount = at.length === 1 ? said[at[0]!] : undefined
  if (!amount || !isAmount(amount) || amount.ordinal || amount.signed || !(amount.value <= 100_000)) return undefined
  // "1,234" may be a thousand or one.
  if (/,\d{3}/.test(amount.written)) return undefined
  if (amount.unit) return COIN[amount.unit] === build.currency ? amount.value : undefined
  const next = said[at[0]! + 1]
  return next === undefined || (typeof next === 'string' && AFTER.has(next)) ? amount.value : undefined
}
