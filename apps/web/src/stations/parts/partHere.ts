import { daysBetween, type Build, type Slot, type StockItem } from '@snug/core'
import { today } from '../../state/today'

const idHere = (slot: Slot) => `here-${slot}`

/** The part a slot already holds is a candidate like any other, at no further cost. */
export function partHere(build: Build, slot: Slot): StockItem[] {
  const part = build.parts[slot]
  if (!part) return []
  // What is ordered is paid for, and here on the day it is promised for.
  const days = part.state === 'ordered' && part.arrives ? daysBetween(today(), part.arrives) : -1
  return [
    {
      id: idHere(slot),
      part,
      holding: part.state === 'planned' ? 'offer' : 'stash',
      quantity: 1,
      reserved: {},
      ...(days >= 0 ? { lead: { promised: days } } : {}),
    },
  ]
}

/** Under which id a preferred part that is here stands among the candidates. */
export const preferredHere = (build: Build, slot: Slot): { preferred?: string } =>
  build.slots?.[slot] === 'preferred' ? { preferred: idHere(slot) } : {}

/** Is what a set has in this slot the part that is there already? */
export const isHere = ({ slot, item }: { slot: Slot; item: StockItem }): boolean => item.id === idHere(slot)
