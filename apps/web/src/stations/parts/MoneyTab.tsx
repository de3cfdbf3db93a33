import { addDays, latestOrder, setField, setIn, spending, type Consumable } from '@snug/core'
import { BarElement, CategoryScale, Chart, LinearScale } from 'chart.js'
import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { Bar } from 'react-chartjs-2'
import { Workspace } from '../../app/Workspace'
import { useShallow } from 'zustand/react/shallow'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { useThemeColours } from '../../ui/useThemeColours'
import { MoneyFoot } from './MoneyFoot'
import { PartsList } from './PartsList'
import { useCandidates } from './useStock'

Chart.register(BarElement, CategoryScale, LinearScale)

const day = (iso: string) => format(parseISO(iso), 'EEE d MMM')

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
                    {s.seller === 'from the stash' ? null : (
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
                  {s.title} <span className="text-soft">{s.why}</span>
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

function SellerChart() {
  const sum = spending(useOpenBuild())
  const c = useThemeColours()
  const rows = sum.sellers.filter((s) => s.planned + s.shipping > 0)
  return (
    <figure className="flex h-full flex-col p-3">
      <figcaption className="label text-[13px] text-soft uppercase">
        Money by seller · grey paid · violet to pay · copper postage
      </figcaption>
      <div className="min-h-0 flex-1">
        <Bar
          role="img"
          aria-label={`Planned money by seller: ${rows.map((s) => `${s.seller} ${(s.planned + s.shipping).toFixed(0)}`).join(', ')}`}
          data={{
            labels: rows.map((s) => s.seller),
            datasets: [
              { data: rows.map((s) => s.paid), backgroundColor: c.soft, barThickness: 12 },
              { data: rows.map((s) => s.planned - s.paid), backgroundColor: c.violet, barThickness: 12 },
              { data: rows.map((s) => s.shipping), backgroundColor: c.copper, barThickness: 12 },
            ],
          }}
          options={{
            indexAxis: 'y',
            animation: false,
            maintainAspectRatio: false,
            plugins: { legend: { display: false }, tooltip: { enabled: false } },
            scales: {
              x: { stacked: true, ticks: { color: c.soft, font: { size: 11 } }, grid: { color: c.hairline } },
              y: { stacked: true, ticks: { color: c.ink, font: { family: 'Barlow Condensed', size: 13 } }, grid: { display: false } },
            },
          }}
        />
      </div>
    </figure>
  )
}

/** Offers of the kinds still missing, each with the latest day that keeps the due date. */
function OrderBy() {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const kinds = [...new Set(Object.values(build.parts).flatMap((p) => (p && p.state === 'planned' ? [p.kind] : [])))]
  const offers = useCandidates(kinds)
  if (!build.due || !plan.ends || !offers.data) return null
  // What the plan has in hand before the due date may go into waiting.
  const slack = Math.max(0, Math.round((Date.parse(build.due) - Date.parse(plan.ends)) / 86_400_000))
  const needed = addDays(plan.steps.find((s) => s.id === 'trial-build')?.date ?? plan.ends, slack)
  const rows = offers.data.filter((i) => i.holding === 'offer')
  return rows.length ? (
    <>
      <h3 className="mt-3 text-[18px]">Latest day to order</h3>
      <ul>
        {rows.map((i) => (
          <li key={i.id} className="flex justify-between gap-3 border-b border-hairline py-1">
            {i.part.name}
            <span className="figure">{day(latestOrder(i, offers.data, needed, addDays))}</span>
          </li>
        ))}
      </ul>
      <p className="text-[13.5px] text-soft">
        Lead times stretched by what each seller’s promises have slipped so far, and two days to check the parcel.
      </p>
    </>
  ) : null
}

function Consumables() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [name, setName] = useState('')
  const rows = Object.entries(build.consumables ?? {})
  const put = (id: string, c: Consumable) =>
    change((b) => setIn(b, 'consumables', id, { ...c }, `${c.name}: ${Math.round(c.share * 100)} % used`))
  return (
    <section aria-labelledby="consumables" className="border-t border-hairline px-4 py-3">
      <h3 id="consumables" className="text-[18px]">
        Spares and what is used up
      </h3>
      <p className="text-[14px] text-soft">A tub of filler serves many builds: only the share this one uses counts.</p>
      {rows.map(([id, c]) => (
        <div key={id} className="grid grid-cols-[1fr_7rem_7rem_auto] items-center gap-2 border-b border-hairline py-1">
          <span>{c.name}</span>
          <NumberEntry
            quiet
            label={`${c.name}, price of all`}
            value={c.price}
            from={0}
            to={1e5}
            onCommit={(price) => put(id, { ...c, price })}
          />
          <NumberEntry
            quiet
            label={`${c.name}, percent used`}
            value={Math.round(c.share * 100)}
            from={0}
            to={100}
            onCommit={(v) => put(id, { ...c, share: v / 100 })}
          />
          <Button look="quiet" onClick={() => change((b) => setIn(b, 'consumables', id, undefined, `${c.name} no longer counted`))}>
            Leave out
          </Button>
        </div>
      ))}
      <form
        className="mt-2 flex gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          if (!name.trim()) return
          put(`${name.trim().toLowerCase().replace(/\W+/g, '-').slice(0, 40)}`, { name: name.trim(), price: 0, share: 1 })
          setName('')
        }}
      >
        <input
          aria-label="Name of a consumable"
          className={INPUT}
          value={name}
          maxLength={80}
          placeholder="grain filler, solder, P120 paper"
          onChange={(e) => setName(e.target.value)}
        />
        <Button type="submit" className="whitespace-nowrap">
          Count it
        </Button>
      </form>
    </section>
  )
}
