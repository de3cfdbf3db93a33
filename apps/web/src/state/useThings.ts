import { sheetsOf, thingsOf, type PlacedSheet, type PlacedThing } from '@snug/core'
import { useMemo } from 'react'
import { useBench } from './benchStore'
import { useBuild, useOpenBuild } from './buildStore'

/** Everything the stations have of the open build: to be found, placed and drawn. */
export function useThings(): PlacedThing[] {
  const build = useOpenBuild()
  const evaluation = useBuild((s) => s.evaluation!)
  const bench = useBench((s) => s.bench)
  return useMemo(() => thingsOf(build, evaluation, bench), [build, evaluation, bench])
}

/** Everything of the open build that can be printed. */
export function useSheets(): PlacedSheet[] {
  const build = useOpenBuild()
  const evaluation = useBuild((s) => s.evaluation!)
  return useMemo(() => sheetsOf(build, evaluation), [build, evaluation])
}
