import {
  CLOSINGS,
  chooseSystem,
  finishDrawing,
  finishOffers,
  systemCautions,
  topOf,
  withSystem,
  type FinishOffer,
  type FinishResult,
} from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { ThingRow } from '../../ui/ThingRow'
import { FinishTabs, useFinishTab } from './tabs'
import { usePaint } from './usePaint'
import { shortDay } from '../../ui/times'

/** Every finish side by side, each with what it asks of lungs, room, weather and weeks, worked out for this body and these evenings. */
export function ChooseTab({ finish }: { finish: FinishResult }) {
  const build = useOpenBuild()
  const offers = useMemo(() => finishOffers(build, finish.ready), [build, finish.ready])
  const [seen, setSeen] = useState<string>(build.finish.system)
  const hand = offers.find((o) => o.id === seen) ?? offers[0]!
  const drawing = useMemo(() => finishDrawing(hand.id === build.finish.system ? build : withSystem(build, hand.id)), [build, hand.id])
  const paint = usePaint()
  return (
    <Workspace
      paint={paint}
      loupe={drawing}
      listLabel="Finishes"
      list={
        <div className="flex h-full flex-col">
          <FinishTabs />
          <ul className="min-h-0 flex-1 overflow-auto">
            {offers.map((o) => (
              <ThingRow
                key={o.id}
                title={o.system.label}
                about={o.problems.find((p) => /came|does not go/.test(p)) ?? o.system.gives}
                figure={o.id === build.finish.system ? 'chosen' : o.rubOut ? shortDay(o.rubOut) : ''}
                under={o.late ? `${o.late} d late` : cans(o)}
                selected={o.id === hand.id}
                onSelect={() => setSeen(o.id)}
              />
            ))}
          </ul>
        </div>
      }
      hand={<OfferInHand offer={hand} />}
    />
  )
}

function OfferInHand({ offer }: { offer: FinishOffer }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const { system } = offer
  const chosen = build.finish.system === offer.id
  const laid = Object.keys(build.finish.laid ?? {}).length
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
        <dd>
          {offer.rubOut && offer.lastCoat
            ? `last coat ${shortDay(offer.lastCoat)}, ${CLOSINGS[offer.closing ?? 'rub'].from} ${shortDay(offer.rubOut)}; hard after ${system.fullCure}`
            : offer.why}
        </dd>
        <dt className="label text-soft">takes</dt>
        <dd>
          {offer.shopping
            .map((x) => `${x.label.toLowerCase()}: ${x.containers} ${x.containerName}${x.containers === 1 ? '' : 's'} of ${x.container} ml`)
            .join('; ')}
        </dd>
      </dl>
      {offer.late !== undefined && (
        <p className="mt-1 text-wont">
          {offer.late} {offer.late === 1 ? 'day' : 'days'} after the due date: soft film takes every print.
        </p>
      )}
      {offer.problems.map((p) => (
        <p key={p} className="mt-1 text-mind">
          {p}
        </p>
      ))}
      {chosen ? (
        <Button className="mt-3" onClick={() => onTab('stack')}>
          This is chosen: to its stack
        </Button>
      ) : (
        <Button look="main" className="mt-3" disabled={laid > 0} onClick={() => change((b) => chooseSystem(b, offer.id))}>
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

/** How many containers of all sorts. */
const cans = (o: FinishOffer): string => {
  const n = o.shopping.reduce((s, x) => s + x.containers, 0)
  const names = new Set(o.shopping.map((x) => x.containerName))
  const [name] = names
  return names.size === 1 && name ? `${n} ${name}${n === 1 ? '' : 's'}` : `${n} cans and jars`
}
