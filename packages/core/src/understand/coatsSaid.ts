import type { Build } from '../document/build'
import type { Change } from '../document/change'
import { coatName, layCoats } from '../finish/laying'
import type { Coat } from '../finish/schedule'
import { counted, listed } from '../quantity/words'
import { amountsOf, meant, saysOnly, wordSet, words, wordsOf, type Said } from './said'

const LAYERS = wordSet('sealer primer colour toner clear oil wax dye stain metallic filler shellac lacquer')
const PLACES = 'body neck headstock head whole instrument'.split(' ')
const DONE = wordSet('coat coats sprayed brushed wiped laid put done light wet thin more another both sides front')
/** The most that is laid in one entry; more was something else. [ours] */
const MOST = 20

/** "two coats of clear", "third coat of clear on the neck": the next that are planned of it; where none is, it is only written down. */
export function coatsSaid(
  said: Said,
  planned: readonly Coat[],
): { says: string; change?: (build: Build, at: string) => Change } | undefined {
  const spoken = wordsOf(said)
  if (!spoken.includes('coat') && !spoken.includes('coats')) return undefined
  const named = new Set(planned.flatMap((c) => words(`${c.product} ${c.label}`)))
  const places = new Set([...PLACES, ...planned.flatMap((c) => words(c.groupLabel))])
  const what = meant(spoken).filter((w) => !DONE.has(w))
  const layer = what.filter((w) => !places.has(w)).join(' ')
  const [amount, ...more] = amountsOf(said)
  if (!layer || more.length || (amount && (amount.unit || amount.signed)) || !saysOnly(said, LAYERS, places, DONE, named)) return undefined
  // "Coat 3 of clear" and "third coat" are one: the third.
  const nth = amount && (amount.ordinal || said[said.indexOf(amount) - 1] === 'coat') ? amount.value : undefined
  const count = nth === undefined ? (amount?.value ?? 1) : 1
  if (!Number.isInteger(count) || count < 1 || count > MOST) return undefined
  const called = (c: Coat, by: string, word: (w: string) => boolean) =>
    what.filter(word).every((w) => by.toLowerCase().includes(w)) && !c.laid
  const of = planned.filter((c) => called(c, `${c.layer} ${c.product} ${c.label}`, (w) => !places.has(w)))
  const there = of.filter((c) => called(c, c.groupLabel, (w) => places.has(w)))
  const next = there.slice(0, count)
  const text = nth === undefined ? `${counted(count, 'coat')} of ${layer}` : `Coat ${nth} of ${layer}`
  const groups = [...new Set((there.length ? there : of).map((c) => c.groupLabel.toLowerCase()))]
  if (of.length && !there.length)
    return {
      says: `${text}. Under Finish it is planned for the ${listed(groups)}, not for the ${what.filter((w) => places.has(w)).join(' ')}.`,
    }
  if (groups.length > 1) return { says: `${text}. It is planned for the ${listed(groups)}: say which, and it can be entered.` }
  if (next.length < count)
    return {
      says: `${text}. ${next.length ? `Only ${next.length} of it ${next.length === 1 ? 'is' : 'are'}` : 'None of it is'} still planned under Finish.`,
    }
  if (nth !== undefined && next[0]!.number !== nth) return { says: `${text}. Next of it under Finish is coat ${next[0]!.number}.` }
  return { says: `${text}, laid now: ${listed(next.map(coatName))}.`, change: (b, at) => layCoats(b, planned, next, at) }
}
