import {
  isAsItWas,
  isHole,
  KINDS,
  openSlots,
  slotSpec,
  specAt,
  wantedSizes,
  type Build,
  type Evaluation,
  type MeasureRank,
  type SizeRef,
  WORTH_READING,
} from '@snug/core'

export const tells = (r: MeasureRank): boolean => r.gain > WORTH_READING

export interface NextMeasure {
  joint?: string
  ref: SizeRef
  says: string
}

/**
 * The size worth measuring next: first of the ranking when it is there, until then what the first open joint asks for, else a needed
 * size that is missing.
 */
export function nextMeasure(build: Build, e: Evaluation, ranked: readonly MeasureRank[] | undefined): NextMeasure | undefined {
  const best = ranked?.[0]
  const joint = best?.joints.find((j) => !isHole(j))
  if (best && tells(best)) return { ref: best.ref, says: saysOf(best.ref), ...(joint ? { joint } : {}) }
  for (const j of e.fit)
    if (j.verdict === 'cant-tell' && j.settles && !isAsItWas(build, j)) return { joint: j.id, ref: j.settles, says: saysOf(j.settles) }
  for (const slot of openSlots(build.parts)) {
    const part = build.parts[slot]
    const [size] = wantedSizes(build.parts, slot)
    if (part && size)
      return {
        ref: { slot, size },
        says: `Measure ${KINDS[part.kind].sizes[size]!.label.toLowerCase()} (${slotSpec(slot).label.toLowerCase()})`,
      }
  }
  return undefined
}

const saysOf = (ref: SizeRef) => `Measure ${specAt(ref).label.toLowerCase()} (${slotSpec(ref.slot).label.toLowerCase()})`
