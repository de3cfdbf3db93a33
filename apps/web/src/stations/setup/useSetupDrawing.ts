import { setupDrawing } from '@snug/core'
import { useMemo } from 'react'
import { useOpenBuild } from '../../state/buildStore'

/** The lowest string over the frets, as it is and as it is wanted. */
export function useSetupDrawing() {
  const build = useOpenBuild()
  return useMemo(() => setupDrawing(build), [build])
}
