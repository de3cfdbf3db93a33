import { finishDrawing, finishOffers, setField, underOffers, withSystem, type FinishOffer, type FinishResult } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { ThingRow } from '../../ui/ThingRow'
import { Toggle } from '../../ui/Toggle'
import { FinishTabs } from './tabs'

const day = (iso: string) => format(parseISO(iso), 'd MMM')

/** Every finish side by side, each with what it asks of lungs, room, weather and weeks, worked out for this body and these evenings. */
export function ChooseTab({ finish }: { finish: FinishResult }) {
  const build = useOpenBuild()
  const offers = useMemo(() => finishOffers(build, finish.ready), [build, finish.ready])
  const [seen, setSeen] = useState<string>(build.finish.system)
  const hand = offers.find((o) => o.id === seen) ?? offers[0]!
  const drawing = useMemo(() => finishDrawing(hand.id === build.finish.system ? build : withSystem(build, hand.id)), [build, hand.id])
  return (
    <Workspace
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
                about={o.problems.find((p) => /came/.test(p)) ?? o.system.gives}
                figure={o.id === build.finish.system ? 'chosen' : o.rubOut ? day(o.rubOut) : ''}
                under={o.late ? `${o.late} d late` : `${o.containers} ${o.system.containerName}${o.containers === 1 ? '' : 's'}`}
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
  const choose = () => {
    const { finish } = withSystem(build, offer.id)
    change((b) => ({
      label: `Finish: ${system.label}`,
      edits: [
        ...setField(b, ['finish', 'system'], finish.system, '').edits,
        ...setField(b, ['finish', 'solids'], finish.solids, '').edits,
        ...setField(b, ['finish', 'coats'], finish.coats, '').edits,
      ],
    }))
  }
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
          {system.limits.air[0]} to {system.limits.air[1]} °C, at most {system.limits.humidity} % humidity
        </dd>
        <dt className="label text-soft">waits</dt>
        <dd>
          {offer.rubOut && offer.lastCoat
            ? `last coat ${day(offer.lastCoat)}, rubbed out from ${day(offer.rubOut)}; hard after ${system.fullCure}`
            : offer.why}
        </dd>
        <dt className="label text-soft">takes</dt>
        <dd>
          {offer.containers} {system.containerName}
          {offer.containers === 1 ? '' : 's'} of {system.container} ml
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
      <Button look="main" className="mt-3" disabled={chosen || laid > 0} onClick={choose}>
        {chosen ? 'This is chosen' : 'Choose this'}
      </Button>
      {!chosen && laid > 0 && (
        <p className="mt-1 text-mind">
          {laid} {laid === 1 ? 'coat is' : 'coats are'} laid: another finish over it is tried on scrap first. Take the coats back under
          Coats if they were not laid.
        </p>
      )}
      {chosen && system.under.length > 0 && (
        <section className="mt-3">
          <h3 className="text-[18px]">Under it</h3>
          {underOffers(build, system).map((u) => (
            <div key={u.name}>
              {u.lacks ? (
                <p className="text-soft">
                  {u.label}: {u.lacks}
                </p>
              ) : (
                <Toggle
                  label={u.label}
                  on={u.wanted}
                  onChange={(on) =>
                    change((b) =>
                      setField(b, ['finish', 'under'], onlyWanted(b.finish.under, u.name, on), `${u.label}: ${on ? 'yes' : 'no'}`),
                    )
                  }
                />
              )}
            </div>
          ))}
        </section>
      )}
      <Caution lines={system.cautions} />
      <p className="mt-2 text-[13px] text-soft">Times and films are the trade’s usual ranges. The label on the can always wins.</p>
    </div>
  )
}

function onlyWanted(under: Record<string, true> | undefined, name: string, on: boolean): Record<string, true> {
  const { [name]: _, ...others } = under ?? {}
  return on ? { ...others, [name]: true } : others
}
