import type { Build, Tool } from '../../document/build'
import type { SizeRef } from '../../document/read'
import { SLOTS } from '../../parts/slots'
import type { Known } from '../../quantity/size'
import { densest } from './densest'
import { bestTool, IN_HAND, MINUTES } from './readings'
import { stakes, type Stake } from './stakes'

/** One size worth reading. */
export interface MeasureRank {
  ref: SizeRef
  /** Its share in the expected fall of what is not known about all verdicts, weighted by what a wrong buy costs. */
  gain: number
  /** Minutes it takes with the tool. [ours] */
  minutes: number
  tool: Known
  /** Joints it has a say in. */
  joints: string[]
}

/** Readings that belong together: what they settle, they settle only together, or with the same part in the hand. */
export interface MeasureBundle {
  /** By part and tool in hand, so that each is picked up once. */
  readings: MeasureRank[]
  /** All of them, with taking the parts in hand. */
  minutes: number
  /** Joints that wait for nothing else afterwards. */
  settles: string[]
  /** Bundles of one set stand together because nothing pays better for its minutes than all of them. */
  set: number
}

/** Tools most people have. */
export const USUAL_TOOLS: readonly Tool[] = ['calipers', 'rule', 'meter', 'scale']

/** Every stake there is; whoever has to be quick elsewhere takes them one joint at a time from `stakes`. */
export const measuringRound = (build: Build, tools: readonly Tool[] = USUAL_TOOLS): MeasureBundle[] =>
  bundled([...stakes(build, tools)].flat(), tools)

/** The same as one list of sizes, best first. */
export const measureNext = (build: Build, tools: readonly Tool[] = USUAL_TOOLS): MeasureRank[] =>
  measuringRound(build, tools).flatMap((b) => b.readings)

const keyOf = (ref: SizeRef) => `${ref.slot}/${ref.size}`

/** A size to read, with what it costs to read it. */
interface Thing {
  ref: SizeRef
  tool: Tool
  /** The part with the tool at it. */
  hand: string
  cost: number
}

/**
 * Puts readings into bundles. First come those that settle most for their minutes: expected fall of what is unsure about the verdicts over
 * the readings there may be (pre-posterior analysis), for the time of the readings and of taking each part in hand with its tool; of that
 * best set first the joint that is settled soonest.
 * [published method: Raiffa & Schlaifer, from memory]
 */
export function bundled(at: readonly Stake[], tools: readonly Tool[] = USUAL_TOOLS): MeasureBundle[] {
  const out: MeasureBundle[] = []
  const refs = new Map(at.flatMap((s) => s.needs.map((r) => [keyOf(r), r] as const)))
  const things = new Map([...refs].map(([key, ref]) => [key, thingOf(ref, tools)]))
  let open = at.filter((s) => s.worth > 1e-6)
  const read = new Set<string>()
  for (let set = 0; open.length; set++) {
    const best = bestSet(open, read, things)
    if (!best.size) break
    let within = open.filter((s) => s.needs.every((r) => read.has(keyOf(r)) || best.has(keyOf(r))))
    while (within.length) {
      const leg = soonest(within, read, things)
      for (const t of leg) read.add(keyOf(t.ref))
      const met = open.filter((s) => s.needs.every((r) => read.has(keyOf(r))))
      open = open.filter((s) => !met.includes(s))
      within = within.filter((s) => !met.includes(s))
      out.push({ set, ...bundleOf(leg, met, open, at) })
    }
  }
  return out
}

function thingOf(ref: SizeRef, tools: readonly Tool[]): Thing {
  const { tool } = bestTool(ref, tools)!
  return { ref, tool, hand: `${ref.slot} ${tool}`, cost: MINUTES[tool] }
}

const minutesOf = (leg: readonly Thing[]) => leg.reduce((s, t) => s + t.cost, 0) + IN_HAND * new Set(leg.map((t) => t.hand)).size

/** Of what is still to be read, the set with the most for its minutes. */
function bestSet(open: readonly Stake[], read: ReadonlySet<string>, things: ReadonlyMap<string, Thing>): Set<string> {
  const keys = [...new Set(open.flatMap((s) => s.needs.map(keyOf)))].filter((k) => !read.has(k))
  const hands = [...new Set(keys.map((k) => things.get(k)!.hand))]
  const index = new Map(keys.map((k, i) => [k, i]))
  const set = densest({
    things: keys.map((k) => ({ cost: things.get(k)!.cost, shares: hands.indexOf(things.get(k)!.hand) })),
    shared: hands.map(() => IN_HAND),
    gains: open.map((s) => ({ wants: s.needs.flatMap((r) => index.get(keyOf(r)) ?? []), gain: s.worth })),
  })
  return new Set(set.map((i) => keys[i]!))
}

/** What one joint of the set still needs: of the joint that is worth most for the minutes that alone takes. */
function soonest(within: readonly Stake[], read: ReadonlySet<string>, things: ReadonlyMap<string, Thing>): Thing[] {
  const leg = (s: Stake) => s.needs.flatMap((r) => (read.has(keyOf(r)) ? [] : [things.get(keyOf(r))!]))
  const legs = within.map((stake) => ({ stake, leg: leg(stake) }))
  const rate = ({ stake, leg: l }: (typeof legs)[number]) => stake.worth / minutesOf(l)
  return legs.reduce((a, b) => (rate(b) > rate(a) + 1e-12 ? b : a)).leg
}

function bundleOf(leg: readonly Thing[], met: readonly Stake[], open: readonly Stake[], at: readonly Stake[]): Omit<MeasureBundle, 'set'> {
  const needs = (s: Stake, ref: SizeRef) => s.needs.some((r) => keyOf(r) === keyOf(ref))
  const ranks = leg.map(({ ref, tool, cost, hand }) => ({
    hand,
    rank: {
      ref,
      tool,
      minutes: cost,
      // Of what is settled only together each has its part, whether it was settled now or will be later.
      gain: at.reduce((sum, s) => sum + (needs(s, ref) ? s.worth / s.needs.length : 0), 0),
      joints: [...new Set(at.filter((s) => needs(s, ref)).map((s) => s.joint))],
    },
  }))
  return {
    readings: inHands(ranks),
    minutes: minutesOf(leg),
    settles: [...new Set(met.filter((s) => !s.waits).map((s) => s.joint))].filter((j) => !open.some((s) => s.joint === j)),
  }
}

/** One hand after another, the weightiest first; within it the weightiest size, then the kinds' own order. */
function inHands(ranks: readonly { hand: string; rank: MeasureRank }[]): MeasureRank[] {
  const order = (r: MeasureRank) => SLOTS.findIndex((s) => s.slot === r.ref.slot)
  const first = (a: MeasureRank, b: MeasureRank) => (Math.abs(b.gain - a.gain) > 1e-9 ? b.gain - a.gain : order(a) - order(b))
  const best = (hand: string) =>
    ranks
      .filter((r) => r.hand === hand)
      .map((r) => r.rank)
      .toSorted(first)
  const hands = [...new Set(ranks.map((r) => r.hand))].map(best)
  return hands.toSorted(([a], [b]) => first(a!, b!)).flat()
}
