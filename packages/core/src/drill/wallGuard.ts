import { STAYS } from '../judge/whatStays'
import { printMm } from '../quantity/length'
import { guarded, NEWS } from './guard'
import type { Guard } from './holeCard'

/** A wall between a route to be cut and what lies near it. */
interface Wall {
  id: string
  what: string
  /** Wood left, mm; nothing or less where the one opens into the other. */
  wood: { value: number; doubt: number }
  /** What is said where it opens, without its full stop. */
  opens: string
  /** What to do then; nothing where two that open into each other are only to be minded. */
  instead?: string
}

/** Nothing where the wall is so thick that it is no news. */
export function wallGuard({ id, what, wood, opens, instead }: Wall): Guard[] {
  if (wood.value > NEWS + wood.doubt) return []
  return [
    guarded(
      id,
      `Wood to ${what}`,
      wood,
      [
        ...(instead === undefined ? [] : [{ upTo: 0, is: 'wont-go' } as const]),
        { upTo: STAYS, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      wood.value <= 0 ? `${opens}.` : `${printMm(wood.value, 1)} mm of wood to ${what}; ${STAYS} should stay.`,
      instead,
    ),
  ]
}
