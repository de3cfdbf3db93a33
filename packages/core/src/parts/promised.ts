import { isMeasured, type Size } from '../quantity/size'
import { printValue } from './check'
import { KINDS } from './kinds/index'
import type { Part } from './part'

/** A size that came out otherwise than the seller said. */
export interface Discrepancy {
  key: string
  label: string
  promised: Size
  measured: Size
  /** Measured minus promised. */
  off: number
}

/** Sizes where measured and listed disagree by more than both doubts together. [ours] */
export function notAsListed(part: Part): Discrepancy[] {
  return Object.entries(part.promised ?? {}).flatMap(([key, promised]) => {
    const measured = part.sizes[key]
    if (!measured || !isMeasured(measured.known)) return []
    const off = measured.value - promised.value
    return Math.abs(off) > measured.doubt + promised.doubt
      ? [{ key, label: KINDS[part.kind].sizes[key]?.label ?? key, promised, measured, off }]
      : []
  })
}

/** One disagreement in words, in the unit of its size: "Thickness: promised 3.9 mm, came 2.5 mm". */
export function promisedAndCame(part: Part, d: Discrepancy): string {
  const unit = unitOf(part, d.key)
  return `${d.label}: promised ${printValue(d.promised.value, unit)}, came ${printValue(d.measured.value, unit)}`
}

/** What was promised and what came, reading by reading, as text to send to the seller. */
export function claimSheet(part: Part): string {
  const lines = notAsListed(part).map((d) => {
    const unit = unitOf(part, d.key)
    const off = `${d.off > 0 ? '+' : '−'}${printValue(Math.abs(d.off), unit)}`
    return `${promisedAndCame(part, d)} (${d.measured.known}, ±${printValue(d.measured.doubt, unit)}), ${off} off`
  })
  return [`${part.name}${part.seller ? `, from ${part.seller}` : ''}`, 'Not as listed:', ...lines.map((l) => `- ${l}`)].join('\n')
}

const unitOf = (part: Part, key: string) => KINDS[part.kind].sizes[key]?.unit ?? 'mm'
