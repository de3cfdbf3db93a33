import { counted, handWords, isPartHere, type Slot } from '@snug/core'
import { useState } from 'react'
import { toast } from 'sonner'
import { useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { useStockActs } from './useStock'
import { filled } from './filledSlots'

export function Donor() {
  const build = useOpenBuild()
  const acts = useStockActs()
  const slots = filled(build)
  const isHere = (slot: Slot) => isPartHere(build.parts[slot])
  const [keep, setKeep] = useState<ReadonlySet<Slot>>(new Set(slots.filter(isHere)))
  const [place, setPlace] = useState(`box: ${build.name}`)
  return (
    <div>
      <h2 className="text-[23px]">Break {build.name} up</h2>
      <p className="mt-1">
        Every ticked part goes into the stash with the sizes it has; {build.name} itself stays as it is. Magnets, leads, covers and screws
        of scrapped parts are worth a bag of their own.
      </p>
      <label className="label mt-2 block text-[14px] text-soft">
        Where it lies
        <input className={INPUT} value={place} maxLength={80} onChange={(e) => setPlace(e.target.value)} />
      </label>
      <ul className="mt-2">
        {slots.map((slot) => (
          <li key={slot} className="border-b border-hairline">
            <label className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 shrink-0 accent-[var(--violet)]"
                checked={keep.has(slot)}
                onChange={(e) => {
                  const next = new Set(keep)
                  if (e.target.checked) next.add(slot)
                  else next.delete(slot)
                  setKeep(next)
                }}
              />
              {build.parts[slot]!.name}
              <span className="text-soft">
                {handWords(build.parts[slot]!)}
                {!isHere(slot) && ' not here yet'}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <Button
        look="main"
        className="mt-3"
        disabled={!keep.size || acts.addMany.isPending}
        onClick={() =>
          acts.addMany.mutate(
            slots
              .filter((s) => keep.has(s))
              .map((s) => ({
                part: { ...build.parts[s]!, state: 'in hand' as const },
                holding: 'stash' as const,
                quantity: 1,
                reserved: {},
                ...(place.trim() ? { place: place.trim() } : {}),
              })),
            { onSuccess: (items) => toast(`${counted(items.length, 'part')} put in the stash.`) },
          )
        }
      >
        Put {counted(keep.size, 'part')} in the stash
      </Button>
    </div>
  )
}
