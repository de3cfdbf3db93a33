import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { bassString, setupReading } from '../document/setupReadings'
import { stringPulls, type StringPull } from '../instrument/stringPulls'
import { TARGETS, type Targets } from '../instrument/targets'
import { intonationMove } from '../physics/intonation'
import { LBF } from '../physics/stringTension'
import { printMm } from '../quantity/length'
import { postTurns, printTurns, saddleMoveFor, type PostTurns } from './action'

/** One thing to do with one screw. */
export interface Move {
  id: string
  title: string
  measured?: string
  target: string
  /** What to turn and how far; absent until measured. */
  says: string
  done: boolean
}

export interface SetupResult {
  targets: Targets
  pulls: StringPull[]
  /** Sum over all strings, N. */
  total: number
  moves: Move[]
  posts?: PostTurns
  /** By string number: saddle move back, mm, and turns of the length screw. */
  intonation: { number: number; note: string; cents?: number; back?: number; turns?: number }[]
}

/** Metric screws of this size advance half a millimetre a turn. [practice] */
const USUAL_PITCH = 0.5
/** A cent or so is below what an ear hears on a decaying string. [practice] */
const IN_TUNE = 1
const CLOSE = 0.05

export function setupResult(build: Build): SetupResult {
  const targets = TARGETS[build.setup.school]
  const pulls = stringPulls(build)
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const action = actionMove(build, targets)
  const lengthPitch = sizeAt(build, { slot: 'bridge', size: 'length.pitch' })?.value ?? USUAL_PITCH
  return {
    targets,
    pulls,
    total: pulls.reduce((s, p) => s + p.newton, 0),
    moves: [reliefMove(build, targets), action.move],
    ...(action.posts ? { posts: action.posts } : {}),
    intonation: pulls.map(({ number, note }) => {
      const cents = setupReading(build, { what: 'cents', string: number })
      if (cents === undefined) return { number, note }
      const back = intonationMove(cents, scale)
      return { number, note, cents, back, turns: back / lengthPitch }
    }),
  }
}

function reliefMove(build: Build, targets: Targets): Move {
  const { from, to } = targets.relief
  const relief = setupReading(build, { what: 'relief' })
  const base = { id: 'relief', title: 'Relief at fret 8', target: `${printMm(from)} to ${printMm(to)} mm` }
  if (relief === undefined)
    return { ...base, done: false, says: 'Hold the string at the first and last fret and measure the gap over fret 8, in tune.' }
  const measured = `${printMm(relief)} mm`
  if (relief >= from - 1e-9 && relief <= to + 1e-9) return { ...base, measured, done: true, says: 'Leave the truss rod alone.' }
  const off = relief - (from + to) / 2
  const turn = off > 0 ? 'Tighten (clockwise seen from the nut)' : 'Loosen (counter-clockwise)'
  const per = build.setup.reliefPerQuarter
  const how = per
    ? `${printTurns(Math.abs(off) / per / 4)} turn: this neck gives ${printMm(per)} mm a quarter.`
    : 'a quarter turn, wait a few minutes, retune and measure again; enter what the quarter gave.'
  return { ...base, measured, done: false, says: `${turn} ${how}` }
}

function actionMove(build: Build, targets: Targets): { move: Move; posts?: PostTurns } {
  const actionBass = setupReading(build, { what: 'action', string: bassString(build) })
  const actionTreble = setupReading(build, { what: 'action', string: 1 })
  const base = {
    id: 'action',
    title: 'Action at fret 12',
    target: `${printMm(targets.actionBass)} bass, ${printMm(targets.actionTreble)} treble`,
  }
  if (actionBass === undefined || actionTreble === undefined)
    return { move: { ...base, done: false, says: 'Measure string bottom to crown at fret 12, outer strings, in tune, after the relief.' } }
  const measured = `${printMm(actionBass)} bass, ${printMm(actionTreble)} treble`
  const move = { bass: saddleMoveFor(targets.actionBass - actionBass), treble: saddleMoveFor(targets.actionTreble - actionTreble) }
  if (Math.abs(move.bass) < 2 * CLOSE && Math.abs(move.treble) < 2 * CLOSE)
    return { move: { ...base, measured, done: true, says: 'Action is where you want it.' } }
  const pitch = sizeAt(build, { slot: 'bridge', size: 'height.pitch' })?.value ?? USUAL_PITCH
  const spread = sizeAt(build, { slot: 'bridge', size: 'spread' })?.value
  const studs = sizeAt(build, { slot: 'bridge', size: 'studSpacing' })?.value
  const turned = (t: number) =>
    Math.abs(t) < 1 / 16 ? 'leave' : `${printTurns(t)} ${Math.abs(t) > 1 ? 'turns' : 'turn'} ${t > 0 ? 'clockwise' : 'counter-clockwise'}`
  if (traitAt(build, 'bridge', 'mount') === 'two-stud' && spread !== undefined && studs !== undefined) {
    const posts = postTurns(move, spread, studs, pitch)
    return {
      move: {
        ...base,
        measured,
        done: false,
        says: `Bass stud ${turned(posts.bass)}, treble stud ${turned(posts.treble)}. Saddles move ${printMm(move.bass)} and ${printMm(move.treble)} mm. Retune, then recheck the balance.`,
      },
      posts,
    }
  }
  return {
    move: {
      ...base,
      measured,
      done: false,
      says: `Bass saddle screws ${turned(-move.bass / pitch)}, treble saddle screws ${turned(-move.treble / pitch)}; the strings between on a straight line.`,
    },
  }
}

/** Needs a move: how many strings are out of tune at fret 12. */
export const outOfTune = (r: SetupResult): number => r.intonation.filter((s) => s.cents !== undefined && Math.abs(s.cents) > IN_TUNE).length

export const poundsForce = (newton: number): number => newton / LBF
