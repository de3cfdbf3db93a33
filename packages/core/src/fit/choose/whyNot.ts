import { jobsWithout, type Build } from '../../document/build'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import { slipsOf, type StockItem } from '../../parts/stock'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn } from '../kind'
import { chooseSets } from './chooseSets'
import type { ChosenSet, SetJoint } from './chosenSet'
import { minutesFor } from './minutes'
import { marketOf, type ChooseRequest } from './request'
import { ruledOut } from './ruledOut'

/** What stands against one named part: alone, with the parts the build has, or in a whole set; and the nearest that would do. */
export interface WhyNot {
  /** Reasons that hold whatever else is chosen. */
  alone?: string
  /** Joints with the fixed parts that rule it out. */
  clashes: SetJoint[]
  /** The best set with it in. */
  with?: ChosenSet
  /** With it no set goes as it is, but this one once the jobs on what will not go are done. */
  replanned?: ChosenSet
  /** What either costs more than the best set of all. */
  more?: { money: number; minutes: number; days: number }
  /** The candidate of its slot in the best set. */
  nearest?: StockItem
}

export function whyNot(request: ChooseRequest, slot: Slot, item: StockItem, stop?: () => boolean): WhyNot {
  // What sellers' promises are worth is learned from all there is, also where one thing is held fast.
  const slips = slipsOf(marketOf(request))
  const best = chooseSets({ ...request, keep: 1 }, stop, slips).sets[0]
  const nearest = best?.items.find((i) => i.slot === slot)?.item
  const alone = ruledOut(request, slot, item, slips)
  if (alone) return { alone, clashes: [], ...(nearest ? { nearest } : {}) }
  const fixed: Partial<Record<Slot, Part>> = { ...request.build.parts }
  for (const o of request.open) delete fixed[o.slot]
  const gone = request.open.map((o) => o.slot).filter((s) => s !== slot || item.part !== request.build.parts[s])
  const build: Build = { ...request.build, jobs: jobsWithout(request.build, gone), parts: { ...fixed, [slot]: item.part } }
  const clashes = JOINT_KINDS.filter((k) => existsIn(k, build) && [...k.needs, ...(k.also ?? [])].includes(slot))
    .map((k) => k.find(build))
    .filter((j) => j.verdict === 'wont-go' || minutesFor(j, build, request.limits) === Infinity)
    .map((j) => ({
      id: j.id,
      title: j.title,
      verdict: j.verdict,
      ...(j.condition ? { condition: j.condition } : {}),
      says: j.says,
      ...(j.cures[0] ? { job: j.cures[0].job } : {}),
    }))
  const withIt = chooseSets(
    { ...request, open: request.open.map((o) => (o.slot === slot ? { ...o, items: [item] } : o)), keep: 1 },
    stop,
    slips,
  )
  const forced = withIt.sets[0]
  const replanned = withIt.replanned?.[0]
  const either = forced ?? replanned
  return {
    clashes,
    ...(nearest && nearest.id !== item.id ? { nearest } : {}),
    ...(forced ? { with: forced } : {}),
    ...(replanned ? { replanned } : {}),
    ...(either && best
      ? { more: { money: either.money - best.money, minutes: either.minutes - best.minutes, days: either.days - best.days } }
      : {}),
  }
}
