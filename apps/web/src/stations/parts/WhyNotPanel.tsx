import type { StockItem, WhyNot } from '@snug/core'
import { PegMark } from '../../ui/PegMark'
import { NotKnown } from './NotKnown'

/** What stands against a named part: the joints and numbers that rule it out, or what it would cost more, and the nearest that would do. */
export function WhyNotPanel({ item, result }: { item: StockItem; result: WhyNot | undefined }) {
  const withIt = result?.with ?? result?.replanned
  return (
    <div>
      <h2 className="text-[23px]">Why not {item.part.name}</h2>
      {!result && <p className="text-soft">Trying it…</p>}
      {result?.alone && <p className="mt-2 border-l-4 border-wont pl-3">{result.alone}</p>}
      {result && result.clashes.length > 0 && (
        <>
          <p className="mt-2">It clashes with what is fixed:</p>
          <ul>
            {result.clashes.map((j) => (
              <li key={j.id} className="grid grid-cols-[auto_1fr] gap-x-3 border-b border-hairline py-1.5">
                <PegMark verdict={j.verdict} condition={j.condition} />
                <span>
                  <b>{j.title}.</b> {j.says}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {result?.replanned && !result.more && (
        <p className="mt-2">It goes once what will not go as it is has been put right by larger jobs on what is here:</p>
      )}
      {withIt && result?.more && (
        <p className="mt-2">
          {result.with &&
          result.more.money <= 0.005 &&
          result.more.minutes <= 0 &&
          result.more.days <= 0 &&
          !withIt.unpriced &&
          !withIt.undated
            ? 'Nothing stands against it: a set with it is as good as the best.'
            : `${result.with ? 'It can be had' : 'It goes only after larger jobs on what is here'}: the best set with it costs ${signed(result.more.money, 2)} in money, ${signed(result.more.minutes, 0)} min at the bench and ${signed(result.more.days, 0)} days against the best.`}
        </p>
      )}
      {withIt && (
        <>
          <NotKnown set={withIt} />
          <ul className="mt-1">
            {withIt.joints
              .filter((j) => j.verdict === 'tight' || j.verdict === 'wont-go' || j.verdict === 'cant-tell')
              .map((j) => (
                <li key={j.id} className="grid grid-cols-[auto_1fr] gap-x-3 border-b border-hairline py-1">
                  <PegMark verdict={j.verdict} condition={j.condition} />
                  <span>
                    {j.title}. <span className="text-soft">{j.verdict === 'wont-go' ? (j.job ?? j.says) : j.says}</span>
                  </span>
                </li>
              ))}
          </ul>
        </>
      )}
      {result && !result.alone && !withIt && !result.clashes.length && (
        <p className="mt-2 border-l-4 border-wont pl-3">No complete set keeps the limits with this part in it.</p>
      )}
      {result?.nearest && (
        <p className="mt-3">
          Nearest that would do: <b>{result.nearest.part.name}</b>
          {result.nearest.holding === 'offer'
            ? `, ${result.nearest.part.price?.toFixed(2) ?? 'no price said'} at ${result.nearest.part.seller ?? 'a seller'}`
            : ', from the stash'}{' '}
          ({slotSpecOf(result.nearest)}).
        </p>
      )}
    </div>
  )
}

const signed = (n: number, digits: number) => {
  const amount = Math.abs(n).toFixed(digits)
  return Number(amount) ? `${n > 0 ? '+' : '−'}${amount}` : amount
}
const slotSpecOf = (item: StockItem) => item.part.kind.replace('-', ' ')
