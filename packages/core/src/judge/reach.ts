import { effectsOf, type Build, type JobEffect } from '../document/build'
import { isThrough, specAt, type SizeRef } from '../document/read'
import { neckToExchange } from '../instrument/neckWords'
import { slotSpec, type Slot } from '../parts/slots'
import { printMm } from '../quantity/length'
import { either } from '../quantity/words'
import type { Cure } from './joint'
import type { Plan } from './onPaper'

/**
 * How far a job goes on a part that stays, mm in all, or degrees: what is more makes another part of it, or wants one. [practice, from memory]
 * The first that matches; what is not named is held by its own bounds and by the wood that has to stay.
 */
const GOES: readonly (readonly [RegExp, number])[] = [
  [/^body\/pocket\.width/, 4],
  [/^body\/pocket\.depth/, 6],
  [/^body\/route\.\w+\.(length|width)/, 25],
  [/^body\/vibrato\.length/, 20],
  [/^body\/plate\.[xy]/, 40],
  [/^neck\/heel\.(width|thickness)/, 2],
  [/^neck\/head\.thickness/, 3],
  [/^guard\/opening\.\w+\.(length|width|centre)/, 12],
  [/^guard\/(neck\.width|bridge\.edge)/, 8],
  [/^(guard|control-plate)\/switch.*\.slot/, 8],
  [/^nut\/length/, 10],
  [/^nut\/width/, 3],
  [/^body\/pocket\.tilt/, 3],
  [/^body\/button\.upper/, 60],
  [/^neck\/nut\.slotDepth/, 6],
  [/^nut\/height/, 5],
  [/^bridge\/height\.max/, 6],
  [/^pot-.*\/bushing\.length/, 14],
]

const farthest = (slot: string, size: string): number => GOES.find(([of]) => of.test(`${slot}/${size}`))?.[1] ?? Infinity

/** What of the plan is more than such a job does: the largest change that is too large; nothing where all of it can be done. */
export const beyondReach = (plan: Plan): JobEffect | undefined =>
  effectsOf(plan)
    .filter(({ slot, size, delta }) => Math.abs(delta) > farthest(slot, size))
    .toSorted((a, b) => Math.abs(b.delta) - Math.abs(a.delta))[0]

/** The parts a check reads a size of, those whose joint it is: what is read of others is not theirs to put right. */
function partsOf(reads: readonly SizeRef[], whose: readonly Slot[]): Slot[] {
  const asked = [...new Set(reads.map((r) => r.slot))].filter((slot) => !LINING.has(slot))
  const own = asked.filter((slot) => whose.includes(slot))
  return own.length ? own : asked
}

/**
 * What no job on any part does is another part's to do: of those the check reads a size of. Nothing where that may be any of many, or hangs
 * on what nobody knows.
 * @param over what is more than such a job does, where that is why
 * @param whose the parts whose joint it is
 * @param others what it would read were it otherwise
 */
export function exchange(
  build: Build,
  reads: readonly SizeRef[],
  over: JobEffect | undefined,
  whose: readonly Slot[],
  others: readonly (readonly SizeRef[])[],
): Cure[] {
  const read = partsOf(reads, whose)
  const named = (some: readonly SizeRef[]) => partsOf(some, whose).toSorted().join()
  if (others.some((other) => named(other) !== named(reads))) return []
  const slots = [...read.filter((slot) => !COSTLY.has(slot)), ...read.filter((slot) => COSTLY.has(slot))]
  // Of one piece neither is had without the other.
  const inOne = slots.includes('body') && isThrough(build)
  const say = (slot: Slot) =>
    inOne && COSTLY.has(slot) ? 'body with its neck' : slot === 'neck' ? neckToExchange(build) : slotSpec(slot).label.toLowerCase()
  const names = [...new Set(slots.map(say))]
  if (!names.length || names.length > FEW) return []
  const amount = over && Math.abs(over.delta)
  const why =
    over && amount !== undefined
      ? `${specAt(over).unit === 'deg' ? `${amount.toFixed(1)}°` : `${printMm(amount, 1)} mm`} is more than such a job does`
      : 'no job on what is here does it'
  const cure: Cure = {
    // Why is another reason where nobody can say how much was too much.
    id: over ? `${EXCHANGE}-too-much` : EXCHANGE,
    job: `Exchange the ${either(names)}: ${why}.`,
    how: 'Read both sizes once more first: a slip of the rule looks the same. Dry fit lists what else there is, under another part instead.',
    gives: 'the part',
    tools: [],
  }
  return [cure]
}
/** How the ids of such a cure begin. */
export const EXCHANGE = 'exchange'

/** Of more parts than this it is not said which to exchange. [ours] */
const FEW = 4

/** Exchanged last. */
const COSTLY: ReadonlySet<Slot> = new Set(['neck', 'body'])
/** What lies between two parts and makes neither fit. */
const LINING = new Set(['shielding', 'strings', 'wire'])
