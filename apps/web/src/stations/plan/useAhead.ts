import type { Forecast, Split, Tonight } from '@snug/core'
import { useEffect, useState } from 'react'
import { useBench } from '../../state/benchStore'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { today } from '../../state/today'
import { circuitWorker } from '../../workers/compute'

/** The day all is done by chance, from a worker; until a newer answer comes the last one stands. */
export function useForecast(): Forecast | undefined {
  const build = useOpenBuild()
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const [found, setFound] = useState<Forecast>()
  useEffect(() => {
    let wanted = true
    void circuitWorker()
      .forecast(build, steps, today())
      .then((f) => wanted && setFound(f))
    return () => {
      wanted = false
    }
  }, [build, steps])
  return found
}

/** What to leave for the promised day, from a worker; until a newer answer comes the last one stands. */
export function useSplit(): Split | undefined {
  const build = useOpenBuild()
  const bench = useBench((s) => s.bench)
  const [found, setFound] = useState<Split>()
  useEffect(() => {
    let wanted = true
    void circuitWorker()
      .split(build, today(), bench)
      .then((split) => wanted && setFound(split))
    return () => {
      wanted = false
    }
  }, [build, bench])
  return found
}

/** The best set for so many minutes, from a worker. */
export function useTonight(minutes: number, from: number): Tonight | undefined {
  const build = useOpenBuild()
  const steps = useBuild((s) => s.evaluation!.plan.steps)
  const [found, setFound] = useState<Tonight>()
  useEffect(() => {
    let wanted = true
    void circuitWorker()
      .tonight(build, steps, today(), minutes, from)
      .then((t) => wanted && setFound(t))
    return () => {
      wanted = false
    }
  }, [build, steps, minutes, from])
  return found
}
