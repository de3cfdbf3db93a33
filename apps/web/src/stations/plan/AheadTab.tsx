import { criticalFloat, difficulty, forecastSays, leaveOut, planDrawing, runSheet, type Forecast } from '@snug/core'
import { useQueryClient } from '@tanstack/react-query'
import { useMemo } from 'react'
import { toast } from 'sonner'
import { Workspace } from '../../app/Workspace'
import { api } from '../../state/api'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { download } from '../../ui/download'
import { PrintSheet } from '../../ui/PrintSheet'
import { Decisions } from './Decisions'
import { GetReady } from './GetReady'
import { PlanTabs } from './tabs'
import { useForecast, useSplit } from './useAhead'
import { day } from '../../ui/times'

/** When it is done by chance, what must be done for the promised day and what can wait, what may slip, what to order today. */
export default function AheadTab() {
  const build = useOpenBuild()
  const id = useBuild((s) => s.id)!
  const plan = useBuild((s) => s.evaluation!.plan)
  const change = useBuild((s) => s.change)
  const queries = useQueryClient()
  const found = useForecast()
  const split = useSplit()
  const slack = useMemo(() => criticalFloat(build, plan.steps, today()), [build, plan])
  const drawing = useMemo(() => planDrawing(plan, today(), build.due), [plan, build.due])
  const hard = useMemo(() => difficulty(plan.steps), [plan])
  const order = plan.steps.filter((s) => s.undated && s.state !== 'done')
  const calendar = async () => {
    const { planIcs } = await import('@snug/formats/planIcs')
    const made = planIcs(build.name, plan.steps, new Date())
    if (made.ok) download(`${build.name}-plan.ics`.toLowerCase(), 'text/calendar', made.text)
    else toast.error(made.why)
  }
  const leave = () => {
    change((b) =>
      leaveOut(
        b,
        split!.wait.map((w) => w.step),
        today(),
        `Left for later, for ${b.due}`,
      ),
    )
    void api
      .addLog(id, {
        kind: 'decision',
        station: 'plan',
        text: `For ${build.due} left: ${split!.wait.map((w) => w.step.title).join('; ')}. Known faults until then.`,
      })
      .then(() => queries.invalidateQueries({ queryKey: ['log', id] }))
  }
  return (
    <Workspace
      loupe={drawing}
      listLabel="Ahead"
      list={
        <>
          <PlanTabs />
          <section className="px-4 py-3" aria-label="When it is done">
            <p role="status" className="text-[16px]">
              {found ? forecastSays(found, build.due) : 'Working it through many times …'}
            </p>
            {found && <Ends found={found} due={build.due} />}
            <p className="text-[14px] text-soft">
              {found ? `Worked through ${found.runs} times: ` : ''}hands from the least to the most each step takes, parcels up to six days
              late, on your evenings.
            </p>
          </section>
          <p className="px-4 text-[15px]">
            How hard it is: <b>{hard.word}</b>, {hard.mark} of 5 ({hard.because}).
          </p>
          {build.due && split && (
            <section className="px-4 py-2" aria-label="Against the promised day">
              <h3 className="text-[18px]">For {day(build.due!)}</h3>
              <p className={split.late ? 'text-wont' : ''}>{split.says}</p>
              {split.wait.length > 0 && (
                <>
                  <h4 className="label mt-2 font-semibold">Can wait</h4>
                  <ul>
                    {split.wait.map(({ step, fault }) => (
                      <li key={step.id} className="border-t border-hairline py-1">
                        {step.title}
                        <span className="block text-[14px] text-soft">{fault}</span>
                      </li>
                    ))}
                  </ul>
                  <Button className="mt-1" onClick={leave}>
                    Leave these, and write it in the log
                  </Button>
                </>
              )}
            </section>
          )}
          <Decisions />
        </>
      }
      hand={
        <div>
          <PrintSheet sheet={() => runSheet(build, plan)} label="Run sheet" />
          <Button className="mt-2" onClick={() => void calendar()}>
            Calendar file
          </Button>
          <h2 className="mt-3 text-[23px]">What moves the end</h2>
          {order.length > 0 && (
            <>
              <h3 className="mt-2 text-[18px]">No day is known for</h3>
              <ul>
                {order.map((s) => (
                  <li key={s.id} className="border-t border-hairline py-1">
                    {s.title}
                    <span className="block text-[14px] text-soft">{s.why}</span>
                    {found && (
                      <span className="block text-[14px]">
                        {found.freeUntil[s.id]
                          ? `Costs nothing if here by ${day(found.freeUntil[s.id]!)}.`
                          : 'Every day it takes moves the end.'}
                      </span>
                    )}
                  </li>
                ))}
              </ul>
            </>
          )}
          <GetReady />
          <h3 className="mt-3 text-[18px]">Moves it by every day it slips</h3>
          <ul>
            {slack
              .filter((s) => s.float < 0.5)
              .map(({ step }) => (
                <li key={step.id} className="border-t border-hairline py-1">
                  {step.title}
                </li>
              ))}
          </ul>
          <h3 className="mt-3 text-[18px]">May slip first</h3>
          <ul>
            {slack
              .filter((s) => s.float >= 0.5)
              .map(({ step, float }) => (
                <li key={step.id} className="grid grid-cols-[1fr_auto] gap-2 border-t border-hairline py-1">
                  {step.title} <span className="figure">{Math.floor(float)} d</span>
                </li>
              ))}
          </ul>
        </div>
      }
    />
  )
}

/** How many of the runs end on each day. */
function Ends({ found, due }: { found: Forecast; due: string | undefined }) {
  const most = Math.max(...found.days.map((d) => d.runs))
  return (
    <figure className="mt-2" aria-label={`Ends from ${found.days[0]!.day} to ${found.days.at(-1)!.day}`}>
      <div className="flex h-28 items-end gap-px border-b border-ink">
        {found.days.map((d) => (
          <div
            key={d.day}
            className={`min-w-1 flex-1 ${due && d.day > due ? 'bg-wont/70' : 'bg-violet/70'}`}
            style={{ height: `${(100 * d.runs) / most}%` }}
          />
        ))}
      </div>
      <figcaption className="figure flex justify-between text-[13px] text-soft">
        <span>{day(found.days[0]!.day)}</span>
        <span>{day(found.days.at(-1)!.day)}</span>
      </figcaption>
    </figure>
  )
}
