import { specAt } from '../document/read'
import { printMm } from '../quantity/length'
import { isAnother } from './another'
import type { Check, Cure } from './joint'
import type { Plan } from './onPaper'
import { CLASSES, type Class, type Judgement } from './verdict'

/** What a cut must do at least, and what it must not exceed, in all, mm. */
export interface CutLimits {
  least: number
  /** Absent where much more does no harm. */
  most?: number
}

/** Does the cure take something off a part that stays? What gives nothing takes nothing. */
export const cutOf = ({ gives, plan, limited }: Cure): Plan | undefined =>
  plan && !limited && gives !== 'nothing' && !isAnother({ gives }) && specAt(plan).unit === 'mm' ? plan : undefined

const STEPS = 9
/** How much further than planned is looked for harm. [ours] */
const FURTHER = 3

const likeliest = ({ chances }: Judgement): Class => CLASSES.reduce((a, b) => (chances[b] > chances[a] ? b : a))
const good = (check: Check | undefined): boolean => check !== undefined && likeliest(check.raw) === 'snug'

/**
 * The least of a planned cut after which its check is most likely good, and the most after which it still is and nothing is harmed. Whoever
 * cuts that little first, and tries it, takes off no more than was needed.
 * @param then the check after so many times the planned cut; nothing where that cannot be done or harms
 */
export function cutLimits(plan: Plan, then: (share: number) => Check | undefined): CutLimits | undefined {
  const planned = Math.abs(plan.delta)
  if (!good(then(1))) return undefined
  const edge = (bad: number, fine: number): number => {
    for (let i = 0; i < STEPS; i++) {
      const middle = (bad + fine) / 2
      if (good(then(middle))) fine = middle
      else bad = middle
    }
    return fine
  }
  // Rounded so that the least still does and the most still may; a large cut is not made to a hundredth.
  const fine = planned >= COARSE ? 10 : 100
  const least = Math.min(planned, Math.ceil(planned * edge(0, 1) * fine - 1e-6) / fine)
  if (good(then(FURTHER))) return { least }
  return { least, most: Math.max(planned, Math.floor(planned * edge(FURTHER, 1) * fine + 1e-6) / fine) }
}
/** From here on tenths are given, mm. [ours] */
const COARSE = 3

/** "0.2 mm in all, then try it": what stands under a cure that takes something off. */
export const cutSays = ({ least, most }: CutLimits): string =>
  `The least that can do: ${printMm(least)} mm in all, then try it and stop as soon as it goes.${
    most === undefined ? '' : ` Not more than ${printMm(most)} mm.`
  } What is taken off cannot be put back.`
