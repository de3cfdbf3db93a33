import type { TriedFinishes } from '@snug/core'
import { proxy } from 'comlink'
import { useEffect, useState } from 'react'
import { useBench } from '../../state/benchStore'
import { useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { circuitWorker } from '../../workers/compute'

const NONE: TriedFinishes = { offers: [] }

/** Every finish tried in the whole build, from a worker, as they are known; until a newer answer is whole the last one stands. */
export function useTriedFinishes(wanted = true): TriedFinishes {
  const build = useOpenBuild()
  const bench = useBench((s) => s.bench)
  const [found, setFound] = useState(NONE)
  useEffect(() => {
    if (!wanted) return
    let newest = true
    const seen = (so: TriedFinishes) => {
      if (newest) setFound((last) => (so.offers.length < last.offers.length ? last : so))
    }
    void circuitWorker().finishes(build, today(), bench, proxy(seen))
    return () => {
      newest = false
    }
  }, [build, bench, wanted])
  return wanted ? found : NONE
}
