import { jobsWithout, type Build } from '../document/build'
import { wordOf, type Verdict } from '../judge/verdict'
import { daysToCome, freeOf, slipsOf, type StockItem } from '../parts/stock'
import { slotSpec, type Slot } from '../parts/slots'
import { addDays } from '../quantity/days'
import { tornApart } from './inOnePiece'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

/** Another part in this one's place: what the joint then says, what it costs with its postage, and the day it could be here. */
export interface Alternative {
  item: StockItem
  verdict: Verdict
  word: string
  says: string
  /** Absent where nobody has named a price; what lies in the stash costs nothing more. */
  cost?: number
  /** Absent where nobody has said how long it takes. */
  here?: string
}

/** After every day that is known. */
const LATER = '9999'

const BEST: readonly Verdict[] = ['snug', 'loose', 'cant-tell', 'tight', 'wont-go']

/**
 * Parts that could take a slot's place in one joint, the best first: by what the joint then is, by money, by day.
 * @param today ISO date from which lead times run
 */
export function alternatives(build: Build, joint: string, slot: Slot, items: readonly StockItem[], today: string): Alternative[] {
  const kind = JOINT_KINDS.find((k) => k.id === joint)
  if (!kind) return []
  const now = build.parts[slot]
  const slips = slipsOf(items)
  return items
    .filter((item) => item.part.kind === slotSpec(slot).kind && (item.holding === 'offer' || freeOf(item) > 0) && !sameThing(item, now))
    .flatMap((item): Alternative[] => {
      const then: Build = { ...build, jobs: jobsWithout(build, [slot]), parts: { ...build.parts, [slot]: item.part } }
      if (!existsIn(kind, then) || tornApart(build, slot, item.part)) return []
      const found = kind.find(then)
      const cost = item.holding === 'stash' ? 0 : item.part.price === undefined ? undefined : item.part.price + (item.shipping ?? 0)
      const days = daysToCome(item, slips)
      return [
        {
          item,
          verdict: found.verdict,
          word: wordOf(found.verdict, found.condition),
          says: found.says,
          ...(cost === undefined ? {} : { cost }),
          ...(days === undefined ? {} : { here: addDays(today, days) }),
        },
      ]
    })
    .toSorted(
      (a, b) =>
        BEST.indexOf(a.verdict) - BEST.indexOf(b.verdict) ||
        (a.cost ?? Infinity) - (b.cost ?? Infinity) ||
        (a.here ?? LATER).localeCompare(b.here ?? LATER),
    )
}

const sameThing = ({ part }: StockItem, now: Build['parts'][Slot]) =>
  now !== undefined && part.name === now.name && part.seller === now.seller
