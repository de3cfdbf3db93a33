import { getReady, HAVE, toolCost, type Have, type Ready } from '@snug/core'
import { useMemo } from 'react'
import { useBench } from '../../state/benchStore'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { day } from '../../ui/times'

const SAYS: Record<Have, string> = { own: 'I have it', borrow: 'borrowed', instead: 'something else', buy: 'to buy' }

/** Tools and things used up that the open steps ask for: there, borrowed, made do with, or bought, with what that costs. */
export function GetReady() {
  const build = useOpenBuild()
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const bench = useBench((s) => s.bench)
  const ready = useMemo(() => getReady(steps, bench.things), [steps, bench.things])
  if (!ready.length) return null
  const { money, unpriced } = toolCost(ready)
  const missing = ready.filter((r) => !r.owned).length
  return (
    <section aria-label="Get ready">
      <h3 className="mt-3 text-[18px]">Get ready</h3>
      <p className="text-[14px] text-soft" role="status">
        {missing ? `${missing} of ${ready.length} nobody has said anything of. ` : ''}
        {money || unpriced
          ? `To buy: ${money.toFixed(2)} ${build.currency}${unpriced ? `, and ${unpriced} without a price yet` : ''}.`
          : 'Nothing to buy.'}
      </p>
      <ul>
        {ready.map((r) => (
          <li key={r.tool} className="border-t border-hairline py-1.5">
            <Row ready={r} />
          </li>
        ))}
      </ul>
    </section>
  )
}

function Row({ ready: { tool, for: asked, by, owned, instead } }: { ready: Ready }) {
  const bench = useBench((s) => s.bench)
  const save = useBench((s) => s.save)
  const put = (to: { have: Have; price?: number } | undefined) => {
    const { [tool]: _, ...others } = bench.things ?? {}
    void save({ ...bench, things: to ? { ...others, [tool]: to } : others })
  }
  return (
    <>
      <div className="grid grid-cols-[1fr_9rem] items-center gap-2">
        <span>
          {tool}
          <span className="block text-[13.5px] text-soft">
            {by ? `${day(by)}: ` : ''}
            {asked.slice(0, 2).join('; ')}
            {asked.length > 2 ? ` and ${asked.length - 2} more` : ''}
          </span>
        </span>
        <select
          aria-label={`${tool}: is it there`}
          className={INPUT}
          value={owned?.have ?? ''}
          onChange={(e) => {
            const have = HAVE.find((h) => h === e.target.value)
            put(have && { have })
          }}
        >
          <option value="">not said yet</option>
          {HAVE.map((h) => (
            <option key={h} value={h}>
              {SAYS[h]}
            </option>
          ))}
        </select>
      </div>
      {instead && owned?.have !== 'own' && owned?.have !== 'borrow' && <p className="text-[13.5px]">In its place: {instead}.</p>}
      {owned?.have === 'buy' && (
        <div className="w-32">
          <NumberEntry
            label={`Price of ${tool}`}
            value={owned.price}
            from={0}
            to={100_000}
            onCommit={(price) => put({ have: 'buy', price })}
          />
        </div>
      )}
    </>
  )
}
