import type { Build } from '../../document/build'
import type { JudgedJoint } from '../../judge/joint'
import type { Verdict } from '../../judge/verdict'
import type { Slot } from '../../parts/slots'
import { daysToCome, type Slips, type StockItem } from '../../parts/stock'
import { existsIn, type JointKind } from '../kind'
import { replanOf } from './minutes'
import { costOf, type ChooseLimits } from './request'

/** One joint of a set, short. */
export interface SetJoint {
  id: string
  title: string
  verdict: Verdict
  condition?: true
  says: string
  job?: string
}

export interface ChosenSet {
  items: { slot: Slot; item: StockItem }[]
  /** Money for the parts and their parcels, as far as it is known. */
  money: number
  /** Parts in it whose price, or whose time to come, nobody has said. */
  unpriced: number
  undated: number
  /** Without a cost where nobody has named the postage. */
  parcels: { seller: string; cost?: number }[]
  /** Minutes at the bench to make every joint go. */
  minutes: number
  /** Days until the last parcel is here, of those that are known. */
  days: number
  joints: SetJoint[]
}

/** A kind of joint with the open slots it depends on. */
export interface Bound {
  kind: JointKind
  vars: number[]
}

/** Minutes at the bench to make a joint of a kind go. */
export type MinutesOf = (kind: JointKind, joint: JudgedJoint, build: Build) => number

/** A set that was found, as it is told. */
export function tellSet(
  build: Build,
  bound: readonly (Bound & { key: string })[],
  seen: Map<string, JudgedJoint>,
  items: ChosenSet['items'],
  { sellers, shipping, slips }: { sellers: readonly string[]; shipping: readonly (number | undefined)[]; slips: Slips },
  limits: ChooseLimits,
  minutesOf: MinutesOf,
): ChosenSet {
  const jobOf = (j: JudgedJoint) => {
    const jobs = j.verdict === 'wont-go' ? replanOf(j, build, limits) : j.verdict === 'snug' ? [] : j.cures.slice(0, 1)
    return jobs?.length ? { job: jobs.map((c) => c.job).join(' ') } : {}
  }
  const used = [...new Set(items.flatMap(({ item }) => (item.holding === 'offer' && item.part.seller ? [item.part.seller] : [])))]
  const parcels = used.map((seller) => {
    const cost = shipping[sellers.indexOf(seller)]
    return { seller, ...(cost === undefined ? {} : { cost }) }
  })
  const prices = items.map(({ item }) => costOf(item))
  const days = items.map(({ item }) => daysToCome(item, slips))
  const judged = bound
    .filter(({ kind }) => existsIn(kind, build))
    .map(({ kind, key }) => {
      const joint = seen.get(key) ?? kind.find(build)
      seen.set(key, joint)
      return { kind, joint }
    })
  return {
    items,
    parcels,
    money: prices.reduce((s: number, p) => s + (p ?? 0), 0) + parcels.reduce((s, p) => s + (p.cost ?? 0), 0),
    unpriced: prices.filter((p) => p === undefined).length,
    undated: days.filter((d) => d === undefined).length,
    days: Math.max(0, ...days.map((d) => d ?? 0)),
    minutes: judged.reduce((sum, { kind, joint }) => sum + minutesOf(kind, joint, build), 0),
    joints: judged.map(({ joint: j }) => ({
      id: j.id,
      title: j.title,
      verdict: j.verdict,
      ...(j.condition ? { condition: j.condition } : {}),
      says: j.says,
      ...jobOf(j),
    })),
  }
}
