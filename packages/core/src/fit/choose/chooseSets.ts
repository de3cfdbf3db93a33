import type { Build } from '../../document/build'
import type { JudgedJoint } from '../../judge/joint'
import type { Verdict } from '../../judge/verdict'
import type { Slot } from '../../parts/slots'
import { daysToCome, slipsOf, type StockItem } from '../../parts/stock'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn, type JointKind } from '../kind'
import { bestSets, type SearchResult, type SetProblem } from './bestSets'
import { minutesFor } from './minutes'
import { costOf, marketOf, type ChooseLimits, type ChooseRequest } from './request'
import { ruledOut } from './ruledOut'
import { leftOf, scarceIn } from './scarce'

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

export interface Choice {
  sets: ChosenSet[]
  /** False when it was stopped early. */
  complete: boolean
  /** Slots nothing fits, with what is in the way. */
  empty: Slot[]
  /** When there is no set: the joint of many that ruled choices out most often, and how often. */
  inTheWay?: { title: string; slots: Slot[]; times: number }
}

/** A preferred part is let go only when another set saves at least this, in money. [ours] */
const PREFERENCE = 15
/** So many times as many sets are looked at where a limit of money may rule the first ones out. [ours] */
const AHEAD = 4
/** Keeps sets of equal cost in the order of their bench time and price. */
const TIE = 1e-4

/** What nobody knows is never the reason for a choice: it is taken to be as much as the most there is of it. */
const reckoned = (known: number | undefined, all: readonly (number | undefined)[]): number =>
  known ?? Math.max(0, ...all.map((x) => x ?? 0))
/** A time to come that nobody has said is later than every one that is known, in days. */
const SOMETIME = 10_000

/** A kind of joint with the open slots it depends on. */
interface Bound {
  kind: JointKind
  vars: number[]
}

/** Best complete sets for the open slots of a build, proved best unless stopped. */
export function chooseSets(request: ChooseRequest, stop?: () => boolean, slips = slipsOf(marketOf(request))): Choice {
  const { limits, rank, keep = 3 } = request
  const open = request.open.map((o) => ({ ...o, items: o.items.filter((i) => !ruledOut(request, o.slot, i, slips)) }))
  const empty = open.filter((o) => !o.items.length).map((o) => o.slot)
  if (empty.length || !open.length) return { sets: [], complete: true, empty }
  const base: Build = { ...request.build, parts: { ...request.build.parts } }
  // A set fills every open slot: joints that only count what is there (wires, what weighs) meet them filled from the start.
  for (const o of open) base.parts[o.slot] = o.items[0]!.part
  const withParts = (chosen: readonly (readonly [slot: number, candidate: number])[]): Build => {
    const parts: Build['parts'] = { ...base.parts }
    for (const [s, c] of chosen) parts[open[s]!.slot] = open[s]!.items[c]!.part
    return { ...base, parts }
  }
  const bound: Bound[] = JOINT_KINDS.map((kind) => ({
    kind,
    vars: [...kind.needs, ...(kind.also ?? [])].flatMap((slot) => {
      const i = open.findIndex((o) => o.slot === slot)
      return i < 0 ? [] : [i]
    }),
  })).filter((b) => b.vars.length > 0)
  const judged = new Map<string, number>()
  const minutes = (b: Bound, index: number, chosen: readonly (readonly [number, number])[]): number => {
    const key = `${index}:${chosen.map(([s, c]) => `${s}.${c}`).join(',')}`
    const known = judged.get(key)
    if (known !== undefined) return known
    const build = withParts(chosen)
    const cost = existsIn(b.kind, build) ? minutesFor(b.kind.find(build), build, limits) : 0
    judged.set(key, cost)
    return cost
  }
  const weigh = (m: number) => (m === Infinity ? Infinity : rank === 'bench' ? m : rank === 'date' ? 0 : m * TIE)
  const indexed = bound.map((b, index) => ({ ...b, index }))
  const singles = indexed.filter((b) => b.vars.length === 1)
  const pairs = indexed.filter((b) => b.vars.length === 2)
  const many = indexed.filter((b) => b.vars.length > 2)
  const pairKey = (a: number, b: number) => a * open.length + b
  const byPair = new Map<number, typeof pairs>()
  for (const p of pairs) {
    const [a, b] = p.vars.toSorted((x, y) => x - y) as [number, number]
    byPair.set(pairKey(a, b), [...(byPair.get(pairKey(a, b)) ?? []), p])
  }
  const sellers = [...new Set(open.flatMap((o) => o.items.flatMap((i) => (i.holding === 'offer' && i.part.seller ? [i.part.seller] : []))))]
  const shipping = sellers.map((s) => {
    const named = open.flatMap((o) => o.items.flatMap((i) => (i.part.seller === s && i.shipping !== undefined ? [i.shipping] : [])))
    return named.length ? Math.max(...named) : undefined
  })
  const postage = shipping.map((x) => x ?? 0)
  const scarce = scarceIn(open, request.buildId)

  const problem: SetProblem = {
    sizes: open.map((o) => o.items.length),
    own: (s, c) => {
      const item = open[s]!.items[c]!
      const alone = singles.filter((b) => b.vars[0] === s).reduce((sum, b) => sum + minutes(b, b.index, [[s, c]]), 0)
      if (alone === Infinity) return Infinity
      const liked = open[s]!.preferred !== undefined && open[s]!.preferred !== item.id ? PREFERENCE : 0
      const cost = reckoned(costOf(item), open[s]!.items.map(costOf))
      if (rank === 'money') return cost + liked + alone * TIE
      return rank === 'bench' ? alone + liked + cost * TIE : (daysToCome(item, slips) ?? SOMETIME)
    },
    meets: (a, b) => byPair.has(a < b ? pairKey(a, b) : pairKey(b, a)) || scarce.some((s) => s.slots.includes(a) && s.slots.includes(b)),
    pair: (a, i, b, j) => {
      const twice = open[a]!.items[i]!
      if (twice.id === open[b]!.items[j]!.id && leftOf(twice, request.buildId) < 2) return Infinity
      return (byPair.get(pairKey(a, b)) ?? []).reduce((sum, p) => {
        if (sum === Infinity) return sum
        const chosen =
          p.vars[0] === a
            ? ([
                [a, i],
                [b, j],
              ] as const)
            : ([
                [b, j],
                [a, i],
              ] as const)
        return sum + weigh(minutes(p, p.index, chosen))
      }, 0)
    },
    groups: [
      ...many.map((b) => ({
        slots: b.vars,
        cost: (chosen: readonly number[]) =>
          weigh(
            minutes(
              b,
              b.index,
              b.vars.map((s, k) => [s, chosen[k]!] as const),
            ),
          ),
      })),
      ...scarce,
    ],
    parcel: (s, c) => {
      const item = open[s]!.items[c]!
      return item.holding === 'offer' && item.part.seller ? sellers.indexOf(item.part.seller) : undefined
    },
    parcelCost: rank === 'money' ? postage : rank === 'bench' ? postage.map((x) => x * TIE) : postage.map(() => 0),
    ...(rank === 'money' && limits.money !== undefined ? { atMost: limits.money + PREFERENCE * open.length } : {}),
    ...(rank === 'date' ? { slowest: true } : {}),
  }
  // Sets are much alike: a joint between the same parts is judged once for all of them.
  const seen = new Map<string, JudgedJoint>()
  const whole = (found: SearchResult) =>
    found.sets
      .map(({ chosen }) =>
        describe(
          withParts(chosen.map((c, s) => [s, c] as const)),
          bound.map((b) => ({ ...b, key: `${b.kind.id}:${b.vars.map((s) => chosen[s]).join(',')}` })),
          seen,
          chosen.map((c, s) => ({ slot: open[s]!.slot, item: open[s]!.items[c]! })),
          { sellers, shipping, slips },
          limits,
        ),
      )
      .filter((s) => limits.money === undefined || s.money <= limits.money + 1e-9)
      .slice(0, keep)
  let asked = limits.money === undefined ? keep : keep * AHEAD
  let found = bestSets(problem, asked, stop)
  let sets = whole(found)
  // Ranked by something else than money the best may all be too dear: further ones are looked at until enough are not, or none is left.
  while (sets.length < keep && found.complete && found.sets.length === asked) {
    asked *= AHEAD
    found = bestSets(problem, asked, stop)
    sets = whole(found)
  }
  const most = found.inTheWay.reduce((a, times, k) => (times > (found.inTheWay[a] ?? 0) ? k : a), -1)
  if (sets.length || most < 0) return { sets, complete: found.complete, empty: [] }
  const joint = many[most]
  const vars = joint?.vars ?? scarce[most - many.length]!.slots
  const title = joint ? joint.kind.find(withParts(vars.map((s) => [s, 0] as const))).title : 'Too few of one part in the stash'
  return {
    sets,
    complete: found.complete,
    empty: [],
    inTheWay: { title, slots: vars.map((s) => open[s]!.slot), times: found.inTheWay[most]! },
  }
}

function describe(
  build: Build,
  bound: readonly (Bound & { key: string })[],
  seen: Map<string, JudgedJoint>,
  items: ChosenSet['items'],
  {
    sellers,
    shipping,
    slips,
  }: { sellers: readonly string[]; shipping: readonly (number | undefined)[]; slips: ReadonlyMap<string, number> },
  limits: ChooseLimits,
): ChosenSet {
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
      return joint
    })
  return {
    items,
    parcels,
    money: prices.reduce((s: number, p) => s + (p ?? 0), 0) + parcels.reduce((s, p) => s + (p.cost ?? 0), 0),
    unpriced: prices.filter((p) => p === undefined).length,
    undated: days.filter((d) => d === undefined).length,
    days: Math.max(0, ...days.map((d) => d ?? 0)),
    minutes: judged.reduce((s, j) => s + minutesFor(j, build, limits), 0),
    joints: judged.map((j) => ({
      id: j.id,
      title: j.title,
      verdict: j.verdict,
      ...(j.condition ? { condition: j.condition } : {}),
      says: j.says,
      ...(j.cures[0] && j.verdict !== 'snug' ? { job: j.cures[0].job } : {}),
    })),
  }
}
