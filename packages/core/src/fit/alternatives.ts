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
  /** Titles of other joints that go now and would not go with it. */
  spoils: string[]
}

export interface Alternatives {
  best: Alternative[]
  /** So many more there are. */
  more: number
}

/** After every day that is known. */
const LATER = '9999'

const BEST: readonly Verdict[] = ['snug', 'loose', 'cant-tell', 'tight', 'wont-go']

/** So many are looked at for what else they would do, for each that is shown. [ours] */
const LOOKED = 4

/**
 * Parts that could take a slot's place in one joint, the best first: by what the joint then is, by whether another joint would no longer go,
 * by money, by day.
 * @param today ISO date from which lead times run
 * @param forBuild what is put by for this build is free to it
 */
export function alternatives(
  build: Build,
  joint: string,
  slot: Slot,
  items: readonly StockItem[],
  today: string,
  forBuild?: string,
  keep = 6,
): Alternatives {
  const kind = JOINT_KINDS.find((k) => k.id === joint)
  if (!kind) return { best: [], more: 0 }
  const now = build.parts[slot]
  const slips = slipsOf(items)
  const jobs = jobsWithout(build, [slot])
  const withIt = ({ part }: StockItem): Build => ({ ...build, jobs, parts: { ...build.parts, [slot]: part } })
  const found = items
    .filter((item) => item.part.kind === slotSpec(slot).kind && (item.holding === 'offer' || freeOf(item, forBuild) > 0))
    .filter((item) => !sameThing(item, now) && !tornApart(build, slot, item.part))
    .flatMap((item) => {
      const then = withIt(item)
      if (!existsIn(kind, then)) return []
      const { verdict, condition, says } = kind.find(then)
      const cost = item.holding === 'stash' ? 0 : item.part.price === undefined ? undefined : item.part.price + (item.shipping ?? 0)
      const days = daysToCome(item, slips)
      return [
        {
          item,
          verdict,
          word: wordOf(verdict, condition),
          says,
          ...(cost === undefined ? {} : { cost }),
          ...(days === undefined ? {} : { here: addDays(today, days) }),
        },
      ]
    })
    .toSorted(better)
  const others = JOINT_KINDS.filter((k) => k !== kind && [...k.needs, ...(k.also ?? [])].includes(slot))
  const badIn = (b: Build) => others.flatMap((k) => (existsIn(k, b) ? [k.find(b)] : [])).filter((j) => j.verdict === 'wont-go')
  const bad = new Set(badIn(build).map((j) => j.id))
  const best = found
    .slice(0, keep * LOOKED)
    .map(
      (a): Alternative => ({
        ...a,
        spoils: badIn(withIt(a.item))
          .filter((j) => !bad.has(j.id))
          .map((j) => j.title),
      }),
    )
    .toSorted((a, b) => rank(a) - rank(b) || Number(a.spoils.length > 0) - Number(b.spoils.length > 0) || better(a, b))
    .slice(0, keep)
  return { best, more: found.length - best.length }
}

type Found = Omit<Alternative, 'spoils'>
const rank = (a: Found): number => BEST.indexOf(a.verdict)
const better = (a: Found, b: Found): number =>
  rank(a) - rank(b) || (a.cost ?? Infinity) - (b.cost ?? Infinity) || (a.here ?? LATER).localeCompare(b.here ?? LATER)

const sameThing = ({ part }: StockItem, now: Build['parts'][Slot]) =>
  now !== undefined && part.name === now.name && part.seller === now.seller
