import { leaveOut, mayBeLeftOut, STATION_NAME, notDone, tickStep, waitSays, type PlannedStep } from '@snug/core'
import { useState } from 'react'
import { useWhere } from '../../app/where'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { now } from '../../state/now'
import { today } from '../../state/today'
import { NumberEntry } from '../../ui/NumberEntry'
import { day, moment } from '../../ui/times'
import { Booking } from './Booking'
import { NotedList } from './NotedList'
import { Settling } from './Settling'
import { StepMinds } from './StepMinds'

/** The step in hand: why, when, what it needs; ticking it out of order says what is at risk and never forbids. */
export function StepInHand({ step }: { step: PlannedStep }) {
  const change = useBuild((s) => s.change)
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const { go } = useWhere()
  const [warned, setWarned] = useState(false)
  const [took, setTook] = useState<number>()
  const done = step.state === 'done'
  const planned = step.usual ?? step.minutes
  // A part that is waited for, not work on what is here.
  const comes = step.stage === 'parcel' && (step.undated ?? step.notBefore) !== undefined
  const tick = () => {
    setWarned(false)
    change((b) => (done ? notDone(b, step) : tickStep(b, step.id, step.title, now(), took === undefined ? undefined : { took, planned })))
  }
  const title = (id: string) => steps.find((s) => s.id === id)?.title ?? id
  return (
    <div>
      <h2 className="text-[23px]">{step.title}</h2>
      <p className="mt-1 text-[16px]">{step.why}</p>
      <p className="label mt-1 text-[15px] text-soft">
        {step.minutes} min at the bench{step.usual !== undefined && ` at your pace, ${step.usual} usually`}
        {step.times && ` (${step.times[0]} to ${step.times[1]})`}
        {step.wait > 0 && `, then ${waitSays(step.wait)} of waiting`}
        {step.date && !done && ` · ${step.atEarliest ? 'not before' : 'falls on'} ${day(step.date)}`}
        {step.need !== 'must' && (step.need === 'should' ? ' · should be done' : ' · can come later')}
        {done && step.done && ` · done ${moment(step.done)}`}
        {step.tools && ` · ${step.tools}`}
      </p>
      {warned && step.open.length > 0 && !done ? (
        <div role="alert" className="mt-3 border-l-4 border-wont bg-canvas px-3 py-2">
          <p className="font-bold">Out of order. Still open before it:</p>
          <ul className="mt-1 flex flex-col gap-2">
            {unique(step).map((b) => (
              <li key={b.risk}>
                <b>{b.ids.map(title).join('; ')}.</b> {b.risk}
                <span className="block text-[14px]">Way back: {b.wayBack}</span>
              </li>
            ))}
          </ul>
          <div className="mt-2 flex gap-2">
            <Button onClick={tick}>It is done all the same</Button>
            <Button look="quiet" onClick={() => setWarned(false)}>
              Not yet
            </Button>
          </div>
        </div>
      ) : (
        <div className="mt-3 flex flex-wrap items-center gap-2">
          <Button
            look={done ? 'plain' : 'main'}
            className="!min-h-12 !px-5 !text-[17px]"
            data-tick
            onClick={() => (step.open.length && !done ? setWarned(true) : tick())}
          >
            {done ? 'Not done after all' : 'Done'}
          </Button>
          {step.station !== 'plan' && (
            <Button look="quiet" onClick={() => go(step.station, step.thing)}>
              To {STATION_NAME[step.station]}
            </Button>
          )}
          {!done && mayBeLeftOut(step) && (
            <Button look="quiet" onClick={() => change((b) => leaveOut(b, [step], today()))}>
              Not part of this job
            </Button>
          )}
        </div>
      )}
      {!done && (
        <div className="mt-2 w-40">
          <NumberEntry label="It took, minutes (if you know)" value={took} from={1} to={10_000} whole onCommit={setTook} />
        </div>
      )}
      {!done && <StepMinds step={step} title={title} />}
      {step.dries && !done && <p className="mt-2 text-mind">Something it stands on dries until {day(step.dries)}.</p>}
      {step.befores.length > 0 && (
        <>
          <h3 className="mt-4 text-[18px]">Comes after</h3>
          <ul className="text-[14.5px]">
            {step.befores.map((b) => (
              <li key={b.id} className="border-b border-hairline py-1">
                <span className={step.open.some((o) => o.id === b.id) ? 'font-bold' : 'line-through decoration-hairline'}>
                  {title(b.id)}
                </span>{' '}
                <span className="text-soft">{b.why}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      <Caution lines={step.cautions} />
      {step.id === 'note-before' && <NotedList />}
      {!done && !comes && <Booking step={step} />}
      {!done && comes && <Settling step={step} />}
    </div>
  )
}

/** Open befores with the same risk said once. */
function unique(step: PlannedStep): { ids: string[]; risk: string; wayBack: string }[] {
  const by = new Map<string, { ids: string[]; risk: string; wayBack: string }>()
  for (const b of step.open) by.set(b.risk, { risk: b.risk, wayBack: b.wayBack, ids: [...(by.get(b.risk)?.ids ?? []), b.id] })
  return [...by.values()]
}
