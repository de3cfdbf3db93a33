import { setCircuit, type Build, type Evidence, type Hunt } from '@snug/core'
import { useEffect, useMemo, useState } from 'react'
import { useBuild } from '../../state/buildStore'
import { circuitWorker } from '../../workers/compute'
import { useCircuitBuild } from './useCircuitBuild'

/** What was found out on the bench, and what it says; worked out where nothing waits for it. */
export function useHunt() {
  const build = useCircuitBuild()
  const change = useBuild((s) => s.change)
  const [hunt, setHunt] = useState<Hunt>()
  const found = build.circuit.found
  const evidence = useMemo(() => evidenceOf(found), [found])
  useEffect(() => {
    let live = true
    void circuitWorker()
      .hunt(build, evidence)
      .then((h) => live && setHunt(h))
    return () => {
      live = false
    }
  }, [build, evidence])
  const tell = (test: string, outcome: string | number | undefined, words: string) => {
    const next = { ...found }
    if (outcome === undefined) delete next[test]
    else next[test] = outcome
    change((b) => setCircuit(b, 'found', next, words))
  }
  const tellAll = (more: Record<string, string | number>, words: string) =>
    change((b) => setCircuit(b, 'found', { ...found, ...more }, words))
  return {
    hunt,
    found: found ?? {},
    tell,
    tellAll,
    clear: () => change((b) => setCircuit(b, 'found', undefined, 'Bench tests begun again')),
  }
}

/** An open line is kept as more ohms than any meter shows. */
const evidenceOf = (found: Build['circuit']['found']): Evidence[] =>
  Object.entries(found ?? {}).map(([test, outcome]) => ({ test, outcome }))
