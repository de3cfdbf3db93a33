import { setPlan, type PlannedStep } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { Field, INPUT } from '../../ui/Field'
import { day } from '../../ui/times'

/** Another pair of hands, or a shop's bench, for one step: who, and the day they come. */
export function Booking({ step }: { step: PlannedStep }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const booked = build.plan?.booked?.[step.id]
  const [by, setBy] = useState('')
  const [on, setOn] = useState('')
  const put = (to: { by: string; on: string } | undefined, label: string) =>
    change((b) => {
      const { [step.id]: _, ...others } = b.plan?.booked ?? {}
      const all = to ? { ...others, [step.id]: to } : others
      return setPlan(b, 'booked', Object.keys(all).length ? all : undefined, label)
    })
  if (booked)
    return (
      <p className="mt-4 border-t border-hairline pt-2">
        {booked.by} comes for it on {day(booked.on)}.{' '}
        <Button look="quiet" onClick={() => put(undefined, `Nobody booked for: ${step.title}`)}>
          Not after all
        </Button>
      </p>
    )
  return (
    <details className="mt-4 border-t border-hairline pt-1">
      <summary className="min-h-9 cursor-pointer py-1 text-[15px]">Somebody comes for it</summary>
      <form
        className="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          if (by.trim() && on) put({ by: by.trim(), on }, `${by.trim()} comes on ${day(on)}: ${step.title}`.slice(0, 200))
        }}
      >
        <Field label="Who">
          {(p) => <input {...p} className={INPUT} maxLength={120} value={by} onChange={(e) => setBy(e.target.value)} />}
        </Field>
        <Field label="On">{(p) => <input {...p} type="date" className={INPUT} value={on} onChange={(e) => setOn(e.target.value)} />}</Field>
        <Button type="submit" disabled={!by.trim() || !on}>
          Book
        </Button>
      </form>
    </details>
  )
}
