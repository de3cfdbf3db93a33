import {
  asChosen,
  choosePart,
  freeOf,
  KINDS,
  knownWord,
  leadWords,
  ownSizes,
  printValue,
  SLOTS,
  type Slot,
  type StockItem,
} from '@snug/core'
import { useState } from 'react'
import { useWhere } from '../../app/where'
import { useShallow } from 'zustand/react/shallow'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { NumberEntry } from '../../ui/NumberEntry'
import { TextField } from './TextField'
import { useStockActs } from './useStock'

/** One part of the stash or an offer: how many, where, put by for this build, tried in it. */
export function StockInHand({ item }: { item: StockItem }) {
  const build = useOpenBuild()
  const { change, tryOut } = useBuild(useShallow(({ change, tryOut }) => ({ change, tryOut })))
  const { id, go } = useWhere()
  const acts = useStockActs()
  const { part } = item
  const slots = SLOTS.filter((s) => s.kind === part.kind).map((s) => s.slot as Slot)
  const [slot, setSlot] = useState<Slot | undefined>(slots.find((s) => !build.parts[s]) ?? slots[0])
  const put = (more: Partial<StockItem>) => acts.change.mutate({ ...item, ...more })
  const mine = item.reserved[id] ?? 0
  const reserve = (n: number) => {
    const { [id]: _, ...others } = item.reserved
    put({ reserved: n ? { ...others, [id]: n } : others })
  }
  return (
    <div>
      <h2 className="text-[23px]">{part.name}</h2>
      <p className="text-soft">
        {KINDS[part.kind].label}
        {part.seller ? ` · ${part.seller}` : ''} · {item.holding === 'stash' ? 'in the stash' : `on offer, ${leadWords(item)}`}
      </p>
      {slot && (
        <div className="mt-3 flex flex-wrap items-end gap-2">
          {slots.length > 1 && (
            <select
              aria-label="Slot"
              className="min-h-10 rounded border border-hairline bg-sheet px-2"
              value={slot}
              onChange={(e) => setSlot(e.target.value as Slot)}
            >
              {slots.map((s) => (
                <option key={s} value={s}>
                  {SLOTS.find((x) => x.slot === s)!.label}
                </option>
              ))}
            </select>
          )}
          <Button
            look="main"
            onClick={() => {
              change((b) => choosePart(b, slot, asChosen(item)))
              go('parts', slot)
            }}
          >
            Use it in {build.name}
          </Button>
          <Button
            onClick={() => {
              tryOut((b) => choosePart(b, slot, asChosen(item)))
              go('fit')
            }}
          >
            Only try it
          </Button>
        </div>
      )}
      <div className="mt-3 grid grid-cols-2 gap-x-3 gap-y-2">
        {item.holding === 'stash' ? (
          <>
            <NumberEntry label="How many" value={item.quantity} from={0} to={1e6} onCommit={(v) => put({ quantity: Math.round(v) })} />
            <NumberEntry
              label="Order more below"
              value={item.minimum}
              from={0}
              to={1e6}
              onCommit={(v) => put({ minimum: Math.round(v) })}
            />
            <TextField
              label="Where it lies"
              value={item.place ?? ''}
              max={80}
              onCommit={(place) => acts.change.mutate(place ? { ...item, place } : withoutPlace(item))}
            />
            <NumberEntry
              label={`Put by for ${build.name}, ${freeOf(item, id)} free`}
              value={mine}
              from={0}
              to={freeOf(item, id)}
              onCommit={(v) => reserve(Math.round(v))}
            />
          </>
        ) : (
          <>
            <NumberEntry
              label={`Price, ${build.currency}`}
              value={part.price}
              from={0}
              to={1e6}
              onCommit={(price) => put({ part: { ...part, price } })}
            />
            <NumberEntry label="Postage of a parcel" value={item.shipping} from={0} to={1e5} onCommit={(shipping) => put({ shipping })} />
            <NumberEntry
              label="Days promised"
              value={item.lead?.promised}
              from={0}
              to={1000}
              onCommit={(v) => put({ lead: { ...item.lead, promised: Math.round(v) } })}
            />
            <NumberEntry
              label="Days it took so far"
              value={item.lead?.seen}
              from={0}
              to={1000}
              onCommit={(v) => put({ lead: { promised: item.lead?.promised ?? Math.round(v), seen: Math.round(v) } })}
            />
          </>
        )}
      </div>
      <h3 className="mt-3 text-[18px]">Sizes</h3>
      <table aria-label="Sizes" className="w-full text-[14.5px]">
        <tbody>
          {ownSizes(part).map(([key, s]) => (
            <tr key={key} className="border-t border-hairline">
              <th scope="row" className="py-1 text-left font-normal">
                {KINDS[part.kind].sizes[key]?.label ?? key}
              </th>
              <td className="figure text-right">{printValue(s.value, KINDS[part.kind].sizes[key]?.unit ?? 'mm')}</td>
              <td className="pl-3 text-soft">{knownWord(KINDS[part.kind].sizes[key]?.unit ?? 'mm', s.known)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button look="quiet" className="mt-3" onClick={() => acts.remove.mutate(item.id)}>
        {item.holding === 'stash' ? 'Take it out of the stash' : 'Forget this offer'}
      </Button>
    </div>
  )
}

const withoutPlace = ({ place: _, ...rest }: StockItem) => rest as StockItem
