import { isNaught, KINDS, lacks, told, wantedSizes, type Part, type Slot } from '@snug/core'
import { useMemo } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'

/** The sizes of a part in the order they are asked for: what its open joints wait for, what is known, and the rest. */
export function useSizes(slot: Slot, part: Part): { open: string[]; known: string[]; rest: string[] } {
  const { parts, strings } = useOpenBuild()
  const fit = useBuild((s) => s.evaluation?.fit)
  return useMemo(() => {
    const waiting = new Set([
      ...wantedSizes(parts, slot),
      ...(fit ?? []).flatMap((j) => j.missing.flatMap((r) => (r.slot === slot ? [r.size] : []))),
    ])
    const own = Object.keys(KINDS[part.kind].sizes).filter((k) => {
      const string = /\.(\d+)$/.exec(k)?.[1]
      // What is only assumed of what this instrument has not, is nothing that anybody said.
      if (lacks(parts, slot, k)) return told(part.sizes[k]) !== undefined && !isNaught(KINDS[part.kind], part.traits, k)
      return part.sizes[k] !== undefined || string === undefined || Number(string) <= strings
    })
    const open = own.filter((k) => waiting.has(k))
    const others = own.filter((k) => !waiting.has(k))
    return { open, known: others.filter((k) => part.sizes[k]), rest: others.filter((k) => !part.sizes[k]) }
  }, [fit, part, parts, slot, strings])
}
