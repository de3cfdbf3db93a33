import type { Build } from '@snug/core'
import { useState } from 'react'
import { useOpenBuild } from '../../state/buildStore'

/** The open build, the same object while nothing of its parts or its circuit has changed: nothing else has a say in what it sounds like. */
export function useCircuitBuild(): Build {
  const build = useOpenBuild()
  const [kept, keep] = useState(build)
  const same = kept.parts === build.parts && kept.circuit === build.circuit
  if (!same) keep(build)
  return same ? kept : build
}
