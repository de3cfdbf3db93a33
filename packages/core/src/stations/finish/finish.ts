import { finishDrawing } from '../../finish/filmDrawing'
import { finishResult, type FinishResult } from '../../finish/finishPlan'
import { coatsBy } from '../../finish/coatGroups'
import type { Contribution } from '../contribution'
import { finishSteps, woodReady } from './steps'

/** Finish: coats on the person's evenings, what to buy, whether the weather allows it. */
export const finish: Contribution<FinishResult> = {
  result: (build, today, earlier, remember) => {
    const ready = woodReady(build, earlier, today)
    return remember(`finish ${ready}`, build, (b) => finishResult(b, ready))
  },
  fromSteps: true,
  steps: finishSteps,
  draw: finishDrawing,
  things: (_, { plan }) =>
    coatsBy(plan?.coats ?? [], 'date').map(({ id: date, coats }) => ({
      id: date,
      title: `Coats of ${date}: ${coats.map((c) => `${c.label.toLowerCase()} ${c.number}`).join(', ')}`,
    })),
  count: (_, f) => (f.weather && !f.weather.ok ? 1 : 0) + (f.trouble ? 1 : 0) + f.problems.length,
  moved: (before, after) =>
    !before.need || !after.need || !after.system || before.need.containers === after.need.containers
      ? []
      : [`${after.need.containers} ${after.system.containerName}s instead of ${before.need.containers}`],
}
