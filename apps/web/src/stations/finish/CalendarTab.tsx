import {
  capital,
  CLOSINGS,
  coatsBy,
  coatsSay,
  isGlued,
  lateSays,
  maskMarks,
  setField,
  setFinish,
  setLies,
  type FinishResult,
} from '@snug/core'
import { useMemo } from 'react'
import { useHand } from '../../app/useHand'
import { Board } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { ThingRow } from '../../ui/ThingRow'
import { Toggle } from '../../ui/Toggle'
import { Caution } from '../../ui/Caution'
import { Field, INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { Evening } from './Evening'
import { ForecastBoard } from './ForecastBoard'
import { useStackEdit } from './useStackEdit'
import { useTriedFinishes } from './useTriedFinishes'
import { FinishTabs } from './tabs'
import { usePaint } from './usePaint'
import { day } from '../../ui/times'

/** The coats on the person's evenings and the hours their weather allows. */
export default function CalendarTab({ finish }: { finish: FinishResult }) {
  const evenings = useMemo(() => coatsBy(finish.plan?.coats ?? [], 'date'), [finish])
  const { hand, pick } = useHand('finish', evenings)
  const paint = usePaint()
  const build = useOpenBuild()
  const masked = useMemo(() => maskMarks(build), [build])
  return (
    <Board
      paint={paint}
      overlay={masked}
      boardLabel="Weather and calendar"
      board={
        <div className="flex min-h-full flex-col">
          <FinishTabs />
          <ForecastBoard finish={finish} />
          {finish.plan ? (
            <ul>
              {evenings.map((e, i) => (
                <ThingRow
                  key={e.id}
                  number={i + 1}
                  title={day(e.id)}
                  about={coatsBy(e.coats, 'step')
                    .map(
                      (g) =>
                        `${coatsSay(g.coats)}${g.coats.every((c) => c.laid) ? ' laid' : ''}${g.coats.some((c) => c.note) ? ' (scuff first)' : ''}`,
                    )
                    .join(' · ')}
                  figure={`${e.coats.length} ${e.coats.length === 1 ? 'coat' : 'coats'}`}
                  under={`${e.coats.reduce((s, c) => s + c.hands, 0)} min`}
                  selected={e.id === hand?.id}
                  onSelect={() => pick(e.id)}
                />
              ))}
              {finish.plan.groups.map((g) => (
                <li key={g.id} className="px-4 py-2">
                  {finish.plan!.groups.length > 1 ? `${g.label}: ` : ''}
                  <b>{capital(`${CLOSINGS[g.closing].from} ${day(g.rubOut)}`)}</b>
                  {g.allLaid ? ', counted from the last coat as it was laid' : ', if the coats go on as planned'}
                </li>
              ))}
            </ul>
          ) : (
            <p className="px-4 py-3">{finish.trouble}</p>
          )}
        </div>
      }
      hand={<EveningInHand finish={finish} date={hand?.id} />}
    />
  )
}

/** One evening's coats, the air at the bench now and where it dries, and what moves the calendar. */
function EveningInHand({ finish, date }: { finish: FinishResult; date: string | undefined }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const stackEdit = useStackEdit()
  const { finish: choice } = build
  const all = finish.plan?.coats ?? []
  const late = lateSays(build, useTriedFinishes(build.due !== undefined))
  const { weather } = finish
  return (
    <div>
      <h2 className="text-[23px]">{date ? day(date) : 'No evening yet'}</h2>
      <Evening coats={all.filter((c) => c.date === date)} all={all} />
      <h3 className="mt-3 text-[18px]">The air at the bench</h3>
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
      <Toggle
        label="It dries in other air than that"
        on={choice.drying !== undefined}
        onChange={(on) =>
          change((b) =>
            setFinish(b, 'drying', on ? { air: b.finish.weather.air, humidity: b.finish.weather.humidity } : undefined, 'Where it dries'),
          )
        }
      />
      {choice.drying && (
        <div className="grid grid-cols-2 gap-3">
          <NumberEntry
            label="Where it dries, °C"
            value={choice.drying.air}
            from={-20}
            to={50}
            onCommit={(air) => change((b) => setFinish(b, 'drying', { ...b.finish.drying!, air }, `Dries at ${air} °C`))}
          />
          <NumberEntry
            label="Where it dries, %"
            value={choice.drying.humidity}
            from={1}
            to={100}
            onCommit={(humidity) => change((b) => setFinish(b, 'drying', { ...b.finish.drying!, humidity }, `Dries at ${humidity} %`))}
          />
        </div>
      )}
      <Toggle
        label="Sprayed out of doors: by the forecast"
        on={choice.outdoors === true}
        onChange={(on) =>
          change((b) => setFinish(b, 'outdoors', on ? true : undefined, on ? 'Sprayed out of doors' : 'Sprayed at the bench'))
        }
      />
      <Toggle
        label="It lies while it dries: one side waits for the other"
        on={choice.lies === true}
        onChange={(on) => void stackEdit((b) => setLies(b, on))}
      />
      {!isGlued(build) && (
        <Toggle
          label="Mask the pocket (film closes it)"
          on={choice.maskPocket}
          onChange={(on) => change((b) => setField(b, ['finish', 'maskPocket'], on, on ? 'Pocket masked' : 'Pocket not masked'))}
        />
      )}
      <Field label="First evening">
        {(p) => (
          <input
            {...p}
            type="date"
            className={INPUT}
            value={choice.start}
            onChange={(e) =>
              e.target.value && change((b) => setField(b, ['finish', 'start'], e.target.value, `First coat ${e.target.value}`))
            }
          />
        )}
      </Field>
      {finish.ready > choice.start && (
        <p className="mt-1 text-mind">By the plan the wood is not ready before {day(finish.ready)}: no coat is laid out before that.</p>
      )}
      {late && <p className="mt-1 text-wont">{late}</p>}
      <p className="mt-2 text-[14px] text-soft">
        Evenings, days off and quiet hours are those of the plan; what is sprayed needs its fan and keeps quiet hours.
      </p>
      <Caution lines={finish.cautions} />
    </div>
  )
}
