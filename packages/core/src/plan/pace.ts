import type { Build } from '../document/build'
import type { Stage, Step } from './step'

/** So many pretended steps at the usual pace stand beside the real ones, so that one slow evening is not yet a habit. [ours] */
const PRETENDED = 2
/** From so many steps on it is one's own pace and no more a guess. [ours] */
const ENOUGH = 3

/** How long somebody takes for a kind of work, against what is usual. */
export interface Pace {
  stage: Stage
  /** 1.5: half as long again. */
  ratio: number
  /** Steps it was seen at. */
  steps: number
  sure: boolean
}

/** One's own pace by kind of work, from steps that were timed: the ratio of sums, shrunk towards the usual. [ours] */
export function paces(build: Build, steps: readonly Step[]): Pace[] {
  const seen = new Map<Stage, { took: number; planned: number; steps: number }>()
  for (const s of steps) {
    const { took, planned } = build.steps[s.id] ?? {}
    if (took === undefined || !planned) continue
    const so = seen.get(s.stage) ?? { took: 0, planned: 0, steps: 0 }
    seen.set(s.stage, { took: so.took + took, planned: so.planned + planned, steps: so.steps + 1 })
  }
  return [...seen].map(([stage, { took, planned, steps: n }]) => {
    const pretended = (PRETENDED * planned) / n
    return { stage, ratio: (took + pretended) / (planned + pretended), steps: n, sure: n >= ENOUGH }
  })
}

/** The open steps with the minutes this person will take; what they usually take stays beside it. */
export function atPace(build: Build, steps: readonly Step[]): readonly Step[] {
  const of = new Map(paces(build, steps).map((p) => [p.stage, p.ratio]))
  if (!of.size) return steps
  return steps.map((s): Step => {
    const ratio = build.steps[s.id] ? undefined : of.get(s.stage)
    if (ratio === undefined) return s
    const minutes = Math.max(1, Math.round(s.minutes * ratio))
    return minutes === s.minutes
      ? s
      : { ...s, minutes, usual: s.minutes, ...(s.times ? { times: [s.times[0] * ratio, s.times[1] * ratio] as const } : {}) }
  })
}
