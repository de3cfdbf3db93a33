import { addDays, evaluate, evaluator, forecast, sharedBench, tonight, type Build } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { dunlin, heron, plover } from '@snug/demo'
import { median, row } from './measure'

const TODAY = '2026-11-24'
const DUE = '2027-02-15'

/** The plan made anew after a tick and after a parcel that comes five weeks late, and what is worked out from it in a worker. */
export async function benchPlan(): Promise<void> {
  const build = heron(TODAY, DUE, '2026-12-05')
  const late = (b: Build, days: number): Build => ({
    ...b,
    parts: { ...b.parts, bridge: { ...b.parts.bridge!, state: 'ordered', arrives: addDays('2026-12-05', days) } },
  })
  const next = evaluator()
  next(build, TODAY)
  let days = 35
  row('Heron planned anew: its bridge comes five weeks late, to 100 ms', await median(50, () => next(late(build, days++ % 50), TODAY)))
  const full = fullBuild()
  row('the fullest build planned anew from nothing, to 100 ms', await median(50, () => evaluate(late(full, days++ % 50), TODAY)))
  const { steps } = evaluate(build, TODAY).plan
  let tick = 0
  row(
    'Heron planned anew after a tick',
    await median(50, () => next({ ...build, steps: { [steps[tick++ % steps.length]!.id]: { done: `${TODAY}T20:00:00Z` } } }, TODAY)),
  )
  row('its end by chance, 400 runs, in a worker', await median(9, () => forecast(build, steps, TODAY)))
  row('what to do tonight, 90 minutes, in a worker', await median(9, () => tonight(build, steps, TODAY, 90)))
  const on = [build, plover(TODAY, DUE), dunlin(TODAY, DUE, '2026-12-05')].map((b, i) => ({
    id: String(i),
    build: b,
    steps: evaluate(b, TODAY).plan.steps,
  }))
  row('three builds on one bench, in a worker', await median(20, () => sharedBench(on, TODAY)))
}
