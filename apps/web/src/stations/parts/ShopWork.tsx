import { setIn, slotSpec, SLOTS, type ShopJob, type Slot } from '@snug/core'
import { useState } from 'react'
import { keyFor } from '../../state/keyFor'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'

/** Work given to somebody else's bench: what it costs, when it is promised back, and the part that is away. */
export function ShopWork() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [what, setWhat] = useState('')
  const jobs = Object.entries(build.shop ?? {})
  const put = (id: string, job: ShopJob) => change((b) => setIn(b, 'shop', id, { ...job }, `Shop: ${job.what}`))
  return (
    <section aria-labelledby="shop-work" className="border-t border-hairline px-4 py-3">
      <h3 id="shop-work" className="text-[18px]">
        Done by a shop
      </h3>
      <p className="text-[14px] text-soft">
        A fret levelling, a tint, a cut you would rather not make: it costs money and days, and stands in the plan.
      </p>
      {jobs.map(([id, job]) => (
        <div
          key={id}
          className="grid grid-cols-[1fr_8rem_6.5rem_9.5rem_auto] items-center gap-2 border-b border-hairline py-1 max-[820px]:grid-cols-2"
        >
          <span>{job.what}</span>
          <select
            aria-label={`${job.what}, the part that is away`}
            className={INPUT}
            value={job.slot ?? ''}
            onChange={(e) =>
              put(id, {
                what: job.what,
                price: job.price,
                ...(job.back ? { back: job.back } : {}),
                ...(e.target.value ? { slot: e.target.value as Slot } : {}),
              })
            }
          >
            <option value="">no part</option>
            {SLOTS.filter((s) => build.parts[s.slot]).map((s) => (
              <option key={s.slot} value={s.slot}>
                {slotSpec(s.slot).label}
              </option>
            ))}
          </select>
          <NumberEntry
            quiet
            label={`${job.what}, price`}
            value={job.price}
            from={0}
            to={1e6}
            onCommit={(price) => put(id, { ...job, price })}
          />
          <input
            type="date"
            aria-label={`${job.what}, promised back`}
            className={INPUT}
            value={job.back ?? ''}
            onChange={(e) =>
              put(id, {
                what: job.what,
                price: job.price,
                ...(job.slot ? { slot: job.slot } : {}),
                ...(e.target.value ? { back: e.target.value } : {}),
              })
            }
          />
          <Button look="quiet" onClick={() => change((b) => setIn(b, 'shop', id, undefined, `Shop no longer asked: ${job.what}`))}>
            Not by a shop
          </Button>
        </div>
      ))}
      <form
        className="mt-2 flex gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          if (!what.trim()) return
          put(keyFor(what, build.shop), { what: what.trim(), price: 0 })
          setWhat('')
        }}
      >
        <input
          aria-label="Work for a shop"
          className={INPUT}
          value={what}
          maxLength={120}
          placeholder="neck tinted, frets levelled"
          onChange={(e) => setWhat(e.target.value)}
        />
        <Button type="submit" className="whitespace-nowrap">
          Add the work
        </Button>
      </form>
    </section>
  )
}
