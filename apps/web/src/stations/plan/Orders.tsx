import { couldBe, daysToCome, slipsOf, toOrder, type Slot } from '@snug/core'
import { useMemo } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { useCandidates } from '../../state/useCandidates'
import { today } from '../../state/today'
import { day } from '../../ui/times'

/** Parts nobody has ordered, each with the step that wants it first; what has to be ordered today stands above. */
export function Orders() {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const kinds = useMemo(
    () => [...new Set(Object.values(build.parts).flatMap((p) => (p && p.state === 'planned' ? [p.kind] : [])))],
    [build.parts],
  )
  const offers = useCandidates(kinds).data
  const list = useMemo(() => {
    const slips = slipsOf(offers ?? [])
    const quickest = (slot: Slot) => {
      const days = (offers ?? []).filter((o) => o.holding === 'offer' && couldBe(build, slot, o)).flatMap((o) => daysToCome(o, slips) ?? [])
      return days.length ? Math.min(...days) : undefined
    }
    return toOrder(build, plan, quickest)
  }, [build, plan, offers])
  if (!list.length) return null
  const now = today()
  return (
    <section aria-label="To order" className="px-4 py-3">
      <h3 className="text-[18px]">To order</h3>
      <ul>
        {list.map((p) => {
          const late = p.orderBy !== undefined && p.orderBy <= now
          return (
            <li key={p.slot} className="grid grid-cols-[1fr_auto] gap-3 border-t border-hairline py-1.5">
              <span>
                <b>{p.label}</b>
                {p.step && <span className="block text-[14px] text-soft">first wanted for: {p.step}</span>}
              </span>
              <span className={`text-right ${late ? 'font-bold text-wont' : ''}`}>
                {p.orderBy === undefined ? (p.by ? `wanted ${day(p.by)}` : '') : late ? 'order it today' : `order by ${day(p.orderBy)}`}
              </span>
            </li>
          )
        })}
      </ul>
      <p className="text-[13.5px] text-soft">
        Days are those of the quickest offer, stretched by what its seller’s promises slip (by 1.3 where nobody knows the seller), and two
        to look the parcel over.
      </p>
    </section>
  )
}
