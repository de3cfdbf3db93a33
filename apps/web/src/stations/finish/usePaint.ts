import { painted, type Mark } from '@snug/core'
import { useCallback } from 'react'
import { useOpenBuild } from '../../state/buildStore'

/** The instrument in the colours it will have. */
export function usePaint() {
  const build = useOpenBuild()
  return useCallback((marks: Mark[], view: 'front' | 'back' | 'side') => painted(build, marks, view), [build])
}
