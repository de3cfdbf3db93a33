import type { Station } from '@snug/core'
import { useWhere } from './where'

/** The thing in hand at a station: the one the address names, or the first there is. */
export function useHand<T extends { id: string }>(
  station: Station,
  things: readonly T[],
): { hand: T | undefined; pick: (id: string) => void } {
  const { thing, go } = useWhere()
  const hand = things.find((t) => t.id === thing) ?? things[0]
  return { hand, pick: (id) => things.some((t) => t.id === id) && go(station, id, true) }
}
