import { notJudged } from '@snug/core'
import { useMemo } from 'react'
import { useWhere } from '../../app/where'
import { useBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'

/** Parts without a joint, and why: under the list, so that nobody looks for them in it. */
export function NotJudged() {
  const build = useBuild((s) => (s.trial?.evaluation ? s.trial.build : s.build!))
  const { go } = useWhere()
  const parts = useMemo(() => notJudged(build), [build])
  return parts.map(({ slot, label, why }) => (
    <p key={slot} className="flex items-center gap-3 border-t border-hairline px-4 py-1 text-[15px] text-mind">
      <span className="flex-1">
        {label}: its own joint is not judged, as nothing here takes it: {why}.
      </span>
      <Button look="quiet" aria-label={`${label} under Parts`} onClick={() => go('parts', slot)}>
        Parts
      </Button>
    </p>
  ))
}
