import { resume } from '@snug/core'
import { useMemo } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { shortDay } from '../../ui/times'

/** After weeks: how it was left, and what can safely be begun with. */
export function ResumeCard({ onNext }: { onNext: (id: string) => void }) {
  const build = useOpenBuild()
  const plan = useBuild((s) => s.evaluation!.plan)
  const card = useMemo(() => resume(build, plan), [build, plan])
  if (!card) return null
  return (
    <section aria-label="Where you left off" className="m-3 border-l-4 border-mind bg-canvas px-3 py-2">
      <p className="font-bold">
        Left {card.days} days ago, on {shortDay(card.last)}.
      </p>
      <ul>
        {card.left.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {card.next && (
        <p>
          Begin with: {card.next.title}{' '}
          <Button look="quiet" onClick={() => onNext(card.next!.id)}>
            Take it in hand
          </Button>
        </p>
      )}
    </section>
  )
}
