import type { Build, ScrewTurn, SetupScrew } from '../document/build'
import { byMoment } from '../quantity/moments'
import { printTurns } from './action'
import { lengthWords } from './noting'
import { turnWords } from './screws'

/** All turns of one screw since they are written down, clockwise positive; of a length screw, its saddle going back. */
export interface TurnTotal {
  screw: SetupScrew
  string?: number
  /** Where it stands against where it stood first. */
  turns: number
  /** How far it was turned altogether, both ways. */
  both: number
  times: number
  last: string
}

/** How far each screw has been turned by now: the counter of a claw, a truss nut, a saddle. */
export function turnTotals(build: Build): TurnTotal[] {
  const totals = new Map<string, TurnTotal>()
  for (const t of Object.values(build.setup.turns ?? {}).toSorted(byTime)) {
    const key = `${t.screw} ${t.string ?? ''}`
    const so = totals.get(key)
    totals.set(key, {
      screw: t.screw,
      ...(t.string === undefined ? {} : { string: t.string }),
      turns: (so?.turns ?? 0) + t.turns,
      both: (so?.both ?? 0) + Math.abs(t.turns),
      times: (so?.times ?? 0) + 1,
      last: t.at,
    })
  }
  return [...totals.values()]
}

const NAME: Record<SetupScrew, string> = {
  truss: 'Truss nut',
  claw: 'Claw screws',
  bass: 'Height, bass side',
  treble: 'Height, treble side',
  length: 'Length screw',
}

/** The counter in words: which screw, where it stands against where it stood first, how far it was turned altogether. */
export const totalSays = (t: TurnTotal): [screw: string, stands: string, altogether: string] => [
  `${NAME[t.screw]}${t.string === undefined ? '' : ` of string ${t.string}`}`,
  t.turns === 0 ? 'where it was' : t.screw === 'length' ? lengthWords(t.turns) : turnWords(t.turns),
  `${printTurns(t.both)} in ${t.times} ${t.times === 1 ? 'go' : 'goes'}`,
]

const byTime = (a: ScrewTurn, b: ScrewTurn) => byMoment(a.at, b.at)
