import { AMPLIFIER, CABLE_PER_METRE, type Harness, type Setting } from '@snug/core'
import { proxy } from 'comlink'
import { useEffect, useState } from 'react'
import { circuitWorker } from '../../workers/compute'
import type { PositionCurve } from '../../workers/positionCurve'

/** Responses of all positions at the knobs as they stand; each shows as soon as it is computed. @param cable metres */
export function useResponses(harness: Harness, knobs: Setting['knobs'], cable: number): PositionCurve[] {
  const [curves, setCurves] = useState<PositionCurve[]>([])
  useEffect(() => {
    let live = true
    void circuitWorker().responses(
      harness,
      { cable: cable * CABLE_PER_METRE, amplifier: AMPLIFIER },
      knobs,
      proxy((curve: PositionCurve) => {
        if (live) setCurves((all) => [...all.filter((c) => c.id !== curve.id), curve])
      }),
    )
    return () => {
      live = false
    }
  }, [harness, knobs, cable])
  return curves
}
