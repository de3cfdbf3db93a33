import type { Part, PartState } from '../part'
import type { Slot } from '../slots'

/** What kind of job a build is: where its parts are at the start, and what the wood is like. Of what plays all is in place. [practice] */
export const JOBS = {
  kit: { label: 'A raw kit', about: 'bare wood in a box, everything to be done', surface: 'raw', starts: 'planned' },
  finished: {
    label: 'A finished body and parts',
    about: 'the wood is coated; what fits is to be found',
    surface: 'coated',
    starts: 'planned',
  },
  rescue: { label: 'A rescue', about: 'an instrument is here, worn or broken', surface: 'coated', starts: 'in hand' },
  upgrade: { label: 'An upgrade', about: 'it plays; some of its parts are changed', surface: 'coated', starts: 'in place' },
  conversion: { label: 'A conversion', about: 'another neck, scale or bridge on what is here', surface: 'coated', starts: 'in hand' },
} as const satisfies Record<string, { label: string; about: string; surface: string; starts: PartState }>

export type JobId = keyof typeof JOBS

/** Is there an instrument that is taken apart first? */
export const comesApart = ({ job }: { job?: JobId }): boolean => job !== undefined && JOBS[job].starts !== 'planned'
/** Is it a whole instrument, worn or not, with every hole for what is in it? A conversion may begin with a bare body. */
export const isWhole = ({ job }: { job?: JobId }): boolean => job === 'rescue' || job === 'upgrade'
/** Is it an instrument that plays, and most of which stays as it is? */
export const plays = ({ job }: { job?: JobId }): boolean => job !== undefined && JOBS[job].starts === 'in place'
export const JOB_IDS = Object.keys(JOBS) as JobId[]

type Parts = Partial<Record<Slot, Part>>

/** Parts of a starting set as they are at the start of such a job. */
export function partsFor(job: JobId, parts: Parts): Parts {
  const { surface, starts } = JOBS[job]
  return Object.fromEntries(
    (Object.entries(parts) as [Slot, Part][]).map(([slot, part]) => [
      slot,
      {
        ...part,
        state: starts,
        ...(slot === 'body' || slot === 'neck' ? { traits: { ...part.traits, surface } } : {}),
      },
    ]),
  )
}
