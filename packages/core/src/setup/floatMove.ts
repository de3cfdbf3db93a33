import { hasSprings, isVibrato } from '../instrument/vibrato'
import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import { setupReading } from '../document/setupReadings'
import { printMm } from '../quantity/length'
import { toEighths } from './action'
import { learnedTurn } from './learning'
import type { Move } from './move'
import { SCREWS, turnWords } from './screws'
import { staleSays } from './staleness'

const CLOSE = 0.15
/** Turned no further at once, turns: a vibrato is brought there round by round. [practice] */
const MOST = 1

/** Whether there is a vibrato on springs to balance. */
export const floats = (build: Build): boolean => hasSprings(build) && isVibrato(traitAt(build, 'bridge', 'mount'))

/** A vibrato that floats or lies down is set before the nut and the action: it carries the saddles. */
export function floatMove(build: Build): Move[] {
  if (!floats(build)) return []
  const school = build.setup.vibrato?.school ?? 'float'
  const wanted = school === 'float' ? (build.setup.wanted?.float ?? 1) : 0
  const read = setupReading(build, { what: 'float' })
  const base = {
    id: 'float',
    title: 'Vibrato: gap under its back edge',
    target: school === 'float' ? `${printMm(wanted)} mm` : 'down on the body',
    moves: 'saddles by half to three quarters of it, action, pitch',
  }
  if (read === undefined) return [{ ...base, done: false, says: 'In tune, measure the gap between the body and the lower back edge.' }]
  const measured = `${printMm(read)} mm`
  const old = staleSays(build, { what: 'float' })
  if (old) return [{ ...base, measured, done: false, stale: true, says: old }]
  const off = read - wanted
  if (Math.abs(off) <= CLOSE)
    return [{ ...base, measured, done: true, says: 'It stands as wanted. Every later change of strings or tuning opens it again.' }]
  const learned = learnedTurn(build, 'claw')
  const gives = learned && learned.per < -0.02 ? learned.per : undefined
  // Clockwise pulls the plate down. Until it has shown by how much, a quarter turn and another reading.
  const exact = gives === undefined ? Math.sign(off) / 4 : -off / gives
  const turns = toEighths(Math.sign(exact) * Math.max(1 / 8, Math.min(MOST, Math.abs(exact))))
  const amount = gives === undefined ? 'a quarter turn' : turnWords(Math.abs(turns)).replace(' clockwise', '')
  const why =
    gives !== undefined
      ? ` This one gave ${printMm(-gives)} mm a turn.`
      : learned
        ? ' The turns so far moved next to nothing: the springs hold more than the strings pull yet.'
        : ''
  return [
    {
      ...base,
      measured,
      done: false,
      turns: [{ screw: 'claw', label: 'both claw screws', turns, from: SCREWS.claw.from }],
      says: `${off > 0 ? 'Too high' : 'Too low'} by ${printMm(Math.abs(off))} mm: both claw screws ${amount} ${turns > 0 ? 'clockwise (tighter)' : 'counter-clockwise (looser)'}, ${SCREWS.claw.from}, the same on both${Math.abs(turns) > 0.25 ? ', a quarter at a time' : ''}; retune, round by round, until it stays in tune, and measure again.${why} The saddles move by half to three quarters of it: the action after it.`,
    },
  ]
}
