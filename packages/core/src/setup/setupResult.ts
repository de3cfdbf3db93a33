import type { Build } from '../document/build'
import { hasLockingNut, sizeAt, traitAt } from '../document/read'
import { setupReading } from '../document/setupReadings'
import { stringPulls, tuningSays, type StringPull } from '../instrument/stringPulls'
import { wantedOf, type Targets } from '../instrument/targets'
import { intonationMove } from '../physics/intonation'
import { LBF } from '../physics/stringTension'
import type { PostTurns } from './action'
import { toldAt } from '../judge/known'
import { actionMove } from './actionMove'
import { BELIEVED, trialPitch } from './thread'
import { lengthTravel } from './travel'
import { floatMove } from './floatMove'
import { learnedTurn } from './learning'
import { actionWanted, setupModel } from './model'
import type { Move } from './move'
import { nutMove } from './nutMove'
import { nutSlots, type SlotWork } from './nutSlots'
import { reliefMove } from './reliefMove'
import { staleSays } from './staleness'

/** One string's pitch at fret 12, and what its saddle wants. */
export interface PitchWork {
  number: number
  note: string
  cents?: number
  /** Saddle move back, mm, and turns of the length screw; none where the saddle is slid by hand. */
  back?: number
  turns?: number
  /** Nobody knows what a turn gives: so far first, then it is read again. */
  trial?: true
  /** As far as its saddle goes from stop to stop, mm, where that is less than it wants: no turns are told. */
  beyond?: number
  /** Read before a screw was turned or the strings changed. */
  stale?: boolean
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
  /** Action of each string over fret 12, as it is and as it is wanted, mm; whether it was read, and no longer holds. */
  actions: { number: number; is: number; wanted: number; read: boolean; stale?: true }[]
  /** What is said of a tuning these strings were not made for. */
  tuning?: string
  intonation: PitchWork[]
}

/** A cent or so is below what an ear hears on a decaying string. [practice] */
export const IN_TUNE = 1

export function setupResult(build: Build): SetupResult {
  const targets = wantedOf(build)
  const model = setupModel(build)
  const nut = nutSlots(build, model)
  const odd = tuningSays(build)
  const pulls = stringPulls(build)
  const action = actionMove(build, targets, model)
  return {
    targets,
    pulls,
    total: pulls.reduce((s, p) => s + p.newton, 0),
    moves: [reliefMove(build, targets), ...floatMove(build), nutMove(nut, hasLockingNut(build)), action.move],
    nut,
    actions: model.strings.map((s) => {
      const asked = { what: 'action', string: s.number } as const
      return {
        number: s.number,
        is: s.action,
        wanted: actionWanted(build, s.number, targets),
        read: setupReading(build, asked) !== undefined,
        ...(staleSays(build, asked) ? { stale: true as const } : {}),
      }
    }),
    ...(odd ? { tuning: odd } : {}),
    ...(action.posts ? { posts: action.posts } : {}),
    intonation: pulls.map(({ number, note }) => pitchWork(build, number, note)),
  }
}

function pitchWork(build: Build, number: number, note: string): PitchWork {
  const asked = { what: 'cents', string: number } as const
  const cents = setupReading(build, asked)
  if (cents === undefined) return { number, note }
  if (staleSays(build, asked)) return { number, note, cents, stale: true }
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const back = intonationMove(cents, scale)
  const travel = lengthTravel(build)
  if (travel !== undefined && Math.abs(back) > travel) return { number, note, cents, back, beyond: travel }
  // What its own turns did to it counts more than the thread.
  const own = centsATurn(build, number)
  if (own !== undefined) return { number, note, cents, back, turns: cents / own }
  const pitch = toldAt(build, { slot: 'bridge', size: 'length.pitch' })?.value ?? threadOfOthers(build, scale)
  if (pitch === undefined && isSlid(build)) return { number, note, cents, back }
  return pitch === undefined
    ? { number, note, cents, back, turns: back / trialPitch(back), trial: true }
    : { number, note, cents, back, turns: back / pitch }
}

/** Saddles that clamp their strings are slid by hand and held by a screw from above, unless somebody read a thread of theirs. [practice] */
const isSlid = (build: Build): boolean => traitAt(build, 'bridge', 'mount') === 'double-locking'

/** What a turn of its length screw did to a string's pitch at fret 12, by the turns that were written down. */
function centsATurn(build: Build, number: number): number | undefined {
  const learned = learnedTurn(build, 'length', number)
  return learned && Math.abs(learned.per) > 0.2 ? Math.abs(learned.per) : undefined
}

/** All saddles of a bridge have the same screws: what one of them taught is the thread of the others, mm a turn. */
function threadOfOthers(build: Build, scale: number): number | undefined {
  for (let n = 1; n <= build.strings; n++) {
    const cents = centsATurn(build, n)
    const thread = cents === undefined ? 0 : Math.abs(intonationMove(cents, scale))
    if (thread >= BELIEVED.from && thread <= BELIEVED.to) return thread
  }
  return undefined
}

/** Needs a move: how many strings are out of tune at fret 12. */
export const outOfTune = (r: SetupResult): number =>
  r.intonation.filter((s) => s.cents !== undefined && !s.stale && Math.abs(s.cents) > IN_TUNE).length

export const poundsForce = (newton: number): number => newton / LBF
