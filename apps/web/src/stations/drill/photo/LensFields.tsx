import { lensFrom } from '@snug/core'
import { Button } from '../../../ui/Button'
import type { PhotoWork } from './work'

/** What straight edges in the picture say of its lens. */
export function LensFields({
  work,
  set,
  size,
}: {
  work: PhotoWork
  set: (more: Partial<PhotoWork>) => void
  size: { width: number; height: number }
}) {
  const found = lensFrom(work.edges, size.width, size.height)
  const picked = work.edges.at(-1)?.length ?? 0
  return (
    <section>
      <p>
        Pick along an edge that is straight in truth: a rule, a bench’s edge, the longer the better and far from the middle. Five places at
        least; each comes onto the edge near it.
      </p>
      <p className="mt-1" role="status">
        {found
          ? `It lay ${found.before.toFixed(1)} px off a straight line and lies ${found.after.toFixed(1)} off now: lengths are right to ${(found.doubt * 100).toFixed(2)} % as far as the lens goes.`
          : `${picked} of 5 places picked.`}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={picked < 5} onClick={() => set({ edges: [...work.edges, []] })}>
          Another edge
        </Button>
        <Button look="quiet" disabled={!work.edges.flat().length} onClick={() => set({ edges: [] })}>
          Begin again
        </Button>
      </div>
    </section>
  )
}
