import type { Build } from '../document/build'
import { sizeAt } from '../document/read'
import { leftOfTurn, PLATE_TURN, saidTooFar } from '../instrument/platePlace'
import { doubtOf, likelyOf, ofSize, propagate } from '../quantity/distribution'
import { guarded } from './guard'
import type { Guard } from './holeCard'

/** Nothing is cut by a plate whose ends are told to lie further apart than it is long. */
export function plateTurn(build: Build): Guard[] {
  const sizes = PLATE_TURN.flatMap((ref) => sizeAt(build, ref) ?? [])
  if (sizes.length < PLATE_TURN.length) return []
  const left = propagate(([y, tail, long]) => leftOfTurn(y!, tail!, long!), sizes.map(ofSize))
  const [y, tail, long] = sizes.map((s) => s.value) as [number, number, number]
  const guard = guarded(
    'turn',
    'The plate’s two ends across the body',
    { value: likelyOf(left), doubt: doubtOf(left) },
    [
      { upTo: 0, is: 'wont-go' },
      { upTo: Infinity, is: 'snug' },
    ],
    saidTooFar(y, tail, long),
    'Measure all three again.',
  )
  return guard.verdict === 'snug' ? [] : [guard]
}
