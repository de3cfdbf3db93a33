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

/**
 * Puts readings into bundles, first the one that settles most for its minutes: expected fall of what is unsure about the verdicts over the
 * readings there may be (pre-posterior analysis), for the time of the readings and of taking each part in hand with its tool.
 * [published method: Raiffa & Schlaifer, from memory]
 */
export function bundled(at: readonly Stake[], tools: readonly Tool[] = USUAL_TOOLS): MeasureBundle[] {
  const out: MeasureBundle[] = []
  const refs = new Map(at.flatMap((s) => s.needs.map((r) => [keyOf(r), r] as const)))
  let open = at.filter((s) => s.worth > 1e-6)
  const read = new Set<string>()
  while (open.length) {
    const keys = [...new Set(open.flatMap((s) => s.needs.map(keyOf)))].filter((k) => !read.has(k))
    const hands: string[] = []
    const things = keys.map((k) => {
      const ref = refs.get(k)!
      const { tool } = bestTool(ref, tools)!
      const hand = `${ref.slot} ${tool}`
      if (!hands.includes(hand)) hands.push(hand)
      return { ref, tool, hand, cost: MINUTES[tool], shares: hands.indexOf(hand) }
    })
    const index = new Map(keys.map((k, i) => [k, i]))
    const gains = open.map((s) => ({ wants: s.needs.flatMap((r) => index.get(keyOf(r)) ?? []), gain: s.worth }))
    const set = densest({ things, shared: hands.map(() => IN_HAND), gains }).map((i) => things[i]!)
    if (!set.length) break
    for (const t of set) read.add(keyOf(t.ref))
    const met = open.filter((s) => s.needs.every((r) => read.has(keyOf(r))))
    open = open.filter((s) => !met.includes(s))
    const share = (ref: SizeRef) =>
      met.reduce((sum, s) => sum + (s.needs.some((r) => keyOf(r) === keyOf(ref)) ? s.worth / s.needs.length : 0), 0)
    const ranks = set.map(({ ref, tool, cost, hand }) => ({
      hand,
      rank: {
        ref,
        tool,
        minutes: cost,
        gain: share(ref),
        joints: [...new Set(at.filter((s) => s.needs.some((r) => keyOf(r) === keyOf(ref))).map((s) => s.joint))],
      },
    }))
    out.push({
      readings: inHands(ranks),
      minutes: set.reduce((s, t) => s + t.cost, 0) + IN_HAND * new Set(set.map((t) => t.hand)).size,
      settles: [...new Set(met.map((s) => s.joint))].filter((j) => !open.some((s) => s.joint === j)),
    })
  }
  return out
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
