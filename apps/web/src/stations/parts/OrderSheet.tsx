import { acceptance, orderFor, printMm, setIn, slotSpec, type Slot, orderSheet } from '@snug/core'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { usePrefs } from '../../state/prefs'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { PrintSheet } from '../../ui/PrintSheet'
import { printWithUnit } from '../../ui/SizeField'
import { filled } from './filledSlots'

export function OrderSheet({ slot, onSlot }: { slot: Slot | undefined; onSlot: (s: Slot) => void }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const system = usePrefs((p) => p.system)
  if (!slot) return <p className="text-soft">Put the part in its slot with the sizes you want first.</p>
  const part = build.parts[slot]!
  const order = build.orders?.[slot]
  const rows = order ? acceptance(order, part) : []
  const failed = rows.filter((r) => r.verdict === 'fail').length
  return (
    <div>
      <h2 className="text-[23px]">Order sheet</h2>
      <select aria-label="Part to order" className={INPUT} value={slot} onChange={(e) => onSlot(e.target.value as Slot)}>
        {filled(build).map((s) => (
          <option key={s} value={s}>
            {slotSpec(s).label}: {build.parts[s]!.name}
          </option>
        ))}
      </select>
      <p className="mt-2">
        {order
          ? `Revision ${order.revision}, sent ${order.at}; kept as it was.`
          : 'Nothing was sent yet. Enter the sizes as you want them, then keep a copy.'}{' '}
        Promised two weeks, came after eight and wrong: it happens.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          look={order ? 'plain' : 'main'}
          onClick={() =>
            change((b) => setIn(b, 'orders', slot, JSON.parse(JSON.stringify(orderFor(part, order, today()))), `Order for ${part.name}`))
          }
        >
          {order ? 'Keep a new revision' : 'Keep this as the order'}
        </Button>
        {order && <PrintSheet sheet={() => orderSheet(build, slot, order)} label="Print it" />}
      </div>
      {order && (
        <>
          <h3 className="mt-3 text-[18px]">On arrival {failed > 0 && <span className="text-wont">{failed} out of tolerance</span>}</h3>
          <table className="w-full text-[14.5px]">
            <caption className="sr-only">Sizes on arrival</caption>
            <thead>
              <tr className="label text-left text-soft">
                <th>size</th>
                <th className="text-right">ordered</th>
                <th className="pl-3 text-right">came</th>
                <th className="pl-3" />
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={r.key} className="border-t border-hairline">
                  <td className="py-1">{r.label}</td>
                  <td className="figure text-right whitespace-nowrap">
                    {r.unit === 'mm' && system === 'mm' ? printMm(r.ordered) : printWithUnit(r.ordered, r.unit, system)} ±
                    {printWithUnit(r.tolerance, r.unit, system)}
                  </td>
                  <td className="figure text-right">{r.came === undefined ? '' : printWithUnit(r.came, r.unit, system)}</td>
                  <td className={`pl-3 ${r.verdict === 'fail' ? 'text-wont' : r.verdict === 'pass' ? 'text-snug' : 'text-soft'}`}>
                    {r.verdict}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </div>
  )
}
