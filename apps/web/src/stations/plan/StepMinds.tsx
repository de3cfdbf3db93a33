import { beginsOn, minutesOn, sayClock, type PlannedStep } from '@snug/core'
import { Camera, Moon, Clock3 } from 'lucide-react'
import type { ReactNode } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { day } from '../../ui/times'

/** What else there is to mind about a step: a picture first, a better order, machines and hours, hands that were booked. */
export function StepMinds({ step, title }: { step: PlannedStep; title: (id: string) => string }) {
  const build = useOpenBuild()
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const better = (step.better ?? []).filter((b) => steps.some((s) => s.id === b.id && s.state !== 'done'))
  const booked = build.plan?.booked?.[step.id]
  const lines: [ReactNode, ReactNode][] = [
    ...(step.picture
      ? [[<Camera key="c" size={17} aria-hidden />, `A picture first (L, then Picture). ${step.picture}`] as [ReactNode, ReactNode]]
      : []),
    ...better.map((b): [ReactNode, ReactNode] => [
      <Clock3 key="b" size={17} aria-hidden />,
      `Better after “${title(b.id)}”: ${b.why} The other way round costs about ${b.minutes} minutes.`,
    ]),
    ...(step.noisy ? [[<Moon key="n" size={17} aria-hidden />, 'A machine runs: not in the quiet hours.'] as [ReactNode, ReactNode]] : []),
    ...(step.final && build.plan?.cutOff !== undefined
      ? [
          [<Moon key="f" size={17} aria-hidden />, `It cannot be undone: not begun after ${sayClock(build.plan.cutOff)}.`] as [
            ReactNode,
            ReactNode,
          ],
        ]
      : []),
    ...(step.whole && !step.tooLong && step.date && minutesOn(build, step.date) >= step.minutes
      ? [
          [
            <Clock3 key="w" size={17} aria-hidden />,
            `It cannot be left halfway: begun by ${sayClock(beginsOn(build, step.date) + minutesOn(build, step.date) - step.minutes)} at the latest.`,
          ] as [ReactNode, ReactNode],
        ]
      : []),
    ...(step.tooLong
      ? [
          [
            <Clock3 key="l" size={17} aria-hidden />,
            `It cannot be left halfway and wants ${step.minutes} minutes in one go: no evening has them.`,
          ] as [ReactNode, ReactNode],
        ]
      : []),
    ...(step.missed && booked
      ? [
          [
            <Clock3 key="m" size={17} aria-hidden />,
            <b key="m" className="text-wont">
              {booked.by} comes on {day(booked.on)}, and what stands before it is not done by then: ask for another day.
            </b>,
          ] as [ReactNode, ReactNode],
        ]
      : []),
  ]
  if (!lines.length) return null
  return (
    <ul className="mt-3 grid gap-1 text-[15px]" aria-label="To mind">
      {lines.map(([icon, says], i) => (
        <li key={i} className="grid grid-cols-[auto_1fr] gap-2">
          <span className="mt-1 text-soft">{icon}</span>
          <span>{says}</span>
        </li>
      ))}
    </ul>
  )
}
