import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { bassString, setupReading } from '../document/setupReadings'
import { compensations } from '../instrument/compensation'
import { stringPulls, type StringPull } from '../instrument/stringPulls'
import { tuningSays } from '../instrument/stringPulls'
import type { Targets } from '../instrument/targets'
import { intonationMove } from '../physics/intonation'
import { LBF } from '../physics/stringTension'
import { printMm } from '../quantity/length'
import { postTurns, printTurns, saddleMoveFor, type PostTurns } from './action'
import { actionWanted, setupModel, wantedOf, type SetupModel } from './model'
import { nutSlots, type SlotWork } from './nutSlots'
import { heightTurn, SCREWS, trussTurn } from './screws'

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
  /** What every slot of the nut wants. */
  nut: SlotWork[]
  /** Action of each string over fret 12, as it is and as it is wanted, mm. */
  actions: { number: number; is: number; wanted: number; read: boolean }[]
  /** What is said of a tuning these strings were not made for. */
  tuning?: string
  /** By string number: saddle move back, mm, and turns of the length screw. */
  intonation: { number: number; note: string; cents?: number; back?: number; turns?: number }[]
}

/** Metric screws of this size advance half a millimetre a turn. [practice] */
const USUAL_PITCH = 0.5
/** A cent or so is below what an ear hears on a decaying string. [practice] */
const IN_TUNE = 1
const CLOSE = 0.05
/** Lower than this over fret 12 nothing clears the frets, mm: a misreading. [ours] */
const LOWEST = 0.6
/** Bridges that go up and down on two posts. */
const ON_POSTS: readonly string[] = ['two-stud', 'double-locking', 'post']
const offWords = (move: { bass: number; treble: number }) =>
  `Saddles have to go ${['bass', 'treble'].map((s) => `${printMm(Math.abs(move[s as 'bass']))} mm ${move[s as 'bass'] < 0 ? 'down' : 'up'} at the ${s}`).join(', ')}.`

export function setupResult(build: Build): SetupResult {
  const targets = wantedOf(build)
  const model = setupModel(build)
  const nut = nutSlots(build, model)
  const odd = tuningSays(build)
  const pulls = stringPulls(build)
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const action = actionMove(build, targets, model)
  const lengthPitch = sizeAt(build, { slot: 'bridge', size: 'length.pitch' })?.value ?? USUAL_PITCH
  return {
    targets,
    pulls,
    total: pulls.reduce((s, p) => s + p.newton, 0),
    moves: [reliefMove(build, targets), ...floatMove(build), nutMove(nut), action.move],
    nut,
    actions: model.strings.map((s) => ({
      number: s.number,
      is: s.action,
      wanted: actionWanted(build, s.number, targets),
      read: setupReading(build, { what: 'action', string: s.number }) !== undefined,
    })),
    ...(odd ? { tuning: odd } : {}),
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
  const turn = trussTurn(off > 0, traitAt(build, 'neck', 'truss'))
  const per = build.setup.reliefPerQuarter
  const how = per
    ? `${printTurns(Math.abs(off) / per / 4)} turn: this neck gives ${printMm(per)} mm a quarter.`
    : 'a quarter turn, wait a few minutes, retune and measure again; enter what the quarter gave.'
  return { ...base, measured, done: false, says: `${turn} ${how}` }
}

/** A vibrato that floats or lies down is set before the nut and the action: it carries the saddles. */
function floatMove(build: Build): Move[] {
  const mount = traitAt(build, 'bridge', 'mount')
  if (!build.parts.springs || (mount !== 'two-stud' && mount !== 'double-locking' && mount !== 'six-screw')) return []
  const school = build.setup.vibrato?.school ?? 'float'
  const wanted = school === 'float' ? (build.setup.wanted?.float ?? 1) : 0
  const read = setupReading(build, { what: 'float' })
  const base = {
    id: 'float',
    title: 'Vibrato: gap under its back edge',
    target: school === 'float' ? `${printMm(wanted)} mm` : 'down on the body',
  }
  if (read === undefined) return [{ ...base, done: false, says: 'In tune, measure the gap between the body and the lower back edge.' }]
  const measured = `${printMm(read)} mm`
  const off = read - wanted
  if (Math.abs(off) <= FLOAT_CLOSE)
    return [{ ...base, measured, done: true, says: 'It stands as wanted. Every later change of strings or tuning opens it again.' }]
  return [
    {
      ...base,
      measured,
      done: false,
      says: `${off > 0 ? 'Too high' : 'Too low'} by ${printMm(Math.abs(off))} mm: both claw screws a quarter turn ${off > 0 ? 'clockwise (tighter)' : 'counter-clockwise (looser)'}, ${SCREWS.claw.from}, the same on both; retune, measure again. The saddles move by half to three quarters of it: the action after it.`,
    },
  ]
}
const FLOAT_CLOSE = 0.15

/** The nut in one line; the slots are in its own tab. */
function nutMove(slots: readonly SlotWork[]): Move {
  const base = { id: 'nut', title: 'Nut slots', target: 'each its own' }
  const read = slots.filter((s) => s.read)
  if (!read.length)
    return { ...base, done: false, says: 'After the frets are level: each string held at fret 3, read what is left over fret 1.' }
  const measured = `${read.length} of ${slots.length} read`
  const work = read.filter((s) => s.state !== 'good')
  if (!work.length && read.length === slots.length) return { ...base, measured, done: true, says: 'All slots are as wanted.' }
  const low = read.filter((s) => s.state === 'low')
  return {
    ...base,
    measured,
    done: false,
    says: low.length
      ? `String ${low.map((s) => s.number).join(', ')} lies too deep: fill or shim before anything is filed.`
      : work.length
        ? work.map((s) => `string ${s.number}: ${s.file.toFixed(2)} mm`).join(', ') + ' to file, the last tenth by feel.'
        : 'The rest are to be read yet.',
  }
}

function actionMove(build: Build, targets: Targets, model: SetupModel): { move: Move; posts?: PostTurns } {
  const bass = model.strings.at(-1)!
  const treble = model.strings[0]!
  const actionBass = setupReading(build, { what: 'action', string: bassString(build) }) === undefined ? undefined : bass.action
  const actionTreble = setupReading(build, { what: 'action', string: 1 }) === undefined ? undefined : treble.action
  const base = {
    id: 'action',
    title: 'Action at fret 12',
    target: `${printMm(targets.actionBass)} bass, ${printMm(targets.actionTreble)} treble`,
  }
  if (actionBass === undefined || actionTreble === undefined)
    return { move: { ...base, done: false, says: 'Measure string bottom to crown at fret 12, outer strings, in tune, after the relief.' } }
  const measured = `${printMm(actionBass)} bass, ${printMm(actionTreble)} treble`
  const move = {
    bass: saddleMoveFor(targets.actionBass - actionBass, setBack(build, build.strings)),
    treble: saddleMoveFor(targets.actionTreble - actionTreble, setBack(build, 1)),
  }
  if (Math.abs(move.bass) < 2 * CLOSE && Math.abs(move.treble) < 2 * CLOSE)
    return { move: { ...base, measured, done: true, says: 'Action is where you want it.' } }
  const pitch = sizeAt(build, { slot: 'bridge', size: 'height.pitch' })?.value ?? USUAL_PITCH
  const spread = sizeAt(build, { slot: 'bridge', size: 'spread' })?.value
  const studs = sizeAt(build, { slot: 'bridge', size: 'studSpacing' })?.value
  const doubtful = [actionBass, actionTreble].some((a) => a < LOWEST)
  if (doubtful)
    return {
      move: {
        ...base,
        measured,
        done: false,
        says: `Under ${printMm(LOWEST)} mm at fret 12 no string sounds clean: read again, from the crown to the string’s underside, before anything is turned.`,
      },
    }
  const mount = traitAt(build, 'bridge', 'mount')
  if (!mount)
    return {
      move: {
        ...base,
        measured,
        done: false,
        says: `${offWords(move)} How the bridge is held nobody has said: say it under Parts, and the turns come with it.`,
      },
    }
  const onPosts = ON_POSTS.includes(mount)
  if (onPosts && (spread === undefined || studs === undefined))
    return {
      move: {
        ...base,
        measured,
        done: false,
        says: `${offWords(move)} For the turns of its two posts measure string spread and stud spacing of the bridge.`,
      },
    }
  if (onPosts && spread !== undefined && studs !== undefined) {
    const posts = postTurns(move, spread, studs, pitch)
    return {
      move: {
        ...base,
        measured,
        done: false,
        says: `Bass stud ${heightTurn('stud', posts.bassHeight, pitch)}, treble stud ${heightTurn('stud', posts.trebleHeight, pitch)}, ${SCREWS.stud.from}. Saddles move ${printMm(move.bass)} and ${printMm(move.treble)} mm. Retune${mount === 'post' ? '' : ', then recheck the balance'}.`,
      },
      posts,
    }
  }
  return {
    move: {
      ...base,
      measured,
      done: false,
      says: `Bass saddle screws ${heightTurn('grub', move.bass, pitch)}, treble saddle screws ${heightTurn('grub', move.treble, pitch)}, ${SCREWS.grub.from}; the strings between on a straight line.`,
    },
  }
}

/** How far a saddle stands behind the scale line, share of it: half of the range a press makes. */
function setBack(build: Build, string: number): number {
  const c = compensations(build, [string])[0]
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  return c ? (c.from + c.to) / 2 / scale : 0
}

/** Needs a move: how many strings are out of tune at fret 12. */
export const outOfTune = (r: SetupResult): number => r.intonation.filter((s) => s.cents !== undefined && Math.abs(s.cents) > IN_TUNE).length

export const poundsForce = (newton: number): number => newton / LBF
