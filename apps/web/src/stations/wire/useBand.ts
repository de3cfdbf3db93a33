import { AMPLIFIER, CABLE_PER_METRE, type Harness, type Setting, type ToleranceBand } from '@snug/core'
import { useEffect, useState } from 'react'
import { circuitWorker } from '../../workers/compute'
import { useCircuitBuild } from './useCircuitBuild'

/** Within which the response of one setting lies, built from parts as they come; there only while it is wanted. */
export function useBand(harness: Harness, setting: Setting, wanted: boolean): ToleranceBand | undefined {
  const build = useCircuitBuild()
  const [band, setBand] = useState<ToleranceBand>()
  useEffect(() => {
    setBand(undefined)
    if (!wanted) return
    let live = true
    const load = { cable: build.circuit.cable * CABLE_PER_METRE, amplifier: AMPLIFIER }
    void circuitWorker()
      .band(build, harness, setting, load)
      .then((b) => live && setBand(b))
    return () => {
      live = false
    }
  }, [build, harness, setting, wanted])
  return band
}
