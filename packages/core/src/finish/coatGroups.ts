import type { Coat } from './schedule'
import { WHOLE } from './zones'

/** Coats put together by evening, or by the step of the plan they belong to, in the order they are laid. */
export function coatsBy<K extends 'date' | 'step'>(coats: readonly Coat[], key: K): { id: Coat[K]; coats: Coat[] }[] {
  const groups = new Map<Coat[K], Coat[]>()
  for (const c of coats) groups.set(c[key], [...(groups.get(c[key]) ?? []), c])
  return [...groups].map(([id, list]) => ({ id, coats: list }))
}

/** Coats of one layer in a few words: "nitrocellulose clear 2 to 4". */
export function coatsSay(coats: readonly Coat[]): string {
  const numbers = coats.map((c) => c.number)
  const [from, to] = [Math.min(...numbers), Math.max(...numbers)]
  const { group, groupLabel, label } = coats[0]!
  return `${group === WHOLE ? '' : `${groupLabel.toLowerCase()}, `}${label.toLowerCase()} ${from === to ? from : `${from} to ${to}`}`
}
