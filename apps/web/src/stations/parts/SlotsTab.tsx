import {
  atOdds,
  idleFor,
  notAsListed,
  partDrawing,
  sayDay,
  sizeDrawing,
  SLOTS,
  spending,
  wantedFor,
  wantedSizes,
  type PartState,
  type Slot,
} from '@snug/core'
import { Check, CheckCheck, CircleDashed, Truck } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useHand } from '../../app/useHand'
import { Workspace } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { PartInHand } from './PartInHand'
import { MoneyFoot } from './MoneyFoot'
import { PartsList } from './PartsList'

const ROWS = SLOTS.map((s) => ({ ...s, id: s.slot as Slot }))

/** A slot for everything the build wants, what lies in it, and what it costs. */
export function SlotsTab() {
  const build = useOpenBuild()
  const { hand, pick } = useHand('parts', ROWS)
  const slot = hand!.id
  // The size a person is at is shown where it is taken.
  const [at, setAt] = useState<string>()
  const drawing = useMemo(
    () =>
      at && build.parts[slot] && at.startsWith(`${slot}/`)
        ? sizeDrawing(build, { slot, size: at.slice(slot.length + 1) })
        : partDrawing(build, slot),
    [at, build, slot],
  )
  const sum = spending(build)
  // What is chosen or wanted first, what may stay empty for good after it.
  const rows = useMemo(() => {
    const all = ROWS.map((r) => ({ ...r, why: build.parts[r.slot] ? undefined : wantedFor(build.parts, r.slot) }))
    const first = (r: (typeof all)[number]) => build.parts[r.slot] !== undefined || r.why !== undefined
    return [...all.filter(first), ...all.filter((r) => !first(r))]
  }, [build.parts])
  return (
    <Workspace
      selected={slot}
      onPick={pick}
      loupe={drawing}
      listLabel="Slots of the build"
      list={
        <PartsList foot={<MoneyFoot sum={sum} currency={build.currency} />}>
          <ul>
            {rows.map((row, i) => {
              const part = build.parts[row.slot]
              const missing = wantedSizes(build.parts, row.slot).length
              const idle = idleFor(build.parts, row.slot)
              const off = part ? notAsListed(part).length : 0
              const state = build.slots?.[row.slot]
              return (
                <ThingRow
                  key={row.slot}
                  number={i + 1}
                  mark={<SlotMark state={!part ? 'empty' : part.state} />}
                  title={
                    part ? (
                      part.name
                    ) : (
                      <span className="font-normal text-soft">
                        {row.label}: {row.why ? 'empty' : 'empty, if it has one'}
                      </span>
                    )
                  }
                  about={
                    part
                      ? [
                          row.label,
                          part.seller,
                          state && state !== 'fixed' ? state : undefined,
                          idle ? `nothing takes it: ${idle}` : undefined,
                          missing ? `${missing} needed ${missing === 1 ? 'size' : 'sizes'} missing` : undefined,
                          off ? 'not as listed' : undefined,
                          part && atOdds(part).length ? 'sizes that cannot be right together' : undefined,
                          part.state === 'ordered' && part.arrives ? `promised for ${sayDay(part.arrives)}` : undefined,
                        ]
                          .filter(Boolean)
                          .join(' · ')
                      : row.why
                  }
                  figure={part?.price !== undefined ? part.price.toFixed(0) : ''}
                  under={part?.state}
                  selected={row.slot === slot}
                  onSelect={() => pick(row.slot)}
                />
              )
            })}
          </ul>
        </PartsList>
      }
      hand={
        <div
          onFocus={(e) => setAt(e.target.closest<HTMLElement>('[data-size]')?.dataset.size)}
          onBlur={(e) => !e.currentTarget.contains(e.relatedTarget) && setAt(undefined)}
        >
          <PartInHand key={slot} slot={slot} />
        </div>
      }
    />
  )
}

function SlotMark({ state }: { state: 'empty' | PartState }) {
  if (state === 'in place') return <CheckCheck size={18} className="text-ink" aria-label="in place" />
  if (state === 'in hand') return <Check size={18} className="text-ink" aria-label="in hand" />
  if (state === 'ordered') return <Truck size={18} className="text-copper" aria-label="ordered" />
  return <CircleDashed size={18} className="text-soft" aria-label={state} />
}
