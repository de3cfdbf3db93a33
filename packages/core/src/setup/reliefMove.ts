import type { Build } from '../document/build'
import { hasTrussNut, traitAt } from '../document/read'
import { setupReading } from '../document/setupReadings'
import type { Targets } from '../instrument/targets'
import { printMm, sayMm } from '../quantity/length'
import { toEighths } from './action'
import { learnedTurn } from './learning'
import type { Move } from './move'
import { trussFrom, trussTurn, turnWords } from './screws'
import { staleSays } from './staleness'

/** Between two readings a truss nut is turned no further than this, and in quarters, turns. [ours; quarters practice] */
const MOST = 1

/** A quarter turn that moved the relief by less moved nothing that is read, mm. [ours] */
const FELT = 0.02
const IDLE =
  ' The turns so far moved next to nothing: a slack rod takes up its play first. Stop where it turns hard: it is at its end, and forced it breaks.'

/** Of a neck nobody has said it of: a fixed bar has nothing to turn. */
const LOOK_FOR_IT = 'Look whether it has a truss nut, at the headstock or the heel, and say so under Parts. If it has: '

/** Relief by the truss nut: a quarter turn until this neck has shown what a turn gives, then by that. */
export function reliefMove(build: Build, targets: Targets): Move {
  const { from, to } = targets.relief
  const relief = setupReading(build, { what: 'relief' })
  const base = { id: 'relief', title: 'Relief at fret 8', target: `${printMm(from)} to ${printMm(to)} mm`, moves: 'balance, action, pitch' }
  if (relief === undefined)
    return { ...base, done: false, says: 'Hold the string at the first and last fret and measure the gap over fret 8, in tune.' }
  const measured = `${sayMm(relief)} mm`
  const old = staleSays(build, { what: 'relief' })
  if (old) return { ...base, measured, done: false, stale: true, says: old }
  const at = traitAt(build, 'neck', 'truss')
  if (relief >= from - 1e-9 && relief <= to + 1e-9)
    return { ...base, measured, done: true, says: at && hasTrussNut(build) ? 'Leave the truss rod alone.' : 'As it should be.' }
  const off = relief - (from + to) / 2
  if (!hasTrussNut(build)) return { ...base, measured, done: false, says: withoutNut(off > 0, relief) }
  const learned = learnedTurn(build, 'truss')
  const typed = build.setup.reliefPerQuarter
  // Clockwise takes relief out; a neck that did the opposite is turned as it showed.
  const gave = learned ? learned.per : typed === undefined ? undefined : -4 * typed
  const idle = gave !== undefined && Math.abs(gave) / 4 < FELT
  const per = idle ? undefined : gave
  const backwards = per !== undefined && per > 0
  const exact = per === undefined ? Math.sign(off) / 4 : -off / per
  const turns = toEighths(Math.sign(exact) * Math.max(1 / 8, Math.min(MOST, Math.abs(exact))))
  const turned = [{ screw: 'truss' as const, label: 'truss nut', turns, from: trussFrom(at) }]
  const amount = turnWords(Math.abs(turns)).replace(' clockwise', '')
  const ending = `${Math.abs(turns) > 0.25 ? ' In quarters, some minutes and a retune between.' : ''}${Math.abs(exact) > MOST ? ' Then measure: there is more to go.' : ''}`
  const how =
    per === undefined
      ? `a quarter turn, wait a few minutes, retune and measure again.${idle ? IDLE : ''}`
      : `${amount}: this neck gave ${printMm(Math.abs(per) / 4)} mm a quarter.${ending}`
  if (backwards)
    return {
      ...base,
      measured,
      done: false,
      turns: turned,
      says: `On this neck clockwise made more relief, by ${printMm(per / 4)} mm a quarter: a two-way rod past its middle, or a left-hand thread. ${turnWords(turns)}, ${trussFrom(at)}; stop if it turns hard, and read again.`,
    }
  return {
    ...base,
    measured,
    done: false,
    turns: turned,
    says: `${at || gave !== undefined ? '' : LOOK_FOR_IT}${trussTurn(off > 0, at)} ${how}`,
  }
}

/** A neck that nothing adjusts bends by its strings' pull alone. */
function withoutNut(much: boolean, relief: number): string {
  const by = much ? ['More', 'lighter', 'lets it straighten'] : ['Less', 'heavier', 'pulls it forward']
  const asItIs = relief < 0 ? 'If that is not enough' : `If it plays well so, write ${printMm(relief)} mm down as the relief wanted; if not`
  return `${by[0]} than is wanted, and nothing on this neck turns to mend it: only its strings bend it. A ${by[1]} set ${by[2]}: string it, give it a day and measure again. ${asItIs}, its frets are levelled for it: a workshop’s job.`
}
