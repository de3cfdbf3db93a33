import type { Build } from '../document/build'
import type { Bench } from '../drill/bench'
import { splitBy, type Split } from '../plan/split'
import { evaluator } from './evaluator'

/** What to leave so that the promised day is kept, each way tried in the whole build; nothing where no day is promised. @param today ISO date */
export function splitDue(build: Build, today: string, bench?: Bench): Split | undefined {
  const evaluated = evaluator()
  return splitBy(build, (b) => evaluated(b, today, bench).plan)
}
