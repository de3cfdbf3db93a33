import { probeDrawing, soundingDrawing, topology, type BenchTest, type Drawing } from '@snug/core'
import { useMemo } from 'react'
import { useBuild } from '../../state/buildStore'

/** Where the probes of a test go; of one for the ears, what should sound. */
export function useTestDrawing(test: BenchTest | undefined): Drawing | undefined {
  const wire = useBuild((s) => s.evaluation!.wire)
  return useMemo(() => {
    if (!wire.ok || !test) return undefined
    if (test.probes) return probeDrawing(wire.harness, test.says, test.probes)
    const { switches } = test.setting
    return { ...soundingDrawing(wire.harness, String(switches.switch ?? ''), topology(wire.harness, switches)), title: test.says }
  }, [wire, test])
}
