import { AMPLIFIER, CABLE_PER_METRE, type Build, type Harness } from '@snug/core'
import { proxy } from 'comlink'
import { useEffect, useState } from 'react'
import { circuitWorker } from '../../workers/compute'
import type { PositionCurve } from '../../workers/positionCurve'

/** Responses of all positions at the knobs as they stand; each shows as soon as it is computed. */
export function useResponses(harness: Harness | undefined, circuit: Build['circuit']): PositionCurve[] {
  const [curves, setCurves] = useState<PositionCurve[]>([])
  const { volume, tone, cable } = circuit
  useEffect(() => {
    if (!harness) return setCurves([])
    let live = true
    void circuitWorker().responses(
      harness,
      { cable: cable * CABLE_PER_METRE, amplifier: AMPLIFIER },
      { volume, tone },
      proxy((curve: PositionCurve) => {
        if (live) setCurves((all) => [...all.filter((c) => c.position !== curve.position), curve])
      }),
    )
    return () => {
      live = false
    }
  }, [harness, volume, tone, cable])
  return curves
}
