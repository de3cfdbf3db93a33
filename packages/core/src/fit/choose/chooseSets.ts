import { jobsWithout, type Build } from '../../document/build'
import type { JudgedJoint } from '../../judge/joint'
import type { Slot } from '../../parts/slots'
import { daysToCome, slipsOf, type Slips } from '../../parts/stock'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn } from '../kind'
import { bestSets, type SearchResult, type SetProblem } from './bestSets'
import { tellSet, type Bound, type ChosenSet, type MinutesOf } from './chosenSet'
import { minutesFor, minutesReplanned } from './minutes'
import { costOf, marketOf, type ChooseRequest } from './request'
import { ruledOut, whyEmpty } from './ruledOut'
import { leftOf, scarceIn } from './scarce'
import { tiedSlots, togetherIn, withTied } from './tied'

export interface Choice {
  sets: ChosenSet[]
  /** False when it was stopped early. */
  complete: boolean
  /** Slots nothing can go into, whatever else is chosen. */
  empty: Slot[]
  /** Why not: what is said of most of their parts. */
  whyEmpty?: Partial<Record<Slot, string>>
  /** When there is no set: the joint that ruled choices out most often, and how often. */
  inTheWay?: { title: string; slots: Slot[]; times: number }
  /** When there is no set: those that go once what will not go as it is has been put right by jobs on what is here. */
  replanned?: ChosenSet[]
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

/** Best complete sets for the open slots of a build, proved best unless stopped. */
export function chooseSets(request: ChooseRequest, stop?: () => boolean, slips = slipsOf(marketOf(request))): Choice {
  const known: Known = new Map()
  const replan = new Set<string>()
  const { ruling, ...asTheyAre } = setsWith(replan, known, request, stop, slips)
  // Where nothing goes, what is most in the way may be planned anew; then what is in the way of that; until something goes.
  for (let next = ruling; next.length && asTheyAre.complete && !asTheyAre.sets.length; ) {
    const id = next.find((x) => x !== NO_JOINT && !replan.has(x))
    if (id === undefined) break
    replan.add(id)
    known.delete(id)
    const { sets, complete, ruling: now } = setsWith(replan, known, request, stop, slips)
    if (sets.length || !complete) return { ...asTheyAre, complete, ...(sets.length ? { replanned: sets } : {}) }
    next = now
  }
  return asTheyAre
}

/** Minutes of what was judged, by the kind of joint and what it was judged with. */
type Known = Map<string, Map<string, number>>
/** What is in the way is no joint: too few of one part, say. */
const NO_JOINT = ''

/** @param replan kinds of joints that may go after a larger job @returns also what ruled choices out, what did so most first */
function setsWith(
  replan: ReadonlySet<string>,
  known: Known,
  request: ChooseRequest,
  stop: (() => boolean) | undefined,
  slips: Slips,
): Choice & { ruling: string[] } {
  const { limits, rank, keep = 3 } = request
  const open = request.open.map((o) => ({ ...o, items: o.items.filter((i) => !ruledOut(request, o.slot, i, slips)) }))
  const empty = open.filter((o) => !o.items.length).map((o) => o.slot)
  if (empty.length || !open.length)
    return { sets: [], complete: true, empty, ruling: [], ...(empty.length ? { whyEmpty: whyEmpty(request, empty, slips) } : {}) }
  const base: Build = { ...request.build, parts: { ...request.build.parts } }
  // A set fills every open slot: joints that only count what is there (wires, what weighs) meet them filled from the start.
  for (const o of open) base.parts[o.slot] = o.items[0]!.part
  const withParts = (chosen: readonly (readonly [slot: number, candidate: number])[]): Build => {
    const parts: Build['parts'] = { ...base.parts }
    for (const [s, c] of chosen) parts[open[s]!.slot] = open[s]!.items[c]!.part
    // What is planned on a part that is here holds for it alone.
    const gone = open.map((o) => o.slot).filter((slot) => parts[slot] !== request.build.parts[slot])
    return { ...base, parts, jobs: jobsWithout(base, gone) }
  }
  const tied = tiedSlots(request.build, open)
  const bound: Bound[] = JOINT_KINDS.map((kind) => ({
    kind,
    vars: [...open.keys()].filter((i) => withTied([...kind.needs, ...(kind.also ?? [])], tied).has(open[i]!.slot)),
  })).filter((b) => b.vars.length > 0)
  const minutesOf: MinutesOf = (kind, joint, build) => (replan.has(kind.id) ? minutesReplanned : minutesFor)(joint, build, limits)
  for (const { kind } of bound) if (!known.has(kind.id)) known.set(kind.id, new Map())
  const minutes = ({ kind }: Bound, chosen: readonly (readonly [number, number])[]): number => {
    const of = known.get(kind.id)!
    const key = chosen.map(([s, c]) => `${s}.${c}`).join(',')
    const before = of.get(key)
    if (before !== undefined) return before
    const build = withParts(chosen)
    const cost = existsIn(kind, build) ? minutesOf(kind, kind.find(build), build) : 0
    of.set(key, cost)
    return cost
  }
  const weigh = (m: number) => (m === Infinity ? Infinity : rank === 'bench' ? m : rank === 'date' ? 0 : m * TIE)
  const singles = bound.filter((b) => b.vars.length === 1)
  const pairs = bound.filter((b) => b.vars.length === 2)
  const many = bound.filter((b) => b.vars.length > 2)
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
  const besides = [
    ...scarceIn(open, request.buildId).map((s) => ({ ...s, title: 'Too few of one part in the stash' })),
    ...togetherIn(request.build, open),
  ]

  const problem: SetProblem = {
    sizes: open.map((o) => o.items.length),
    own: (s, c) => {
      const item = open[s]!.items[c]!
      const alone = singles.filter((b) => b.vars[0] === s).reduce((sum, b) => sum + minutes(b, [[s, c]]), 0)
      if (alone === Infinity) return Infinity
      const liked = open[s]!.preferred !== undefined && open[s]!.preferred !== item.id ? PREFERENCE : 0
      const cost = reckoned(costOf(item), open[s]!.items.map(costOf))
      if (rank === 'money') return cost + liked + alone * TIE
      return rank === 'bench' ? alone + liked + cost * TIE : (daysToCome(item, slips) ?? SOMETIME)
    },
    meets: (a, b) => byPair.has(a < b ? pairKey(a, b) : pairKey(b, a)) || besides.some((s) => s.slots.includes(a) && s.slots.includes(b)),
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
        return sum + weigh(minutes(p, chosen))
      }, 0)
    },
    groups: [
      ...many.map((b) => ({
        slots: b.vars,
        cost: (chosen: readonly number[]) =>
          weigh(
            minutes(
              b,
              b.vars.map((s, k) => [s, chosen[k]!] as const),
            ),
          ),
      })),
      ...besides,
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
        tellSet(
          withParts(chosen.map((c, s) => [s, c] as const)),
          bound.map((b) => ({ ...b, key: `${b.kind.id}:${b.vars.map((s) => chosen[s]).join(',')}` })),
          seen,
          chosen.map((c, s) => ({ slot: open[s]!.slot, item: open[s]!.items[c]! })),
          { sellers, shipping, slips },
          limits,
          minutesOf,
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
  const { complete } = found
  if (sets.length) return { sets, complete, empty: [], ruling: [] }
  const times = (b: Bound) => [...known.get(b.kind.id)!.values()].filter((cost) => cost === Infinity).length
  const ruling = [
    ...bound.map((b) => {
      const ruled = times(b)
      // What leaves nothing of a slot settles it alone, however often another joint was in the way.
      const alone = b.vars.length === 1 && ruled === open[b.vars[0]!]!.items.length
      return {
        id: b.kind.id,
        slots: b.vars,
        times: ruled,
        first: alone ? 1 : 0,
        title: () => b.kind.find(withParts(b.vars.map((s) => [s, 0]))).title,
      }
    }),
    ...besides.map(({ slots, title }, k) => {
      return { id: NO_JOINT, slots, times: found.inTheWay[many.length + k]!, first: 0, title: () => title }
    }),
  ]
    .filter((r) => r.times > 0)
    .toSorted((a, b) => b.first - a.first || b.times - a.times)
  const [most] = ruling
  const hopeless = most?.first === 1 && replan.has(most.id)
  const inTheWay = most && { title: most.title(), slots: most.slots.map((s) => open[s]!.slot), times: most.times }
  return { sets, complete, empty: [], ruling: hopeless ? [] : ruling.map((r) => r.id), ...(inTheWay ? { inTheWay } : {}) }
}
