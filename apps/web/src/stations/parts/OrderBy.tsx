import { addDays, latestOrder } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useCandidates } from '../../state/useCandidates'
import { day } from '../../ui/times'

/** Offers of the kinds still missing, each with the latest day that keeps the due date. */
export function OrderBy() {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const kinds = [...new Set(Object.values(build.parts).flatMap((p) => (p && p.state === 'planned' ? [p.kind] : [])))]
  const offers = useCandidates(kinds)
  if (!build.due || !plan.ends || !offers.data) return null
  // What the plan has in hand before the due date may go into waiting.
  const slack = Math.max(0, Math.round((Date.parse(build.due) - Date.parse(plan.ends)) / 86_400_000))
  const needed = addDays(plan.steps.find((s) => s.id === 'place')?.date ?? plan.ends, slack)
  const rows = offers.data.filter((i) => i.holding === 'offer').map((i) => ({ ...i, latest: latestOrder(i, offers.data, needed, addDays) }))
  return rows.length ? (
    <>
      <h3 className="mt-3 text-[18px]">Latest day to order</h3>
      <ul>
        {rows.map((i) => (
          <li key={i.id} className="flex justify-between gap-3 border-b border-hairline py-1">
            {i.part.name}
            {i.latest ? <span className="figure">{day(i.latest)}</span> : <span className="text-soft">nobody says how long it takes</span>}
          </li>
        ))}
      </ul>
      <p className="text-[13.5px] text-soft">
        Lead times stretched by what each seller’s promises have slipped so far, and two days to check the parcel.
      </p>
    </>
  ) : null
}
