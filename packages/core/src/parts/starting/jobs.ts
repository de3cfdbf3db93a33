import type { Part } from '../part'
import type { Slot } from '../slots'

/** What kind of job a build is: what lies on the bench at the start, and what the wood is like. [practice] */
export const JOBS = {
  kit: { label: 'A raw kit', about: 'bare wood in a box, everything to be done', surface: 'raw', here: false },
  finished: { label: 'A finished body and parts', about: 'the wood is coated; what fits is to be found', surface: 'coated', here: false },
  rescue: { label: 'A rescue', about: 'an instrument is here, worn or broken', surface: 'coated', here: true },
  upgrade: { label: 'An upgrade', about: 'it plays; some of its parts are changed', surface: 'coated', here: true },
  conversion: { label: 'A conversion', about: 'another neck, scale or bridge on what is here', surface: 'coated', here: true },
} as const satisfies Record<string, { label: string; about: string; surface: string; here: boolean }>

export type JobId = keyof typeof JOBS

/** Is there an instrument that is taken apart first? */
export const comesApart = ({ job }: { job?: JobId }): boolean => job !== undefined && JOBS[job].here
export const JOB_IDS = Object.keys(JOBS) as JobId[]

type Parts = Partial<Record<Slot, Part>>

/** Parts of a starting set as they are at the start of such a job. */
export function partsFor(job: JobId, parts: Parts): Parts {
  const { surface, here } = JOBS[job]
  return Object.fromEntries(
    (Object.entries(parts) as [Slot, Part][]).map(([slot, part]) => [
      slot,
      {
        ...part,
        ...(here ? { state: 'in hand' as const } : {}),
        ...(slot === 'body' || slot === 'neck' ? { traits: { ...part.traits, surface } } : {}),
      },
    ]),
  )
}
