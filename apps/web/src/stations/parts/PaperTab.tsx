import {
  acceptance,
  DEFECTS,
  KINDS,
  orderFor,
  partDrawing,
  rescueEstimate,
  setField,
  setIn,
  SLOTS,
  slotSpec,
  UNPACKED,
  type Build,
  type KindName,
  type Slot,
  type Unpacked,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { openSheet } from '../../ui/openSheet'
import { ThingRow } from '../../ui/ThingRow'
import { PartsList } from './PartsList'
import { useStockActs } from './useStock'

const SHEETS = [
  ['unpacking', 'Unpacking list', 'present, missing, damaged, not as listed'],
  ['order', 'Order sheet and arrival check', 'a made-to-order part against its drawing'],
  ['rescue', 'Rescue estimate', 'before buying a worn instrument'],
  ['copy', 'Copy from an instrument you like', 'a sheet to measure by'],
  ['donor', 'Break a donor up', 'every part of it into the stash at once'],
] as const
type SheetId = (typeof SHEETS)[number][0]

/** Paper that goes with buying: unpacking, ordering, claiming, estimating, measuring, breaking up. */
export function PaperTab() {
  const build = useOpenBuild()
  const [sheet, setSheet] = useState<SheetId>('unpacking')
  const [slot, setSlot] = useState<Slot>('guard')
  const chosen = build.parts[slot] ? slot : (Object.keys(build.parts)[0] as Slot | undefined)
  const drawing = useMemo(() => (chosen ? partDrawing(build, chosen) : undefined), [build, chosen])
  return (
    <Workspace
      loupe={drawing}
      listLabel="Sheets"
      list={
        <PartsList>
          <ul>
            {SHEETS.map(([id, title, about], i) => (
              <ThingRow key={id} number={i + 1} title={title} about={about} selected={sheet === id} onSelect={() => setSheet(id)} />
            ))}
          </ul>
        </PartsList>
      }
      hand={
        sheet === 'unpacking' ? (
          <Unpacking onLook={setSlot} />
        ) : sheet === 'order' ? (
          <OrderSheet slot={chosen} onSlot={setSlot} />
        ) : sheet === 'rescue' ? (
          <Rescue />
        ) : sheet === 'copy' ? (
          <Copy />
        ) : (
          <Donor />
        )
      }
    />
  )
}

const filled = (build: Build) => SLOTS.filter((s) => build.parts[s.slot]).map((s) => s.slot as Slot)

function Unpacking({ onLook }: { onLook: (s: Slot) => void }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const slots = filled(build)
  const seen = slots.filter((s) => build.unpacked?.[s]).length
  return (
    <div>
      <h2 className="text-[23px]">Unpacking list</h2>
      <p>
        {seen} of {slots.length} looked over. Do it the day a parcel comes, before the return window ends.
      </p>
      <Button className="mt-2" onClick={() => void openSheet((f) => f.unpackingSheet(build))}>
        Print it
      </Button>
      <ul className="mt-2">
        {slots.map((slot) => (
          <li key={slot} className="grid grid-cols-[1fr_9rem] items-center gap-2 border-b border-hairline py-1">
            <span className="leading-tight">
              {build.parts[slot]!.name}
              <span className="block text-[13.5px] text-soft">{build.parts[slot]!.seller}</span>
            </span>
            <select
              aria-label={`${slotSpec(slot).label}: how it came`}
              className={INPUT}
              value={build.unpacked?.[slot] ?? ''}
              onFocus={() => onLook(slot)}
              onChange={(e) =>
                change((b) =>
                  setIn(
                    b,
                    'unpacked',
                    slot,
                    (e.target.value || undefined) as Unpacked | undefined,
                    `${slotSpec(slot).label}: ${e.target.value || 'not looked over'}`,
                  ),
                )
              }
            >
              <option value="">not yet</option>
              {UNPACKED.map((u) => (
                <option key={u}>{u}</option>
              ))}
            </select>
          </li>
        ))}
      </ul>
    </div>
  )
}

function OrderSheet({ slot, onSlot }: { slot: Slot | undefined; onSlot: (s: Slot) => void }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
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
        {order && <Button onClick={() => void openSheet((f) => f.orderSheet(build, slot, order))}>Print it</Button>}
      </div>
      {order && (
        <>
          <h3 className="mt-3 text-[18px]">On arrival {failed > 0 && <span className="text-wont">{failed} out of tolerance</span>}</h3>
          <table className="w-full text-[14.5px]">
            <thead>
              <tr className="label text-left text-soft">
                <th>size</th>
                <th className="text-right">ordered</th>
                <th className="text-right">came</th>
                <th className="pl-3" />
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => (
                <tr key={r.key} className="border-t border-hairline">
                  <td className="py-1">{r.label}</td>
                  <td className="figure text-right whitespace-nowrap">
                    {r.ordered} ±{r.tolerance}
                  </td>
                  <td className="figure text-right">{r.came ?? ''}</td>
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

function Rescue() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const rescue = build.rescue ?? { defects: [] }
  const e = rescueEstimate(rescue.defects, rescue.asking, rescue.worth)
  const put = (more: Partial<typeof rescue>) =>
    change((b) => setField(b, ['rescue'], JSON.parse(JSON.stringify({ ...rescue, ...more })), 'Rescue estimate'))
  const range = (r: { low: number; likely: number; high: number }, digits: number) =>
    `${r.likely.toFixed(digits)} (${r.low.toFixed(digits)} to ${r.high.toFixed(digits)})`
  return (
    <div>
      <h2 className="text-[23px]">Rescue estimate</h2>
      <div className="mt-1 grid grid-cols-2 gap-3">
        <NumberEntry label={`Asked, ${build.currency}`} value={rescue.asking} from={0} to={1e6} onCommit={(asking) => put({ asking })} />
        <NumberEntry
          label={`Worth put right, ${build.currency}`}
          value={rescue.worth}
          from={0}
          to={1e6}
          onCommit={(worth) => put({ worth })}
        />
      </div>
      <p className="mt-2 border-l-4 border-violet pl-3" role="status">
        Parts about <b className="figure">{range(e.money, 0)}</b> {build.currency}, bench about{' '}
        <b className="figure">{range(e.hours, 1)}</b> hours.
        {e.left !== undefined && (
          <>
            {' '}
            <span className={e.left < 0 ? 'text-wont' : ''}>
              Left after price and parts: <b className="figure">{e.left.toFixed(0)}</b>.
            </span>
          </>
        )}
      </p>
      <ul className="mt-2">
        {DEFECTS.map((d) => (
          <li key={d.id} className="border-b border-hairline">
            <label className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-[var(--violet)]"
                checked={rescue.defects.includes(d.id)}
                onChange={(ev) =>
                  put({ defects: ev.target.checked ? [...rescue.defects, d.id] : rescue.defects.filter((x) => x !== d.id) })
                }
              />
              <span className="flex-1">{d.label}</span>
              <span className="figure text-[13px] text-soft">
                {d.money[1]} · {d.hours[1]} h
              </span>
            </label>
          </li>
        ))}
      </ul>
      <Button
        className="mt-2"
        onClick={() => void openSheet((f) => f.rescueSheet(rescue.defects, rescue.asking, rescue.worth, build.currency))}
      >
        Print the questions for the seller
      </Button>
    </div>
  )
}

function Copy() {
  const [kind, setKind] = useState<KindName>('neck')
  return (
    <div>
      <h2 className="text-[23px]">Copy from an instrument you like</h2>
      <p className="mt-1">
        Necks are chosen by feel. Print the sheet, take it and the calipers to the instrument, and enter the readings under Parts
        afterwards.
      </p>
      <select aria-label="What to copy" className={`${INPUT} mt-2`} value={kind} onChange={(e) => setKind(e.target.value as KindName)}>
        {(['neck', 'body', 'guard', 'bridge', 'pickup', 'tuners', 'nut'] as const).map((k) => (
          <option key={k} value={k}>
            {KINDS[k].label}
          </option>
        ))}
      </select>
      <Button look="main" className="mt-2" onClick={() => void openSheet((f) => f.measuringSheet(kind))}>
        Print the measuring sheet
      </Button>
    </div>
  )
}

function Donor() {
  const build = useOpenBuild()
  const acts = useStockActs()
  const slots = filled(build)
  const [keep, setKeep] = useState<ReadonlySet<Slot>>(new Set(slots))
  const [place, setPlace] = useState(`box: ${build.name}`)
  return (
    <div>
      <h2 className="text-[23px]">Break {build.name} up</h2>
      <p className="mt-1">
        Every ticked part goes into the stash with the sizes it has; {build.name} itself stays as it is. Magnets, leads, covers and screws
        of scrapped parts are worth a bag of their own.
      </p>
      <label className="label mt-2 block text-[14px] text-soft">
        Where it lies
        <input className={INPUT} value={place} maxLength={80} onChange={(e) => setPlace(e.target.value)} />
      </label>
      <ul className="mt-2">
        {slots.map((slot) => (
          <li key={slot} className="border-b border-hairline">
            <label className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-[var(--violet)]"
                checked={keep.has(slot)}
                onChange={(e) => {
                  const next = new Set(keep)
                  if (e.target.checked) next.add(slot)
                  else next.delete(slot)
                  setKeep(next)
                }}
              />
              {build.parts[slot]!.name}
              {build.parts[slot]!.traits.hand && build.parts[slot]!.traits.hand !== 'either' && (
                <span className="text-soft">{build.parts[slot]!.traits.hand}-handed</span>
              )}
            </label>
          </li>
        ))}
      </ul>
      <Button
        look="main"
        className="mt-3"
        disabled={!keep.size || acts.addMany.isPending}
        onClick={() =>
          acts.addMany.mutate(
            slots
              .filter((s) => keep.has(s))
              .map((s) => ({
                part: { ...build.parts[s]!, state: 'in hand' as const },
                holding: 'stash' as const,
                quantity: 1,
                reserved: {},
                ...(place.trim() ? { place: place.trim() } : {}),
              })),
            { onSuccess: (items) => toast(`${items.length} parts are in the stash.`) },
          )
        }
      >
        Put {keep.size} parts in the stash
      </Button>
    </div>
  )
}
