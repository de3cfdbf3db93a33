import { NO_PARCEL, setField, setIn, spending } from '@snug/core'
import { BarElement, CategoryScale, Chart, LinearScale } from 'chart.js'
import { Workspace } from '../../app/Workspace'
import { useShallow } from 'zustand/react/shallow'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { MoneyFoot } from './MoneyFoot'
import { PartsList } from './PartsList'
import { SellerChart } from './SellerChart'
import { OrderBy } from './OrderBy'
import { Consumables } from './Consumables'
import { ShopWork } from './ShopWork'

Chart.register(BarElement, CategoryScale, LinearScale)

const isNoParcel = (seller: string) => Object.values<string>(NO_PARCEL).includes(seller)

/** Money by seller, one postage a parcel, what is used up, what is left, and by when to order. */
export function MoneyTab() {
  const build = useOpenBuild()
  const { change, evaluation } = useBuild(useShallow(({ change, evaluation }) => ({ change, evaluation })))
  const sum = spending(build)
  const open = evaluation!.plan.steps.filter((s) => s.stage === 'parcel')
  return (
    <Workspace
      loupe={<SellerChart />}
      listLabel="Money by seller"
      list={
        <PartsList foot={<MoneyFoot sum={sum} currency={build.currency} />}>
          <table className="w-full text-[15px]">
            <caption className="sr-only">Money by seller</caption>
            <thead>
              <tr className="label text-left text-[14px] text-soft">
                <th className="py-1 pl-4">seller</th>
                <th className="text-right">parts</th>
                <th className="text-right">planned</th>
                <th className="pr-4 text-right">paid</th>
                <th className="pr-4 text-right">postage, once</th>
              </tr>
            </thead>
            <tbody>
              {sum.sellers.map((s) => (
                <tr key={s.seller} className="border-t border-hairline">
                  <td className="py-1 pl-4">{s.seller}</td>
                  <td className="figure text-right">{s.parts}</td>
                  <td className="figure text-right">{s.planned.toFixed(2)}</td>
                  <td className="figure pr-4 text-right">{s.paid.toFixed(2)}</td>
                  <td className="w-28 py-0.5 pr-4">
                    {isNoParcel(s.seller) ? null : (
                      <NumberEntry
                        quiet
                        label={`Postage from ${s.seller}`}
                        value={s.shipping}
                        from={0}
                        to={1e5}
                        onCommit={(v) => change((b) => setIn(b, 'parcels', s.seller, v, `Postage from ${s.seller} ${v}`))}
                      />
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <ShopWork />
          <Consumables />
        </PartsList>
      }
      hand={
        <div>
          <h2 className="text-[23px]">Budget and days</h2>
          <div className="mt-2 grid grid-cols-2 gap-3">
            <NumberEntry
              label={`Budget, ${build.currency}`}
              value={build.budget}
              from={0}
              to={1e6}
              onCommit={(v) => change((b) => setField(b, ['budget'], v, `Budget ${v}`))}
            />
            <NumberEntry
              label={`To be sold for, ${build.currency}`}
              value={build.sale}
              from={0}
              to={1e6}
              onCommit={(v) => change((b) => setField(b, ['sale'], v, `To be sold for ${v}`))}
            />
            <label className="label text-[14px] text-soft">
              Due
              <input
                type="date"
                className={INPUT}
                value={build.due ?? ''}
                onChange={(e) => change((b) => setField(b, ['due'], e.target.value || undefined, `Due ${e.target.value}`))}
              />
            </label>
          </div>
          <h3 className="mt-3 text-[18px]">Still to come</h3>
          {open.length === 0 ? (
            <p className="text-soft">Every chosen part is in hand.</p>
          ) : (
            <ul>
              {open.map((s) => (
                <li key={s.id} className="border-b border-hairline py-1">
                  {s.title} <span className="block text-soft">{s.why}</span>
                </li>
              ))}
            </ul>
          )}
          <OrderBy />
        </div>
      }
    />
  )
}
