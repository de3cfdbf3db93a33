import { finishOffers, lateSays, setField, type Coat, type FinishResult } from '@snug/core'
import { format, parseISO } from 'date-fns'
import { useMemo } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Caution } from '../../ui/Caution'
import { Field, INPUT } from '../../ui/Field'
import { BeforeSanding } from './BeforeSanding'
import { Evening } from './Evening'
import { NumberEntry } from '../../ui/NumberEntry'

/** The finish as chosen: product, coats, what to buy, today's weather; cautions of its own. */
export function FinishInHand({
  finish,
  coats,
  next,
}: {
  finish: FinishResult & { system: NonNullable<FinishResult['system']> }
  coats: readonly Coat[]
  /** The coat that comes next. */
  next: string | undefined
}) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const { finish: choice } = build
  const put = (key: string, to: string | number | boolean, label: string) => change((b) => setField(b, ['finish', key], to, label))
  const { weather, need, area } = finish
  const late = useMemo(() => lateSays(build, finishOffers(build, finish.ready)), [build, finish.ready])
  return (
    <div>
      <h2 className="text-[23px]">{finish.system.label}</h2>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
        <Field label="First evening">
          {(p) => (
            <input
              {...p}
              type="date"
              className={INPUT}
              value={choice.start}
              onChange={(e) => e.target.value && put('start', e.target.value, `First coat ${e.target.value}`)}
            />
          )}
        </Field>
        <NumberEntry
          label={`${finish.system.layers.at(-1)!.label} coats`}
          value={choice.coats}
          from={1}
          to={20}
          whole
          onCommit={(v) => put('coats', v, `${v} coats`)}
        />
        <NumberEntry
          label="Solids of the content, % (on the label)"
          value={choice.solids}
          from={1}
          to={90}
          onCommit={(v) => put('solids', v, `Solids ${v} %`)}
        />
      </div>
      {finish.ready > choice.start && (
        <p className="mt-1 text-mind">
          By the plan the wood is not ready before {format(parseISO(finish.ready), 'd MMM')}: no coat is laid out before that.
        </p>
      )}
      {late && <p className="mt-1 text-wont">{late}</p>}
      {finish.problems.map((p) => (
        <p key={p} className="mt-1 text-mind">
          {p}
        </p>
      ))}
      <Evening coats={coats} all={finish.plan?.coats ?? []} next={next} />
      <label className="label mt-1 flex min-h-10 items-center gap-2 text-[15px]">
        <input
          type="checkbox"
          className="size-4 accent-[var(--violet)]"
          checked={choice.maskPocket}
          onChange={(e) => put('maskPocket', e.target.checked, e.target.checked ? 'Pocket masked' : 'Pocket not masked')}
        />{' '}
        Mask the pocket (film closes it)
      </label>

      {need && (
        <p className="border-l-4 border-violet pl-3">
          <b>
            {need.containers} {finish.system.containerName}
            {need.containers === 1 ? '' : 's'}
          </b>{' '}
          of {finish.system.container} ml: <span className="figure">{Math.round(need.millilitres)}</span> ml for{' '}
          <span className="figure">{area.total.toFixed(2)}</span> m²{area.known ? '' : ' (usual size, no outline yet)'},{' '}
          <span className="figure">{Math.round(finish.film.flat)}</span> µm dry on the flats.
        </p>
      )}

      <h3 className="mt-3 text-[18px]">Weather at the bench</h3>
      <div className="grid grid-cols-3 gap-3">
        {(
          [
            ['air', 'Air, °C', -20, 50],
            ['surface', 'Surface, °C', -20, 60],
            ['humidity', 'Humidity, %', 1, 100],
          ] as const
        ).map(([key, label, from, to]) => (
          <NumberEntry
            key={key}
            label={label}
            value={choice.weather[key]}
            from={from}
            to={to}
            onCommit={(v) => change((b) => setField(b, ['finish', 'weather', key], v, `${label} ${v}`))}
          />
        ))}
      </div>
      {weather && (
        <p role="status" className={weather.ok ? 'text-snug' : 'text-wont'}>
          {weather.ok
            ? `You can coat now: the surface is ${weather.margin.toFixed(1)} °C above the dew point of ${weather.dewPoint.toFixed(1)} °C.`
            : weather.says.join(' ')}
        </p>
      )}
      <BeforeSanding />
      <Caution lines={finish.system.cautions} />
      <p className="mt-2 text-[13px] text-soft">Times and films are the trade’s usual ranges. The label on the can always wins.</p>
    </div>
  )
}
