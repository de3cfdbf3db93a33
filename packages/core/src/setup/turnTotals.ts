import type { Build, ScrewTurn, SetupScrew } from '../document/build'
import { byMoment } from '../quantity/moments'

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

const byTime = (a: ScrewTurn, b: ScrewTurn) => byMoment(a.at, b.at)
