import type { Cure } from '../judge/joint'

/**
 * Cures of several joints in the same words, of one and the same size, are one piece of work: done once more for each of them a route would
 * come out twice as deep.
 * @returns in the order given, each with those that ask for the same
 */
export function oneCut<T>(works: readonly T[], cureOf: (work: T) => Pick<Cure, 'job' | 'plan'> | undefined): { work: T; others: T[] }[] {
  const by = new Map<unknown, { work: T; others: T[] }>()
  for (const work of works) {
    const cure = cureOf(work)
    const key = cure?.plan ? `${cure.job} ${cure.plan.slot}/${cure.plan.size}` : work
    const same = by.get(key)
    if (same) same.others.push(work)
    else by.set(key, { work, others: [] })
  }
  return [...by.values()]
}
