import { AMPLIFIER, CABLE_PER_METRE, type Harness, type Setting, type ToleranceBand } from '@snug/core'
import { useEffect, useState } from 'react'
import { useOpenBuild } from '../../state/buildStore'
import { circuitWorker } from '../../workers/compute'

/** Within which the response of one setting lies, built from parts as they come; there only while it is wanted. */
export function useBand(harness: Harness, setting: Setting, wanted: boolean): ToleranceBand | undefined {
  const build = useOpenBuild()
  const [band, setBand] = useState<ToleranceBand>()
  const { parts, circuit } = build
  useEffect(() => {
    setBand(undefined)
    if (!wanted) return
    let live = true
    const load = { cable: circuit.cable * CABLE_PER_METRE, amplifier: AMPLIFIER }
    void circuitWorker()
      .band(build, harness, setting, load)
      .then((b) => live && setBand(b))
    return () => {
      live = false
    }
    // Nothing else of the build has a say in its circuit.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [parts, circuit, harness, setting, wanted])
  return band
}
