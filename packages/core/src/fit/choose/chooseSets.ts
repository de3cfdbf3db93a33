import type { Build } from '../../document/build'
import type { Check, Cure, JudgedJoint } from '../../judge/joint'
import { SURE, type Verdict } from '../../judge/verdict'
import { KINDS } from '../../parts/kinds/index'
import type { Part } from '../../parts/part'
import { slotSpec, type Slot } from '../../parts/slots'
import { leadDays, type StockItem } from '../../parts/stock'
import { JOINT_KINDS } from '../findJoints'
import { existsIn, type JointKind } from '../kind'
import { canDo } from './benchTools'
import { bestSets, type SearchResult, type SetProblem } from './bestSets'
import { counted } from '../../quantity/words'

export interface ChooseLimits {
  /** Money that may still be spent on this, the build's currency. */
  money?: number
  /** Days until everything must be here. */
  days?: number
  /** Joints whose every cure cuts a part that already carries a finish count as ruled out. */
  noCuttingFinished?: boolean
  /** Tools a person lacks, as named on the cures: joints only they would cure count as ruled out. */
  lacking?: readonly string[]
}
export type RankBy = 'money' | 'bench' | 'date'

export interface ChooseRequest {
  build: Build
  /** Slots to fill, with what could go in; every other slot keeps the part it has. */
  open: { slot: Slot; items: StockItem[]; preferred?: string }[]
  limits: ChooseLimits
  rank: RankBy
  keep?: number
}

/** One joint of a set, short. */
export interface SetJoint {
  id: string
  title: string
  verdict: Verdict
  says: string
  job?: string
}

export interface ChosenSet {
  items: { slot: Slot; item: StockItem }[]
  /** Money for the parts and their parcels. */
  money: number
  parcels: { seller: string; cost: number }[]
  /** Minutes at the bench to make every joint go. */
  minutes: number
  /** Days until the last parcel is here. */
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

/** Bench minutes a joint that must be worked on costs, by its verdict. [practice, from memory: half an hour a small job] */
const MINUTES: Record<Verdict, number> = { snug: 0, loose: 10, tight: 30, 'cant-tell': 20, 'wont-go': Infinity }
/** What cannot be told but is bad whichever it is costs more than a tight joint: it may not go at all. [ours] */
const BAD_EITHER_WAY = 40
const surelyBad = ({ raw }: Check): boolean => raw.verdict === 'cant-tell' && raw.chances.snug + raw.chances.loose <= 1 - SURE
/** A preferred part is let go only when another set saves at least this, in money. [ours] */
const PREFERENCE = 15
/** So many times as many sets are looked at where a limit of money may rule the first ones out. [ours] */
const AHEAD = 4
/** Keeps sets of equal cost in the order of their bench time and price. */
const TIE = 1e-4

/** Why an item cannot be in any set of this build, whatever else is chosen; nothing when it can. */
export function ruledOut(build: Build, slot: Slot, item: StockItem, limits: ChooseLimits): string | undefined {
  const { part } = item
  const label = KINDS[part.kind].label.toLowerCase()
  const hand = part.traits.hand
  if (hand && hand !== 'either' && hand !== build.handedness)
    return `This ${label} is ${hand}-handed and the build is ${build.handedness}-handed.`
  const scale = part.kind === 'neck' ? part.sizes.scale : undefined
  if (scale && Math.abs(scale.value - build.scale) > 2 + scale.doubt)
    return `Its scale is ${scale.value} mm and the build wants ${build.scale} mm.`
  const count = part.kind === 'tuners' ? part.sizes.count : undefined
  if (count && count.value < build.strings)
    return `${counted(count.value, 'tuner')} ${count.value === 1 ? 'is' : 'are'} not enough for ${build.strings} strings.`
  if (limits.days !== undefined && leadDays(item) > limits.days)
    return `It takes ${counted(leadDays(item), 'day')} to come and ${limits.days} ${limits.days === 1 ? 'is' : 'are'} left.`
  if (limits.money !== undefined && costOf(item) + (item.shipping ?? 0) > limits.money + 1e-9)
    return `It costs ${costOf(item)} and ${limits.money} is left.`
  return part.kind === slotSpec(slot).kind ? undefined : `This slot takes a ${KINDS[slotSpec(slot).kind].label.toLowerCase()}.`
}

const costOf = (item: StockItem): number => (item.holding === 'stash' ? 0 : (item.part.price ?? 0))
const cuts = (cure: Cure, build: Build) => cure.gives === 'body' && build.parts.body?.traits.surface === 'coated'
/** Minutes to make a joint go under the limits; Infinity rules the pairing out. */
function minutesFor(joint: JudgedJoint, build: Build, limits: ChooseLimits): number {
  // Cures are vetted when they are looked at, which is as much work as the verdict: only where a limit asks for it.
  const limited = limits.noCuttingFinished || limits.lacking?.length
  if (joint.verdict === 'tight' && limited && joint.cures.length && !joint.cures.some((c) => allowed(c, build, limits))) return Infinity
  return joint.verdict === 'cant-tell' && joint.checks.some(surelyBad) ? BAD_EITHER_WAY : MINUTES[joint.verdict]
}
const allowed = (cure: Cure, build: Build, limits: ChooseLimits) =>
  !(limits.noCuttingFinished && cuts(cure, build)) && canDo(cure.tools, limits.lacking ?? [])

/** A kind of joint with the open slots it depends on. */
interface Bound {
  kind: JointKind
  vars: number[]
}

/** Best complete sets for the open slots of a build, proved best unless stopped. */
export function chooseSets(request: ChooseRequest, stop?: () => boolean): Choice {
  const { limits, rank, keep = 3 } = request
  const open = request.open.map((o) => ({ ...o, items: o.items.filter((i) => !ruledOut(request.build, o.slot, i, limits)) }))
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
  const shipping = sellers.map((s) =>
    Math.max(0, ...open.flatMap((o) => o.items.filter((i) => i.part.seller === s).map((i) => i.shipping ?? 0))),
  )

  const problem: SetProblem = {
    sizes: open.map((o) => o.items.length),
    own: (s, c) => {
      const item = open[s]!.items[c]!
      const alone = singles.filter((b) => b.vars[0] === s).reduce((sum, b) => sum + minutes(b, b.index, [[s, c]]), 0)
      if (alone === Infinity) return Infinity
      const liked = open[s]!.preferred !== undefined && open[s]!.preferred !== item.id ? PREFERENCE : 0
      if (rank === 'money') return costOf(item) + liked + alone * TIE
      return rank === 'bench' ? alone + liked + costOf(item) * TIE : leadDays(item)
    },
    meets: (a, b) => byPair.has(a < b ? pairKey(a, b) : pairKey(b, a)),
    pair: (a, i, b, j) =>
      (byPair.get(pairKey(a, b)) ?? []).reduce((sum, p) => {
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
      }, 0),
    groups: many.map((b) => ({
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
    parcel: (s, c) => {
      const item = open[s]!.items[c]!
      return item.holding === 'offer' && item.part.seller ? sellers.indexOf(item.part.seller) : undefined
    },
    parcelCost: rank === 'money' ? shipping : rank === 'bench' ? shipping.map((x) => x * TIE) : shipping.map(() => 0),
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
          shipping,
          sellers,
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
  const { kind, vars } = many[most]!
  const title = kind.find(withParts(vars.map((s) => [s, 0] as const))).title
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
  shipping: readonly number[],
  sellers: readonly string[],
  limits: ChooseLimits,
): ChosenSet {
  const used = [...new Set(items.flatMap(({ item }) => (item.holding === 'offer' && item.part.seller ? [item.part.seller] : [])))]
  const parcels = used.map((seller) => ({ seller, cost: shipping[sellers.indexOf(seller)] ?? 0 }))
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
    money: items.reduce((s, { item }) => s + costOf(item), 0) + parcels.reduce((s, p) => s + p.cost, 0),
    days: Math.max(0, ...items.map(({ item }) => leadDays(item))),
    minutes: judged.reduce((s, j) => s + minutesFor(j, build, limits), 0),
    joints: judged.map((j) => ({
      id: j.id,
      title: j.title,
      verdict: j.verdict,
      says: j.says,
      ...(j.cures[0] && j.verdict !== 'snug' ? { job: j.cures[0].job } : {}),
    })),
  }
}

/** What stands against one named part: alone, with the parts the build has, or in a whole set; and the nearest that would do. */
export interface WhyNot {
  /** Reasons that hold whatever else is chosen. */
  alone?: string
  /** Joints with the fixed parts that rule it out. */
  clashes: SetJoint[]
  /** The best set with it in, against the best set of all: what it costs more. */
  with?: ChosenSet
  more?: { money: number; minutes: number; days: number }
  /** The candidate of its slot in the best set. */
  nearest?: StockItem
}

export function whyNot(request: ChooseRequest, slot: Slot, item: StockItem, stop?: () => boolean): WhyNot {
  const best = chooseSets({ ...request, keep: 1 }, stop).sets[0]
  const nearest = best?.items.find((i) => i.slot === slot)?.item
  const alone = ruledOut(request.build, slot, item, request.limits)
  if (alone) return { alone, clashes: [], ...(nearest ? { nearest } : {}) }
  const fixed: Partial<Record<Slot, Part>> = { ...request.build.parts }
  for (const o of request.open) delete fixed[o.slot]
  const build: Build = { ...request.build, parts: { ...fixed, [slot]: item.part } }
  const clashes = JOINT_KINDS.filter((k) => existsIn(k, build) && [...k.needs, ...(k.also ?? [])].includes(slot))
    .map((k) => k.find(build))
    .filter((j) => j.verdict === 'wont-go' || minutesFor(j, build, request.limits) === Infinity)
    .map((j) => ({ id: j.id, title: j.title, verdict: j.verdict, says: j.says, ...(j.cures[0] ? { job: j.cures[0].job } : {}) }))
  const forced = chooseSets({ ...request, open: request.open.map((o) => (o.slot === slot ? { ...o, items: [item] } : o)), keep: 1 }, stop)
    .sets[0]
  return {
    clashes,
    ...(nearest && nearest.id !== item.id ? { nearest } : {}),
    ...(forced ? { with: forced } : {}),
    ...(forced && best
      ? { more: { money: forced.money - best.money, minutes: forced.minutes - best.minutes, days: forced.days - best.days } }
      : {}),
  }
}
