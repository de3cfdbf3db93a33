import { STATIONS, type Station } from '../document/station'
import type { Evaluation } from './evaluate'

/** What of an evaluation differs from the one before it. Of lists, what stayed is only named. */
export type Patch = Partial<Record<Station, { list: (string | WithId)[] } | { whole: unknown }>> & { failed: Evaluation['failed'] }
interface WithId {
  id: string
}

const listOf = (x: unknown): WithId[] | undefined =>
  Array.isArray(x) && x.every((i) => typeof i === 'object' && i !== null && typeof (i as WithId).id === 'string')
    ? (x as WithId[])
    : undefined

/** The difference between two evaluations of one evaluator, which gives unchanged pieces as the same objects. */
export function patchOf(before: Partial<Evaluation> | undefined, after: Evaluation): Patch {
  const patch: Patch = { failed: after.failed }
  for (const s of STATIONS) {
    if (before && before[s] === after[s]) continue
    const [was, now] = [listOf(before?.[s]), listOf(after[s])]
    patch[s] = was && now ? { list: now.map((i) => (was.includes(i) ? i.id : i)) } : { whole: after[s] }
  }
  return patch
}

/** The evaluation a patch was made from. @param before what the patch was made against */
export function patched(before: Partial<Evaluation> | undefined, { failed, ...stations }: Patch): Evaluation {
  const after = { ...before, failed } as Record<string, unknown>
  for (const [station, piece] of Object.entries(stations))
    after[station] =
      'list' in piece
        ? piece.list.map((i) => (typeof i === 'string' ? listOf(before?.[station as Station])!.find((w) => w.id === i)! : i))
        : piece.whole
  return after as unknown as Evaluation
}
