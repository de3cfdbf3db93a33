import { KINDS, openSlots, missingSizes, slotSpec, specAt, type Build, type Evaluation, type SizeRef } from '@snug/core'

export interface NextMeasure {
  joint?: string
  ref: SizeRef
  says: string
}

/** The size worth measuring next: the one that would settle the first joint that can't tell, else a missing needed one. */
export function nextMeasure(build: Build, e: Evaluation): NextMeasure | undefined {
  for (const j of e.joints) {
    if (j.verdict === 'cant-tell' && j.settles)
      return {
        joint: j.id,
        ref: j.settles,
        says: `Measure ${specAt(j.settles).label.toLowerCase()} (${slotSpec(j.settles.slot).label.toLowerCase()})`,
      }
  }
  for (const slot of openSlots(build.parts)) {
    const part = build.parts[slot]
    const [size] = part ? missingSizes(part) : []
    if (part && size)
      return {
        ref: { slot, size },
        says: `Measure ${KINDS[part.kind].sizes[size]!.label.toLowerCase()} (${slotSpec(slot).label.toLowerCase()})`,
      }
  }
  return undefined
}
