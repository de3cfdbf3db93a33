import { asChosen, choosePart, slotSpec, type Alternatives as Found, type Joint, type Slot, type StockItem } from '@snug/core'
import { useEffect, useState } from 'react'
import { useWhere } from '../../app/where'
import { useCandidates } from '../../state/useCandidates'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Field'
import { PegMark } from '../../ui/PegMark'
import { shortDay } from '../../ui/times'
import { shopWorker } from '../../workers/compute'

/** Another part instead: what lies in the stash or is on offer, what this joint would then be, what it costs and when it is here. */
export function Alternatives({ joint }: { joint: Joint }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const slots = joint.slots.filter((s) => build.parts[s])
  // What is bought more easily than a body or a neck stands first.
  const usual = slots.find((s) => s !== 'body' && s !== 'neck') ?? slots[0]!
  const [slot, setSlot] = useState<Slot>(usual)
  const [open, setOpen] = useState(false)
  const stock = useCandidates(open ? [slotSpec(slot).kind] : [])
  const found = useFound(joint.id, slot, open ? stock.data : undefined)
  return (
    <details className="mt-3 border-y border-hairline" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="label min-h-10 cursor-pointer content-center text-[15px]">Another part instead</summary>
      <div className="pb-2">
        <Choice<Slot>
          label="Instead of"
          value={slot}
          options={slots.map((s) => [s, `${slotSpec(s).label}: ${build.parts[s]!.name}`] as const)}
          onChange={setSlot}
        />
        {stock.isError && (
          <p role="alert" className="text-wont">
            {stock.error.message}
          </p>
        )}
        {found?.best.length === 0 && (
          <p className="mt-1 text-soft">No other {slotSpec(slot).label.toLowerCase()} lies in the stash or is on offer.</p>
        )}
        <ul aria-label="Parts that could take its place">
          {found?.best.map(({ item, verdict, word, cost, here, spoils }) => (
            <li key={item.id} className="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1">
              <PegMark verdict={verdict} size={16} silent />
              <span className="min-w-0 flex-1">
                <b>{item.part.name}</b>{' '}
                <span className="text-soft">
                  {word} · {whereFrom(item, cost, here, build.currency)}
                </span>
                {spoils.length > 0 && (
                  <span className="block text-[14px] text-wont">would no longer go: {spoils.map((t) => t.toLowerCase()).join(', ')}</span>
                )}
              </span>
              <Button look="quiet" className="!min-h-8" onClick={() => change((b) => choosePart(b, slot, asChosen(item)))}>
                Take it
              </Button>
            </li>
          ))}
        </ul>
        {found && found.more > 0 && <p className="text-soft">{found.more} more; choosing compares them all.</p>}
      </div>
    </details>
  )
}

/** What could take its place, once the worker has tried all there is; nothing until then. */
function useFound(joint: string, slot: Slot, items: StockItem[] | undefined): Found | undefined {
  const build = useOpenBuild()
  const { id } = useWhere()
  const [found, setFound] = useState<Found>()
  useEffect(() => {
    let wanted = true
    setFound(undefined)
    if (items)
      void shopWorker()
        .alternatives(build, joint, slot, items, today(), id)
        .then((x) => wanted && setFound(x))
    return () => {
      wanted = false
    }
  }, [build, joint, slot, items, id])
  return found
}

/** Where it lies, or when it can be here and for how much: what nobody has named is said. */
function whereFrom(item: StockItem, cost: number | undefined, here: string | undefined, currency: string): string {
  if (item.holding === 'stash') return `${item.place ?? 'in the stash'} · 0.00 ${currency}`
  const day = here ? `here by ${shortDay(here)}` : 'nobody says when it comes'
  const postage = item.shipping === undefined ? 'and its postage' : 'with postage'
  return `${day} · ${cost === undefined ? 'no price' : `${cost.toFixed(2)} ${currency} ${postage}`}`
}
