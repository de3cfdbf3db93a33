import {
  CLOSINGS,
  chooseSystem,
  counted,
  finishDrawing,
  isChosen,
  SYSTEM_IDS,
  SYSTEMS,
  systemCautions,
  topOf,
  withSystem,
  type FinishOffer,
  type FinishResult,
  type SystemId,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { ThingRow } from '../../ui/ThingRow'
import { FinishTabs, useFinishTab } from './tabs'
import { usePaint } from './usePaint'
import { useTriedFinishes } from './useTriedFinishes'
import { shortDay } from '../../ui/times'

/** Every finish side by side, each with what it asks of lungs, room, weather and weeks, worked out for this body and these evenings. */
export function ChooseTab({ finish }: { finish: FinishResult }) {
  const build = useOpenBuild()
  const { offers } = useTriedFinishes()
  const [seen, setSeen] = useState<SystemId>(isChosen(build.finish.system) ? build.finish.system : SYSTEM_IDS[0]!)
  const drawing = useMemo(() => finishDrawing(seen === build.finish.system ? build : withSystem(build, seen)), [build, seen])
  const paint = usePaint()
  return (
    <Workspace
      paint={paint}
      loupe={drawing}
      listLabel="Finishes"
      list={
        <div className="flex h-full flex-col">
          <FinishTabs />
          {finish.asItCame && <p className="border-b border-hairline px-4 py-2">{finish.trouble} Each of these would go over it.</p>}
          <ul className="min-h-0 flex-1 overflow-auto">
            {SYSTEM_IDS.map((id) => (
              <SystemRow
                key={id}
                id={id}
                offer={offers.find((o) => o.id === id)}
                chosen={id === build.finish.system}
                selected={id === seen}
                onSelect={() => setSeen(id)}
              />
            ))}
          </ul>
        </div>
      }
      hand={<OfferInHand id={seen} offer={offers.find((o) => o.id === seen)} laid={finish.plan?.coats.filter((c) => c.laid).length ?? 0} />}
    />
  )
}

/** A finish in the list: done when, and what does not agree with it. */
function SystemRow({
  id,
  offer,
  chosen,
  selected,
  onSelect,
}: {
  id: SystemId
  offer: FinishOffer | undefined
  chosen: boolean
  selected: boolean
  onSelect: () => void
}) {
  return (
    <ThingRow
      title={SYSTEMS[id].label}
      about={offer?.problems.find((p) => /came|does not go/.test(p)) ?? SYSTEMS[id].gives}
      figure={chosen ? 'chosen' : offer?.ends ? `done ${shortDay(offer.ends)}` : ''}
      under={offer?.late ? `${offer.late} d late` : offer && cans(offer)}
      selected={selected}
      onSelect={onSelect}
    />
  )
}

function OfferInHand({ id, offer, laid }: { id: SystemId; offer: FinishOffer | undefined; laid: number }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const system = SYSTEMS[id]
  const chosen = build.finish.system === id
  const top = topOf(system)
  const [, onTab] = useFinishTab()
  return (
    <div>
      <h2 className="text-[23px]">{system.label}</h2>
      <p>{system.gives}</p>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        <dt className="label text-soft">lungs</dt>
        <dd>{system.asks.lungs}</dd>
        <dt className="label text-soft">room</dt>
        <dd>{system.asks.room}</dd>
        <dt className="label text-soft">weather</dt>
        <dd>
          {top.limits.air[0]} to {top.limits.air[1]} °C, {top.limits.humidity[0] ? `${top.limits.humidity[0]} to` : 'at most'}{' '}
          {top.limits.humidity[1]} % humidity
        </dd>
        <dt className="label text-soft">waits</dt>
        <dd>{offer ? waitsSay(offer, chosen && build.finish.layers !== undefined) : 'Working out the days …'}</dd>
        {offer?.ends && (
          <>
            <dt className="label text-soft">all done</dt>
            <dd>
              {shortDay(offer.ends)}
              {offer.atEarliest ? ' at the earliest: some parts have no day' : ', with all that comes after it'}
            </dd>
          </>
        )}
        <dt className="label text-soft">takes</dt>
        <dd>
          {offer?.shopping
            .map((x) => `${x.label.toLowerCase()}: ${counted(x.containers, x.containerName)} of ${x.container} ml`)
            .join('; ')}
        </dd>
      </dl>
      {offer?.late !== undefined && (
        <p className="mt-1 text-wont">
          {offer.ends ? 'All is done' : 'The film is ready'} {counted(offer.late, 'day')} after the due date.
          {offer.soft ? ' It is soft by then, and takes every print.' : ''}
        </p>
      )}
      {offer?.problems.map((p) => (
        <p key={p} className="mt-1 text-mind">
          {p}
        </p>
      ))}
      {chosen ? (
        <Button className="mt-3" onClick={() => onTab('stack')}>
          This is chosen: to its stack
        </Button>
      ) : (
        <Button look="main" className="mt-3" disabled={laid > 0} onClick={() => change((b) => chooseSystem(b, id))}>
          Choose this
        </Button>
      )}
      {!chosen && laid > 0 && (
        <p className="mt-1 text-mind">
          {laid} {laid === 1 ? 'coat is' : 'coats are'} laid: another finish over it is tried on scrap first. Take the coats back under
          Stack if they were not laid.
        </p>
      )}
      {chosen && <p className="mt-2 text-soft">Dye, filler, a colour or a sealer under it are laid under Stack, zone by zone if wanted.</p>}
      <Caution lines={systemCautions(system)} />
      <p className="mt-2 text-[13px] text-soft">Times and films are the trade’s usual ranges. The label on the can always wins.</p>
    </div>
  )
}

/** @param own whether its layers are not those it comes with: what is usual of these is then no matter */
const waitsSay = (o: FinishOffer, own: boolean): string | undefined =>
  o.rubOut && o.lastCoat
    ? `last coat ${shortDay(o.lastCoat)}, ${CLOSINGS[o.closing ?? 'rub'].from} ${shortDay(o.rubOut)}${own ? '' : `; hard after ${o.system.fullCure}`}`
    : o.why

/** How many containers of all sorts. */
const cans = (o: FinishOffer): string => {
  const n = o.shopping.reduce((s, x) => s + x.containers, 0)
  const names = new Set(o.shopping.map((x) => x.containerName))
  const [name] = names
  return names.size === 1 && name ? `${n} ${name}${n === 1 ? '' : 's'}` : `${n} cans and jars`
}
