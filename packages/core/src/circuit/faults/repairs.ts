import type { Repair } from '../../document/build'
import type { Fault } from './fault'
import type { Weigh } from './rank'

/** A joint worked on since the last good reading is likelier to be off than one nobody touched. [ours] */
const TOUCHED = 3
/** What was mended and kept, without the trouble going away, is hardly the cause any more. [ours] */
const MENDED = 0.15
/** Mended joints that made it better have a say in what is left. [ours] */
const BETTER = 2

/** Repairs as evidence: where hands have been, and what mending there changed. */
export function weighBy(repairs: readonly Repair[]): Weigh {
  return (fault: Fault) =>
    repairs.reduce((weight, r) => {
      const hit = fault.at.filter((l) => r.lugs.includes(l)).length
      if (!hit) return weight
      // Both ends seen to: a wire that is off is not off there any more.
      if (r.kept && r.then === 'same' && fault.at.every((l) => r.lugs.includes(l))) return weight * MENDED
      if (r.then === 'worse') return weight * TOUCHED * 2
      return weight * (r.then === 'better' ? BETTER : TOUCHED)
    }, 1)
}

/** What is said of the last repair before the next one is tried: one change at a time. */
export function repairSays(repairs: readonly Repair[]): string | undefined {
  const last = repairs.at(-1)
  if (!last) return undefined
  if (last.then === 'gone') return `Gone after: ${last.what}. Do the check again before anything is closed.`
  if (last.then === 'worse' && last.kept) return `Worse after: ${last.what}. Put it back before anything else is changed.`
  return `After “${last.what}”: ${last.then}. Readings taken before it count no more where it was mended: take them again.`
}
