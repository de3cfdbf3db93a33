import { counted, setDecision, settle, SETTLE_WAYS, type PlannedStep, type SettleWay } from '@snug/core'
import { useMemo, useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { newId } from '../../state/newId'
import { today } from '../../state/today'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'
import { NumberEntry } from '../../ui/NumberEntry'
import { day } from '../../ui/times'

/** A part that is late or wrong: wait, or settle for something else; what each does to the end, to the wood and to the look. */
export function Settling({ step }: { step: PlannedStep }) {
  const [open, setOpen] = useState(false)
  return (
    <details className="mt-4 border-t border-hairline pt-1" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-9 cursor-pointer py-1 text-[15px]">Late, or the wrong one: wait or settle?</summary>
      {open && <Ways step={step} />}
    </details>
  )
}

function Ways({ step }: { step: PlannedStep }) {
  const build = useOpenBuild()
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const change = useBuild((s) => s.change)
  const [ways, setWays] = useState<readonly SettleWay[]>(SETTLE_WAYS)
  const [reason, setReason] = useState('')
  const found = useMemo(() => settle(build, steps, step.id, today(), ways), [build, steps, step.id, ways])
  const choose = (label: string) =>
    change((b) =>
      setDecision(b, newId(), {
        question: `Wait or settle: ${step.title}`.slice(0, 400),
        options: ways.map((w) => w.label),
        chosen: label,
        ...(reason.trim() ? { reason: reason.trim() } : {}),
      }),
    )
  return (
    <>
      <Field label="Why, in a few words">
        {(p) => <input {...p} className={INPUT} maxLength={1000} value={reason} onChange={(e) => setReason(e.target.value)} />}
      </Field>
      <ul className="mt-1">
        {found.map((w) => (
          <li key={w.id} className="border-t border-hairline py-2">
            <p className="font-bold">{w.label}</p>
            <p className="text-[14.5px]">
              {w.ends
                ? `Done ${day(w.ends)}${w.atEarliest ? ' at the earliest, another part having no day' : ''}${w.late ? `, ${counted(w.late, 'day')} late` : ''}. `
                : ''}
              {w.left === undefined
                ? ''
                : w.left < 0
                  ? `${(-w.left).toFixed(2)} ${build.currency} over the budget. `
                  : `${w.left.toFixed(2)} ${build.currency} left of the budget. `}
              Shows: {w.shows}.{w.cuts && <b> Cannot be undone: {w.cuts}.</b>}
            </p>
            <div className="mt-1 grid grid-cols-[6rem_6rem_6rem_auto] items-end gap-2">
              <NumberEntry
                label="Days"
                value={w.days}
                from={0}
                to={730}
                whole
                onCommit={(days) => setWays(ways.map((x) => (x.id === w.id ? { ...x, days } : x)))}
              />
              <NumberEntry
                label="Minutes"
                value={w.minutes}
                from={0}
                to={5000}
                whole
                onCommit={(minutes) => setWays(ways.map((x) => (x.id === w.id ? { ...x, minutes } : x)))}
              />
              <NumberEntry
                label={`Costs, ${build.currency}`}
                value={w.money}
                from={0}
                to={1e6}
                onCommit={(money) => setWays(ways.map((x) => (x.id === w.id ? { ...x, money } : x)))}
              />
              <Button onClick={() => choose(w.label)}>
                This way <span className="sr-only">{w.label}</span>
              </Button>
            </div>
          </li>
        ))}
      </ul>
      <p className="text-[13.5px] text-soft">
        Days from today, and minutes of hands. They are ours to begin with; put in what the seller says and what you know of yourself.
      </p>
    </>
  )
}
