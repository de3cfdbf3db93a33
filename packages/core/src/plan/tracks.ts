import type { PlannedStep } from './step'

/** Neck, body and electrics each go on by themselves until they meet. */
export const TRACKS = ['neck', 'body', 'electrics'] as const
export type Track = (typeof TRACKS)[number]

const NECK = ['neck', 'nut', 'tuners', 'strings', 'string-tree', 'neck-screws']

/** Which of them a step is done to. */
export const trackOf = (s: Pick<PlannedStep, 'stage' | 'station' | 'slot' | 'slots'>): Track =>
  s.stage === 'wiring' || s.station === 'wire'
    ? 'electrics'
    : [s.slot, ...(s.slots ?? [])].some((slot) => slot !== undefined && NECK.includes(slot))
      ? 'neck'
      : 'body'

/** The next step of each: one that can be done now before one that waits. */
export function nextOfTracks(steps: readonly PlannedStep[]): { track: Track; next: PlannedStep }[] {
  const open = steps.filter((s) => s.state !== 'done' && s.stage !== 'parcel')
  return TRACKS.flatMap((track) => {
    const mine = open.filter((s) => trackOf(s) === track)
    const next = mine.find((s) => s.state === 'ready') ?? mine[0]
    return next ? [{ track, next }] : []
  })
}
