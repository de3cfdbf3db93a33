import { counted, type ChosenSet } from '@snug/core'

/** What a set's money and days leave out: prices and times that nobody has named. */
export function NotKnown({ set }: { set: Pick<ChosenSet, 'unpriced' | 'undated'> }) {
  if (!set.unpriced && !set.undated) return null
  const one = (n: number, single: string, more: string) => (n === 1 ? single : more)
  return (
    <p className="mt-1 text-cant">
      {set.unpriced > 0 && `${counted(set.unpriced, 'part')} in it ${one(set.unpriced, 'has', 'have')} no price: it costs more than that. `}
      {set.undated > 0 && `Nobody says when ${counted(set.undated, 'part')} of it ${one(set.undated, 'comes', 'come')}.`}
    </p>
  )
}
