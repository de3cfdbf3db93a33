import type { Harness } from '@snug/core'
import { useBuild } from '../../state/buildStore'

/** The harness of the open build, while it has one. */
export function useHarness(): Harness | undefined {
  const wire = useBuild((s) => s.evaluation!.wire)
  return wire.ok ? wire.harness : undefined
}
