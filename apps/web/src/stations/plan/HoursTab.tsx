import { beginsOn, planDrawing, quietHours, sayClock, setField, setPlan } from '@snug/core'
import { useMemo, useState } from 'react'
import { Workspace } from '../../app/Workspace'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { day } from '../../ui/times'
import { OtherBuilds } from './OtherBuilds'
import { Pace } from './Pace'
import { PlanTabs } from './tabs'

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']

/** When the bench is to be had, how fast its person works, and what else lies on it. */
export default function HoursTab() {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const drawing = useMemo(() => planDrawing(plan, today(), build.due), [plan, build.due])
  return (
    <Workspace
      loupe={drawing}
      listLabel="Hours and bench"
      list={
        <>
          <PlanTabs />
          <OtherBuilds />
        </>
      }
      hand={
        <div>
          <h2 className="text-[23px]">Hours at the bench</h2>
          <Evenings />
          <Clock />
          <DaysOff />
          <Pace />
        </div>
      }
    />
  )
}

function Evenings() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  return (
    <fieldset className="mt-2">
      <legend className="label text-[14px] text-soft">Minutes, day by day</legend>
      <div className="grid grid-cols-4 gap-2">
        {DAYS.map((name, i) => (
          <NumberEntry
            key={name}
            label={name}
            value={build.evenings[i]}
            from={0}
            to={960}
            whole
            onCommit={(v) => change((b) => setField(b, ['evenings'], b.evenings.with(i, v), `${name}: ${v} minutes`))}
          />
        ))}
      </div>
    </fieldset>
  )
}

/** "19:00" to minutes of the day; nothing where it is none. */
const minuteOf = (text: string): number | undefined => {
  const [, h, m] = /^(\d{2}):(\d{2})/.exec(text) ?? []
  return h === undefined ? undefined : Number(h) * 60 + Number(m)
}

function TimeEntry({
  label,
  value,
  onCommit,
}: {
  label: string
  value: number | undefined
  onCommit: (minute: number | undefined) => void
}) {
  return (
    <Field label={label}>
      {(p) => (
        <input
          {...p}
          type="time"
          className={INPUT}
          value={value === undefined ? '' : sayClock(value)}
          onChange={(e) => onCommit(minuteOf(e.target.value))}
        />
      )}
    </Field>
  )
}

/** A Monday, to ask when an evening begins. */
const MONDAY = '2026-11-23'

function Clock() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const quiet = quietHours(build)
  return (
    <div className="mt-3">
      <div className="grid grid-cols-2 gap-2">
        <TimeEntry
          label="Evenings begin at"
          value={beginsOn(build, MONDAY)}
          onCommit={(m) => m !== undefined && change((b) => setPlan(b, 'begins', m, `Evenings begin at ${sayClock(m)}`))}
        />
        <TimeEntry
          label="Nothing final begun after"
          value={build.plan?.cutOff}
          onCommit={(m) => change((b) => setPlan(b, 'cutOff', m, m === undefined ? 'No last hour' : `Nothing final after ${sayClock(m)}`))}
        />
        <TimeEntry
          label="Machines quiet from"
          value={quiet.from}
          onCommit={(m) =>
            m !== undefined && change((b) => setPlan(b, 'quiet', { ...quiet, from: m }, `Machines quiet from ${sayClock(m)}`))
          }
        />
        <TimeEntry
          label="until"
          value={quiet.to}
          onCommit={(m) =>
            m !== undefined && change((b) => setPlan(b, 'quiet', { ...quiet, to: m }, `Machines quiet until ${sayClock(m)}`))
          }
        />
      </div>
      <p className="mt-1 text-[13.5px] text-soft">
        Saturdays and Sundays begin at ten. Drilling, routing and polishing by machine stay out of the quiet hours; a cut or glue is not
        begun after the last hour, tired hands slip.
      </p>
    </div>
  )
}

function DaysOff() {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const [wanted, setWanted] = useState('')
  const off = build.plan?.daysOff ?? []
  const put = (days: string[], label: string) => change((b) => setPlan(b, 'daysOff', days.length ? days.toSorted() : undefined, label))
  return (
    <div className="mt-3">
      <form
        className="flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          if (wanted && !off.includes(wanted)) put([...off, wanted], `Off on ${day(wanted)}`)
          setWanted('')
        }}
      >
        <Field label="A day without the bench">
          {(p) => <input {...p} type="date" className={INPUT} value={wanted} onChange={(e) => setWanted(e.target.value)} />}
        </Field>
        <Button type="submit" disabled={!wanted}>
          Off that day
        </Button>
      </form>
      <ul className="mt-1">
        {off.map((d) => (
          <li key={d} className="flex items-center justify-between border-t border-hairline">
            {day(d)}
            <Button
              look="quiet"
              onClick={() =>
                put(
                  off.filter((o) => o !== d),
                  `At the bench on ${day(d)}`,
                )
              }
            >
              Not off<span className="sr-only"> on {day(d)}</span>
            </Button>
          </li>
        ))}
      </ul>
    </div>
  )
}
