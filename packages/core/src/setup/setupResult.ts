import type { Build } from '../document/build'
import { nutWork } from '../document/read'
import { setupReading } from '../document/setupReadings'
import { stringPulls, tuningSays, type StringPull } from '../instrument/stringPulls'
import { wantedOf, type Targets } from '../instrument/targets'
import { LBF } from '../physics/stringTension'
import type { PostTurns } from './action'
import { actionMove } from './actionMove'
import { floatMove } from './floatMove'
import { actionWanted, setupModel } from './model'
import type { Move } from './move'
import { nutMove } from './nutMove'
import { nutSlots, type SlotWork } from './nutSlots'
import { IN_TUNE, pitchWork, type PitchWork } from './pitchWork'
import { reliefMove } from './reliefMove'
import { staleSays } from './staleness'

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
    moves: [reliefMove(build, targets), ...floatMove(build), nutMove(nut, nutWork(build)), action.move],
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

/** Needs a move: how many strings are out of tune at fret 12 by what their saddles could give. */
export const outOfTune = (r: SetupResult): number => r.intonation.filter((s) => s.off !== undefined && Math.abs(s.off) > IN_TUNE).length

export const poundsForce = (newton: number): number => newton / LBF
