import type { BuzzWork } from '@snug/core'
import { useEffect, useState } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { circuitWorker } from '../../workers/compute'

/** The buzz map of the build as it is, from a worker; until a newer one is ready the last one stands. */
export function useBuzzWork(): BuzzWork | undefined {
  const build = useOpenBuild()
  const [work, setWork] = useState<BuzzWork>()
  useEffect(() => {
    let wanted = true
    void circuitWorker()
      .buzzWork(build)
      .then((found) => {
        if (wanted) setWork(found)
      })
    return () => {
      wanted = false
    }
  }, [build])
  return work
}
