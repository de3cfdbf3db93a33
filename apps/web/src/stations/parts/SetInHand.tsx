import { slotSpec, type ChosenSet, type Verdict } from '@snug/core'
import { Button } from '../../ui/Button'
import { PegMark } from '../../ui/PegMark'
import { NotKnown } from './NotKnown'
import { isHere } from './partHere'

const URGENT: Verdict[] = ['wont-go', 'tight', 'cant-tell', 'loose', 'snug']

interface Props {
  set: ChosenSet
  /** Where it was found for a build, or for limits, that are not these any more: its figures need not hold, and it is not taken. */
  onAgain: (() => void) | undefined
  onTake: () => void
  onTry: () => void
  currency: string
}

export function SetInHand({ set, onAgain, onTake, onTry, currency }: Props) {
  const joints = set.joints.toSorted((a, b) => URGENT.indexOf(a.verdict) - URGENT.indexOf(b.verdict))
  return (
    <div>
      <h2 className="text-[23px]">
        {set.money.toFixed(2)} {currency}, {set.minutes} min at the bench
      </h2>
      <NotKnown set={set} />
      <ul className="mt-2">
        {set.items.map(({ slot, item }) => (
          <li key={slot} className="flex justify-between gap-3 border-b border-hairline py-1">
            <span>
              {item.part.name} <span className="text-soft">{slotSpec(slot).label}</span>
            </span>
            <span className="figure whitespace-nowrap">{holdingWords({ slot, item })}</span>
          </li>
        ))}
        {set.parcels.map((p) => (
          <li key={p.seller} className="flex justify-between gap-3 border-b border-hairline py-1 text-soft">
            Parcel from {p.seller}
            <span className="figure">{p.cost?.toFixed(2) ?? 'postage not said'}</span>
          </li>
        ))}
      </ul>
      {!onAgain && set.items.every(isHere) ? (
        <p className="mt-3 text-soft">This is what is chosen already: there is nothing to take.</p>
      ) : (
        <div className="mt-3 flex gap-2">
          <Button look="main" onClick={onAgain ?? onTake}>
            {onAgain ? 'Find sets again' : 'Take this set'}
          </Button>
          {!onAgain && <Button onClick={onTry}>Only try it</Button>}
        </div>
      )}
      <h3 className="mt-3 text-[18px]">Its joints</h3>
      <ul>
        {joints.map((j) => (
          <li key={j.id} className="grid grid-cols-[auto_1fr] items-center gap-x-3 border-b border-hairline py-1">
            <PegMark verdict={j.verdict} condition={j.condition} />
            <span>
              {j.title}
              {j.verdict !== 'snug' && <span className="block text-[13.5px] text-soft">{j.job ?? j.says}</span>}
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}

/** Where a part of a set is, or what it costs. */
function holdingWords(chosen: ChosenSet['items'][number]): string {
  const { part, holding } = chosen.item
  if (isHere(chosen) && part.state !== 'planned') return part.state === 'ordered' ? 'ordered' : 'is here'
  return holding === 'stash' ? 'stash' : (part.price?.toFixed(2) ?? 'no price')
}
