import { coatsStep, openSlots, slotSpec, type Build, type Evaluation } from '@snug/core'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'
import { KeyCap } from '../ui/KeyCap'
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
  const drying = evaluation.finish.plan?.coats.findLast((c) => build.steps[coatsStep(c.layer)]?.done)
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
      {drying && (
        <span className="text-soft">
          · {drying.label} dries; rub out from {evaluation.finish.plan!.rubOut}
        </span>
      )}
      <span role="status" aria-live="polite" className="ml-auto max-w-[36rem] truncate text-right" title={moved.what.join(' · ')}>
        <SendingWord />
        {moved.label && (
          <>
            <span className="text-soft">Last change: </span>
            {moved.label}
            {moved.what.length ? ` · ${moved.what.join(' · ')}` : ' · moved nothing else'}
          </>
        )}
      </span>
    </footer>
  )
}
