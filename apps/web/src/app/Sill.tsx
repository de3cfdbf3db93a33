import { dryingTimers, openSlots, slotSpec, type Build, type Evaluation } from '@snug/core'
import { format } from 'date-fns'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'
import { KeyCap } from '../ui/KeyCap'
import { useClock } from '../ui/useClock'
import { nextMeasure } from './next'
import { SendingWord } from './SendingWord'

/** The strip along the bottom: the next thing at the bench, and what the last change moved. */
export function Sill({
  build,
  evaluation,
  onMeasure,
  onStep,
}: {
  build: Build
  evaluation: Evaluation
  onMeasure: () => void
  onStep: (id: string) => void
}) {
  const { moved, ranked } = useBuild(useShallow(({ moved, ranked }) => ({ moved, ranked })))
  const measure = nextMeasure(build, evaluation, ranked)
  const step = evaluation.plan.steps.find((s) => s.id === evaluation.plan.ready[0])
  const [first] = openSlots(build.parts)
  const now = useClock()
  const { plan, groups } = evaluation.finish
  const drying = plan ? dryingTimers(build, groups, plan.coats, now) : []
  return (
    <footer className="shell-sill flex min-h-9 flex-wrap items-center gap-x-4 border-t border-hairline bg-canvas px-4 py-0.5 text-[14px]">
      <span className="label font-semibold">Next</span>
      {step && (
        <button type="button" className="min-h-9 max-w-[26rem] truncate text-left hover:text-violet" onClick={() => onStep(step.id)}>
          {step.title}, {step.minutes} min
        </button>
      )}
      {measure && (
        <button type="button" className="inline-flex min-h-9 items-center gap-2 hover:text-violet" onClick={onMeasure}>
          {measure.says} <KeyCap>M</KeyCap>
        </button>
      )}
      {!step && !measure && (
        <span className="text-soft">
          {first ? `Choose the ${slotSpec(first).label.toLowerCase()} under Parts.` : 'Nothing waits for you.'}
        </span>
      )}
      {drying.map((d) => (
        <span key={d.id} className="text-soft">
          · {d.label} dries, {d.then} {format(d.at, d.at - now < 20 * 3600_000 ? 'EEE HH:mm' : 'EEE d MMM')}
        </span>
      ))}
      <span className="ml-auto max-w-[36rem] truncate text-right" title={moved.what.join(' · ')}>
        <SendingWord />
        <span role="status" aria-live="polite">
          {moved.label && (
            <>
              <span className="text-soft">Last change: </span>
              {moved.label}
              {moved.what.length ? ` · ${moved.what.join(' · ')}` : ' · moved nothing else'}
            </>
          )}
        </span>
      </span>
    </footer>
  )
}
