import type { PlannedStep } from '@snug/core'
import { Circle, CircleCheck, Hourglass } from 'lucide-react'

/** Whether a step is done, can be done, or what it waits for, as a shape and in words. */
export function StepMark({ step }: { step: Pick<PlannedStep, 'state' | 'dries'> }) {
  if (step.state === 'done') return <CircleCheck size={20} aria-label="done" />
  if (step.state === 'ready') return <Circle size={20} className="text-violet" strokeWidth={2.4} aria-label="can be done now" />
  const why = step.state === 'blocked' ? 'waits for other steps' : step.dries ? 'something under it still dries' : 'waits for a parcel'
  return <Hourglass size={17} className="text-soft" aria-label={why} />
}
