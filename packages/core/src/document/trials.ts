import type { Build, Trial, TrialResult } from './build'
import { asJson, edit, type Change } from './change'
import type { SizeRef } from './read'
import type { Slot } from '../parts/slots'
import { told } from '../quantity/size'

/** What of a build a trial stands on, as it is now: a size nobody has told is no part of it, and read later it is the same part still. */
function basisNow(build: Build, refs: readonly SizeRef[], slots: readonly Slot[]): Trial['of'] {
  const of: Trial['of'] = {}
  for (const slot of slots) {
    const part = build.parts[slot]
    if (!part) continue
    of[slot] = part.name
    for (const [trait, said] of Object.entries(part.traits)) of[`${slot}.${trait}`] = said
  }
  for (const { slot, size } of refs) {
    const known = told(build.parts[slot]?.sizes[size])
    if (known) of[`${slot}/${size}`] = known.value
  }
  return of
}

interface Tried {
  id: string
  title: string
  reads: readonly SizeRef[]
  slots: readonly Slot[]
}

/** Writes down how a joint went when it was tried by hand. @param on ISO day */
export const recordTrial = (build: Build, joint: Tried, result: TrialResult, on: string): Change =>
  recordTrials(build, [{ joint, result }], on, `Tried: ${joint.title}`)

/** The same of several joints, in one change. */
export function recordTrials(build: Build, tried: readonly { joint: Tried; result: TrialResult }[], on: string, label: string): Change {
  const trials = tried.map(({ joint, result }): [string, Trial] => [
    joint.id,
    { result, on, of: basisNow(build, joint.reads, joint.slots) },
  ])
  const edits = build.trials
    ? trials.map(([id, trial]) => edit(build, ['trials', id], asJson(trial)))
    : [edit(build, ['trials'], asJson(Object.fromEntries(trials)))]
  return { label, edits }
}

export const forgetTrial = (build: Build, joint: { id: string; title: string }): Change => ({
  label: `Not tried: ${joint.title}`,
  edits: [edit(build, ['trials', joint.id], undefined)],
})

/** The trial of a joint, and what has become another since: nothing while it still holds. */
export function trialOf(build: Build, id: string): { trial: Trial; since?: string } | undefined {
  const trial = build.trials?.[id]
  if (!trial) return undefined
  const since = Object.entries(trial.of).find(([key, was]) => valueNow(build, key) !== was)?.[0]
  return { trial, ...(since ? { since } : {}) }
}

function valueNow(build: Build, key: string): string | number | undefined {
  const [slash, dot] = [key.indexOf('/'), key.indexOf('.')]
  if (slash > 0) return build.parts[key.slice(0, slash) as Slot]?.sizes[key.slice(slash + 1)]?.value
  if (dot > 0) return build.parts[key.slice(0, dot) as Slot]?.traits[key.slice(dot + 1)]
  return build.parts[key as Slot]?.name
}
