import { finishDrawing } from '../../finish/filmDrawing'
import { finishResult, type FinishResult } from '../../finish/finishPlan'
import { coatsBy, coatsSay } from '../../finish/coatGroups'
import type { Contribution } from '../contribution'
import { finishSheet } from './sheet'
import { finishSteps, woodReady } from './steps'
import { counted } from '../../quantity/words'

/** Finish: coats on the person's evenings, what to buy, whether the weather allows it. */
export const finish: Contribution<FinishResult> = {
  result: (build, today, earlier, remember) => {
    const ready = woodReady(build, earlier, today)
    return remember(`finish ${ready}`, build, (b) => finishResult(b, ready))
  },
  fromSteps: true,
  steps: finishSteps,
  draw: (build) => finishDrawing(build),
  things: (_, { plan }) =>
    coatsBy(plan?.coats ?? [], 'date').map(({ id: date, coats }) => ({
      id: date,
      title: `Coats of ${date}: ${coatsBy(coats, 'step')
        .map((g) => coatsSay(g.coats))
        .join(', ')}`,
    })),
  count: (_, f) => (f.weather && !f.weather.ok ? 1 : 0) + (f.trouble && !f.asItCame ? 1 : 0) + f.problems.length,
  sheets: (build, f) => (f.groups.length ? [finishSheet(build, f)] : []),
  moved: (before, after) =>
    after.shopping.flatMap((s) => {
      const was = before.shopping.find((x) => x.product === s.product)
      return was && was.containers !== s.containers
        ? [`${s.label.toLowerCase()}: ${counted(s.containers, s.containerName)} instead of ${was.containers}`]
        : []
    }),
}
