import { exactWait, STATION_NAME, tickStep, waitSays, type PlannedStep } from '@snug/core'
import { Dialog } from 'radix-ui'
import { useState, type KeyboardEvent } from 'react'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Caution } from '../../ui/Caution'
import { KeyCap } from '../../ui/KeyCap'
import { useWhere } from '../../app/where'
import { now } from '../../state/now'
import { moment } from '../../ui/times'
import { useClock } from '../../ui/useClock'
import { StepMinds } from './StepMinds'

/** What is timed by itself lies between so much and so much of what was planned. [ours] */
const QUICKEST = 0.3
const SLOWEST = 4

/** Stations with a view for the bench of their own. */
const OWN_VIEW = ['drill', 'finish'] as const
const hasOwn = (s: PlannedStep): boolean => s.thing !== undefined && s.stage !== 'parcel' && OWN_VIEW.some((o) => o === s.station)

/** One step at a time, read from a step away: a big tap or the space bar when it is done; what it stands on is shown before it is ticked. */
export function StepBench({ steps, onClose }: { steps: readonly PlannedStep[]; onClose: () => void }) {
  const change = useBuild((s) => s.change)
  const { go } = useWhere()
  const all = useBuild((s) => s.evaluation!.plan.steps)
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      steps.findIndex((s) => s.state !== 'done'),
    ),
  )
  const [warned, setWarned] = useState<string>()
  const [since, setSince] = useState(() => Date.now())
  const clock = useClock()
  const step = steps[Math.min(at, steps.length - 1)]
  if (!step) return null
  const done = step.state === 'done'
  const then = steps.slice(at + 1).filter((s) => s.state !== 'done')
  const turn = (by: 1 | -1) => {
    setAt((i) => Math.min(steps.length - 1, Math.max(0, i + by)))
    setSince(Date.now())
  }
  const planned = step.usual ?? step.minutes
  const spent = Math.round(Math.max(0, clock - since) / 60_000)
  const worked = Math.round((Date.now() - since) / 60_000)
  // A view left open overnight, or ticked at once, says nothing of how long it took.
  const timed = worked >= QUICKEST * planned && worked <= SLOWEST * planned ? { took: worked, planned } : undefined
  const tick = () => {
    if (done) return turn(1)
    // Out of order it says first what is at risk; asked once more it is taken as done.
    if (step.open.length && warned !== step.id) return setWarned(step.id)
    change((b) => tickStep(b, step.id, step.title, now(), timed))
    turn(1)
  }
  const onKey = (e: KeyboardEvent) => {
    if (e.key === ' ' && !(e.target as Element).closest('button')) {
      e.preventDefault()
      tick()
    } else if (e.key === 'ArrowRight') turn(1)
    else if (e.key === 'ArrowLeft') turn(-1)
  }
  const title = (id: string) => all.find((s) => s.id === id)?.title ?? id
  return (
    <Dialog.Root open onOpenChange={(o) => !o && onClose()}>
      <Dialog.Portal>
        <Dialog.Content
          className="fixed inset-0 z-50 grid grid-rows-[auto_1fr_auto] overflow-auto bg-sheet p-6 text-[21px]"
          onKeyDown={onKey}
          onOpenAutoFocus={(e) => {
            // The space bar belongs to the step, not to a button that happens to have the focus.
            e.preventDefault()
            ;(e.currentTarget as HTMLElement).focus()
          }}
          tabIndex={-1}
          aria-describedby={undefined}
        >
          <header className="flex flex-wrap items-baseline gap-x-4">
            <Dialog.Title className={`text-[34px] ${done ? 'line-through decoration-hairline' : ''}`}>{step.title}</Dialog.Title>
            <span className="figure ml-auto text-[30px]">
              {spent > 0 && !done ? `${spent} of ` : ''}
              {step.minutes} min
            </span>
          </header>
          <div className="mt-3">
            <p>{step.why}</p>
            {step.tools && <p className="mt-2 text-soft">{step.tools}</p>}
            <StepMinds step={step} title={title} />
            {hasOwn(step) && !done && (
              <Button className="mt-3 !min-h-14" onClick={() => go(step.station, step.thing, false, undefined, true)}>
                Line by line, at {STATION_NAME[step.station]}
              </Button>
            )}
            {warned === step.id && !done && (
              <div role="alert" className="mt-4 border-l-4 border-wont bg-canvas px-3 py-2">
                <p className="font-bold">Out of order. Still open before it: {step.open.map((b) => title(b.id)).join('; ')}.</p>
                {step.open.slice(0, 2).map((b) => (
                  <p key={b.id}>
                    {b.risk} Way back: {b.wayBack}
                  </p>
                ))}
              </div>
            )}
            {step.wait > 0 && <Drying step={step} clock={clock} />}
            <Caution lines={step.cautions} />
            {then.length > 0 && (
              <>
                <h3 className="mt-8 text-[20px] text-soft">Then</h3>
                <ul className="text-soft">
                  {then.map((s) => (
                    <li key={s.id} className="grid grid-cols-[1fr_auto] gap-4 border-t border-hairline py-2">
                      {s.title} <span className="figure">{s.minutes} min</span>
                    </li>
                  ))}
                </ul>
              </>
            )}
          </div>
          <footer className="bench-foot mt-3 flex flex-wrap items-center gap-3 text-[17px]">
            <Button look="main" className="!min-h-20 flex-1 justify-center !text-[24px]" onClick={tick}>
              <KeyCap>Space</KeyCap> {done ? 'Next' : warned === step.id ? 'Done all the same' : 'Done, next'}
            </Button>
            <Button className="!min-h-20" onClick={() => turn(-1)} disabled={at === 0}>
              <KeyCap>←</KeyCap> before
            </Button>
            <Button className="!min-h-20" onClick={() => turn(1)} disabled={at >= steps.length - 1}>
              <KeyCap>→</KeyCap> skip
            </Button>
            <span className="figure text-soft">
              {Math.min(at, steps.length - 1) + 1} of {steps.length}
            </span>
            <Button className="!min-h-20" look="quiet" onClick={onClose}>
              <KeyCap>Esc</KeyCap> close
            </Button>
          </footer>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/** The wait after a step: how long it will be, and once it is done until when, counted down. */
function Drying({ step, clock }: { step: PlannedStep; clock: number }) {
  if (!step.done) return <p className="mt-3 text-mind">Then it waits {waitSays(step.wait)}.</p>
  const until = Date.parse(step.done) + step.wait * 60_000
  const left = Math.ceil((until - clock) / 60_000)
  return (
    <p className="mt-3 text-mind" role="timer">
      {left > 0 ? `It waits until ${moment(new Date(until).toISOString())}: ${exactWait(left)} more.` : 'Its wait is over.'}
    </p>
  )
}
