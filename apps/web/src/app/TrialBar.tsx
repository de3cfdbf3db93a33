import { wordOf } from '@snug/core'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'
import { Button } from '../ui/Button'
import { PegMark } from '../ui/PegMark'

/** A change on trial is shown beside the real build until the person keeps or drops it: every verdict it would move. */
export function TrialBar() {
  const { trial, evaluation, keepTrial, dropTrial } = useBuild(
    useShallow(({ trial, evaluation, keepTrial, dropTrial }) => ({ trial, evaluation, keepTrial, dropTrial })),
  )
  if (!trial) return null
  const moved = trial.evaluation
    ? trial.evaluation.fit.flatMap((j) => {
        const was = evaluation?.fit.find((o) => o.id === j.id)
        return was?.verdict === j.verdict ? [] : [{ joint: j, was: was?.verdict }]
      })
    : undefined
  return (
    <aside
      aria-label="On trial"
      className="fixed right-3 bottom-14 left-[90px] z-30 flex max-h-[30vh] flex-wrap items-center gap-x-4 gap-y-1 overflow-auto border border-dashed border-violet bg-sheet px-4 py-2 shadow-lg"
    >
      <b className="label text-[16px] text-violet">On trial: {trial.change.label}</b>
      <span role="status">
        {!moved ? (
          'Reckoning…'
        ) : moved.length === 0 ? (
          'No verdict changes.'
        ) : (
          <ul className="flex flex-wrap gap-x-4">
            {moved.map(({ joint, was }) => (
              <li key={joint.id} className="flex items-center gap-1.5 text-[14px]">
                {joint.title}: {was ? wordOf(was, joint.condition) : 'new'} → <PegMark verdict={joint.verdict} size={17} silent />{' '}
                {wordOf(joint.verdict, joint.condition)}
              </li>
            ))}
          </ul>
        )}
      </span>
      <span className="ml-auto flex gap-2">
        <Button look="main" onClick={keepTrial}>
          Keep it
        </Button>
        <Button onClick={dropTrial}>Drop it</Button>
      </span>
    </aside>
  )
}
