import type { Build } from '../../document/build'
import { asJson, edit, type Change } from '../../document/change'
import type { Results } from '../list'

/** What an instrument is not: joints that do not go as they should, and steps nobody has done. In the words of the day. */
export function knownFaults(results: Results): string[] {
  const joints = results.fit.filter((j) => j.verdict === 'tight' || j.verdict === 'wont-go').map((j) => `${j.title}: ${j.says}`)
  const steps = results.plan.steps.filter((s) => s.state !== 'done').map((s) => s.title + HOW_NEEDED[s.need])
  return [...joints, ...steps].map((f) => f.slice(0, 400)).slice(0, 200)
}

const HOW_NEEDED = { must: '', should: ' (should be done)', later: ' (can come later)' }

/** Handed over with what is known to be open, which is written down as it is that day. @param on ISO day */
export function handOver(build: Build, results: Results, on: string, to: string): Change {
  const delivered = { on, ...(to.trim() ? { to: to.trim().slice(0, 120) } : {}), faults: knownFaults(results) }
  return {
    label: to.trim() ? `Handed over to ${to.trim().slice(0, 120)}` : 'Handed over',
    edits: [edit(build, ['delivered'], asJson(delivered))],
  }
}

/** Taken in again at its next test: what it was handed over with stays written down. */
export function reopen(build: Build, on: string, why: string): Change {
  if (!build.delivered) return { label: '', edits: [] }
  const said = why.trim().slice(0, 400)
  return { label: `Taken in again: ${said}`, edits: [edit(build, ['delivered', 'reopened'], asJson({ on, why: said }))] }
}

/** Is it out of the house, with nobody at work on it? */
export const isOut = (build: Build): boolean => build.delivered !== undefined && build.delivered.reopened === undefined
