import type { Coat } from './schedule'

/** Coats put together by evening or by layer, in the order they are laid. */
export function coatsBy<K extends 'date' | 'layer'>(coats: readonly Coat[], key: K): { id: Coat[K]; coats: Coat[] }[] {
  const groups = new Map<Coat[K], Coat[]>()
  for (const c of coats) groups.set(c[key], [...(groups.get(c[key]) ?? []), c])
  return [...groups].map(([id, list]) => ({ id, coats: list }))
}
