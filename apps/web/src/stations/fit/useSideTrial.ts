import { asJson, edit, tiltJob, TRIAL_TILT, type Build, type Change, type Edit, type Json } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'

/** What is tried in the side view: tilt added to the neck, degrees, and the bridge's height, mm; undefined where the action decides. */
export interface SideTrial {
  tilt: number
  saddle: number | undefined
}

/** Words for a shim of that tilt under a heel of that length. */
export function shimWords(tilt: number, heel: number): string {
  const mm = (heel * Math.tan((Math.abs(tilt) * Math.PI) / 180)).toFixed(2)
  return `Tapered shim, ${mm} mm at the pocket’s ${tilt < 0 ? 'mouth' : 'end'} (${tilt.toFixed(2)}°)`
}

function trialChange(build: Build, to: SideTrial): Change {
  const heel = build.parts.body?.sizes['pocket.length']?.value ?? 76
  const tilt = Math.round(to.tilt * 1000) / 1000
  const text = shimWords(tilt, heel)
  const job: Json | undefined = tilt === 0 ? undefined : asJson({ ...tiltJob(heel, tilt), text })
  const edits: Edit[] = [edit(build, ['jobs', TRIAL_TILT], job), edit(build, ['setup', 'saddle'], to.saddle)]
  const words = [...(job ? [text] : []), ...(to.saddle === undefined ? [] : [`saddles at ${to.saddle.toFixed(2)} mm`])]
  return { label: words.join(', ') || 'Neck and bridge as they were', edits }
}

/** Tilt and bridge height on trial, dragged in the drawing or set beside it. */
export function useSideTrial() {
  const build = useOpenBuild()
  const trial = useBuild((s) => s.trial)
  const tryOut = useBuild((s) => s.tryOut)
  const shown = trial?.build ?? build
  const now: SideTrial = { tilt: shown.jobs[TRIAL_TILT]?.delta ?? 0, saddle: shown.setup.saddle }
  const set = (more: Partial<SideTrial>) => tryOut((b) => trialChange(b, { ...now, ...more }))
  return {
    now,
    set,
    drag: (handle: string, value: number) => set(handle === 'tilt' ? { tilt: value } : { saddle: value }),
  }
}
