import { missingSizes, money, partDrawing, SLOTS, type Slot } from '@snug/core'
import { Check, CircleDashed, Truck } from 'lucide-react'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Workspace } from '../../app/Workspace'
import { useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { PartInHand } from './PartInHand'

const ROWS = SLOTS.map((s) => ({ ...s, id: s.slot as Slot }))

/** Parts: a slot for everything the build wants, what lies in it, and what it costs. */
export default function PartsStation() {
  const build = useOpenBuild()
  const { hand, pick } = useHand('parts', ROWS)
  const slot = hand!.id
  const drawing = useMemo(() => partDrawing(build, slot), [build, slot])
  const sum = money(build.parts)
  return (
    <Workspace
      selected={slot}
      onPick={pick}
      loupe={drawing}
      listLabel="Slots of the build"
      list={
        <div className="flex h-full flex-col">
          <ul className="min-h-0 flex-1 overflow-auto">
            {ROWS.map((row, i) => {
              const part = build.parts[row.slot]
              const missing = part ? missingSizes(part).length : 0
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
                        {row.label}: {row.needed ? 'empty' : 'empty, if it has one'}
                      </span>
                    )
                  }
                  about={
                    part
                      ? [
                          row.label,
                          part.seller,
                          missing ? `${missing} needed sizes missing` : undefined,
                          part.state === 'ordered' && part.arrives ? `promised ${part.arrives}` : undefined,
                        ]
                          .filter(Boolean)
                          .join(' · ')
                      : row.needed
                        ? 'enter its sizes first of all'
                        : undefined
                  }
                  figure={part?.price !== undefined ? part.price.toFixed(0) : ''}
                  under={part?.state}
                  selected={row.slot === slot}
                  onSelect={() => pick(row.slot)}
                />
              )
            })}
          </ul>
          <p className="label flex flex-wrap gap-x-5 border-t border-hairline bg-canvas/50 px-4 py-2 text-[15px]">
            <span>
              Planned <b className="figure">{sum.planned.toFixed(2)}</b> {build.currency}
            </span>
            <span>
              Paid <b className="figure">{sum.paid.toFixed(2)}</b>
            </span>
            {build.budget !== undefined && (
              <span className={sum.planned > build.budget ? 'text-wont' : ''}>
                Budget left <b className="figure">{(build.budget - sum.planned).toFixed(2)}</b>
              </span>
            )}
            {sum.unpriced > 0 && <span className="text-soft">{sum.unpriced} without a price</span>}
          </p>
        </div>
      }
      hand={<PartInHand key={slot} slot={slot} />}
    />
  )
}

function SlotMark({ state }: { state: 'empty' | 'planned' | 'ordered' | 'in hand' }) {
  if (state === 'in hand') return <Check size={18} className="text-ink" aria-label="in hand" />
  if (state === 'ordered') return <Truck size={18} className="text-copper" aria-label="ordered" />
  return <CircleDashed size={18} className="text-soft" aria-label={state} />
}
